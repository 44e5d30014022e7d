import { Link } from './Link';

/** The way to the rest of a list, and back to where it begins. */
export function MorePages({
  of,
  action,
  query,
  next,
  more,
}: {
  /** What there is more of. */
  of: string;
  action: string;
  /** What the list was asked. */
  query: { readonly after?: string | undefined };
  next: string | null;
  more: string;
}) {
  const { after, ...asked } = query;
  const known = Object.fromEntries(
    Object.entries<unknown>(asked).flatMap(([name, value]) =>
      typeof value === 'string' ? [[name, value]] : [],
    ),
  );
  if (next === null && after === undefined) return null;
  return (
    <nav aria-label={`More ${of}`} className="no-print mt-4 flex gap-3">
      {after !== undefined && (
        <Link href={{ pathname: action, query: known }} className="btn">
          Back to the beginning
        </Link>
      )}
      {next !== null && (
        <Link href={{ pathname: action, query: { ...known, after: next } }} className="btn" rel="next">
          {more}
        </Link>
      )}
    </nav>
  );
}
