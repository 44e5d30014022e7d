import type { MetalId } from '@/core/wire/metal';

/** A jar filled with scrap of a metal as far as its part of the fullest one. */
export function JarDrawing({ metal, part }: { metal: MetalId; part: number }) {
  const full = Math.max(2, 52 * Math.min(1, part));
  return (
    <svg width="52" height="72" viewBox="0 0 52 72" aria-hidden="true" className="shrink-0 text-base-content">
      <rect
        x="7"
        y={66 - full}
        width="38"
        height={full}
        fill={`var(--metal-${metal})`}
        stroke={`var(--metal-${metal}-edge)`}
      />
      <path
        d="M10 10 V14 Q6 16 6 22 V62 Q6 67 11 67 H41 Q46 67 46 62 V22 Q46 16 42 14 V10"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
      />
      <rect x="9" y="4" width="34" height="6" rx="1" fill="none" stroke="currentColor" strokeWidth="1.5" />
    </svg>
  );
}
