'use client';

import { dayIn } from '@/core/calendar/day';
import { PAID_BY, type PaidBy } from '@/core/selling/sale';
import { isOnlyHere, takeBackHere, tillOf, type Fate, type StallSale } from '@/core/selling/stall';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { StallPiece } from '@/studio/selling/stall';
import { useHouse } from '@/ui/house';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { Moment } from '@/ui/When';
import type { StallHere } from './useStall';

const TAKEN_SAID: Readonly<Record<PaidBy, string>> = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
  'the channel': 'by the channel',
};

/** What was sold on this device: what lies in the till, and what became of each sale. */
export function SoldHere({
  stall: { kept, change },
  pieces,
}: {
  stall: StallHere;
  pieces: readonly StallPiece[];
}) {
  const { zone } = useHouse();
  const till = tillOf(kept, dayIn(zone, new Date()));
  const nameOf = (number: number): string => pieces.find((piece) => piece.number === number)?.name ?? '';
  return (
    <>
      <section className="leaf mt-2 p-3" aria-label="Taken today">
        <p className="text-2xl font-semibold">
          <Money of={till.all} /> taken today
        </p>
        <p>
          {counted(till.sales, 'sale')}, {counted(till.pieces, 'piece')}
          {PAID_BY.filter((how) => till.taken[how] > 0).map((how) => (
            <span key={how}>
              {' · '}
              <Money of={till.taken[how]} /> {TAKEN_SAID[how]}
            </span>
          ))}
        </p>
      </section>
      <ol aria-label="Sales" className="mt-2 space-y-2">
        {kept.sales.toReversed().map((sale) => (
          <li key={sale.id} className="leaf p-3">
            <p className="flex justify-between gap-3">
              <Moment at={new Date(sale.at)} />
              <span className="text-lg font-semibold">
                <Money of={sale.gross} />
              </span>
            </p>
            <p className="[overflow-wrap:anywhere]">
              {sale.pieces.map((number) => `${tag('piece', number)} ${nameOf(number)}`.trim()).join(', ')}
            </p>
            <Became sale={sale} fate={sale.fate} />
            {isOnlyHere(sale) && (
              <button
                type="button"
                className="btn mt-2 min-h-11"
                onClick={() => change((now) => takeBackHere(now, sale.id))}
              >
                Take it back
              </button>
            )}
          </li>
        ))}
      </ol>
      {kept.sales.length === 0 && <p className="leaf mt-2 p-3">Nothing was sold on this device yet.</p>}
    </>
  );
}

/** What became of a sale. */
function Became({ sale: { isTold }, fate }: { sale: StallSale; fate: Fate | null }) {
  switch (fate?.is) {
    case 'sold':
      return (
        <p>
          Receipt{' '}
          <Link className="link" href={`/sales/${tag('sale', fate.number)}`}>
            {tag('sale', fate.number)}
          </Link>
        </p>
      );
    case 'unsettled':
      return <p className="border-l-4 border-error pl-2 font-semibold">To be settled: {fate.why}</p>;
    case 'no sale':
      return <p>Settled: it was no sale.</p>;
    case undefined:
      return <p>{isTold ? 'On its way to the studio' : 'Kept on this device'}</p>;
  }
}
