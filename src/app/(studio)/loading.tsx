export default function Loading() {
  return (
    <div role="status" className="py-10">
      <progress className="progress progress-primary w-56" aria-label="Fetching the page" />
    </div>
  );
}
