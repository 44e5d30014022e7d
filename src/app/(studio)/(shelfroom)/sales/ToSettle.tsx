import { counted } from '@/core/units/counted';
import type { Unsettled } from '@/studio/selling/unsettled';
import { Link } from '@/ui/Link';
import { Moment } from '@/ui/When';

/** Sales of a stall that wait for somebody to say how they really were. */
export function ToSettle({ sales }: { sales: readonly Unsettled[] }) {
  if (sales.length === 0) return null;
  return (
    <section className="leaf mb-4 border-l-4 border-error p-4" aria-label="To be settled">
      <h2>
        {counted(sales.length, 'sale')} of the stall {sales.length === 1 ? 'waits' : 'wait'} to be settled
      </h2>
      <p>The money was taken; no receipt is numbered for it yet.</p>
      <ul className="mt-2">
        {sales.map(({ id, by, madeAt, why, typed }) => (
          <li key={id} className="border-t border-base-300 py-2">
            <Link className="link font-semibold" href={`/sales/unsettled/${id}`}>
              {typed.pieces.map(({ piece }) => piece).join(', ')}
            </Link>{' '}
            <span className="muted">
              {by}, <Moment at={madeAt} />
            </span>
            <span className="block">{why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
