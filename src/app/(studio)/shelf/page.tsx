import { Link } from '@/ui/Link';
import { tag } from '@/core/tag';
import { COST_UNITS_PER_MINOR } from '@/core/units/money';
import { showShelf } from '@/studio/shelf/shelf';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Cost, Money } from '@/ui/money';
import { PriceBar } from '@/ui/PriceBar';
import { Day } from '@/ui/When';
import { pageMember } from '../../lib/member';
import { searchedNumber, type Search } from '@/app/lib/search';

export const metadata = { title: 'Shelf' };

export default async function ShelfPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const before = await searchedNumber(searchParams, 'before');
  const page = await showShelf(session, before);
  const { pieces, total, unpriced, priceTotal, next } = page;
  const dearest = Math.max(
    1,
    ...pieces.map(({ price, cost }) => Math.max(price ?? 0, (cost ?? 0) / COST_UNITS_PER_MINOR)),
  );
  if (total === 0) {
    return (
      <EmptyPlace
        title="Nothing stands on the shelf yet"
        next={{ href: '/bench', text: 'Make the first piece' }}
      >
        Each piece you make gets its number here, with what it really took and what it should sell for.
      </EmptyPlace>
    );
  }
  return (
    <>
      <h1>
        {total} finished {total === 1 ? 'piece' : 'pieces'}
        {priceTotal !== null && (
          <>
            , priced at <Money of={priceTotal} /> together
          </>
        )}
        {priceTotal !== null && unpriced > 0 && `; ${unpriced} without a price`}
      </h1>
      <ul className="mt-4 grid grid-cols-1 gap-3 sm:grid-cols-2 xl:grid-cols-4">
        {pieces.map(({ number, name, kind, madeAt, price, cost, minutes }) => (
          <li key={number}>
            <Link
              href={`/shelf/${tag('piece', number)}`}
              className="leaf flex h-full flex-col gap-1 p-3 hover:border-primary"
            >
              <span className="muted flex justify-between text-sm">
                <span>{tag('piece', number)}</span>
                <Day at={madeAt} />
              </span>
              <span className="font-display font-semibold [overflow-wrap:anywhere]">{name}</span>
              <span className="muted mt-auto text-sm">
                {kind} · {Math.round(minutes)} min
              </span>
              {cost !== null && <PriceBar cost={cost} price={price} dearest={dearest} />}
              {cost !== null && (
                <span className="flex items-baseline justify-between">
                  <span className="muted text-sm">
                    cost <Cost of={cost} />
                  </span>
                  <span className="text-lg font-semibold">
                    {price === null ? 'no price yet' : <Money of={price} />}
                  </span>
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
      <nav aria-label="More of the shelf" className="no-print mt-4 flex gap-3">
        {before !== undefined && (
          <Link href="/shelf" className="btn">
            Back to the newest
          </Link>
        )}
        {next !== null && (
          <Link href={`/shelf?before=${next}`} className="btn" rel="next">
            Older pieces
          </Link>
        )}
      </nav>
    </>
  );
}
