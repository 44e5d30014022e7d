/** A part of a whole, as long as it is large. */
export function ValueBar({ part }: { part: number }) {
  return (
    <svg width="100%" height="10" aria-hidden="true" className="block min-w-12 text-base-content">
      <rect width="100%" height="10" fill="currentColor" fillOpacity="0.1" />
      <rect width={`${Math.min(100, part * 100)}%`} height="10" fill="currentColor" fillOpacity="0.55" />
    </svg>
  );
}
