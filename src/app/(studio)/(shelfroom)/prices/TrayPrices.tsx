'use client';

import { useState } from 'react';
import { typedMoney } from '@/app/lib/basket/BasketFields';
import { variantsOf } from '@/core/costing/priceTogether';
import { basisToday } from '@/core/selling/whatIf';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { MinorUnits } from '@/core/units/money';
import type { TrayNow } from '@/studio/selling/pricesNow';
import { useCurrency } from '@/ui/currency';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { newKey } from '@/ui/newKey';
import { OneForTheTray, WaysTogether } from '@/ui/pricing/WaysTogether';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { repriceAction } from './actions';

/** Pieces are priced together: by a school, or all alike. */
export function TrayPrices({ tray: { today, pieces } }: { tray: TrayNow }) {
  const currency = useCurrency();
  const { busy, problem, run } = useAct();
  const [changed, setChanged] = useState<readonly string[]>([]);
  const done = useDone<{ readonly changed: number }>(
    (answer) => `${counted(answer.changed, 'price')} changed.`,
  );
  const variants = variantsOf(
    pieces.map((piece) => ({ name: piece.name, basis: basisToday(piece, today), going: piece.price })),
  );
  const put = (prices: readonly (MinorUnits | null)[]) => {
    const priceOf = new Map(variants.map(({ name }, at) => [name, prices[at] ?? null]));
    const rows = pieces.flatMap(({ number, name, price }) => {
      const asked = priceOf.get(name) ?? null;
      return asked === null || asked === price
        ? []
        : [
            {
              piece: tag('piece', number),
              from: price === null ? '' : typedMoney(price, currency),
              price: typedMoney(asked, currency),
            },
          ];
    });
    if (rows.length === 0) return;
    void run(
      () => repriceAction(newKey(), { pieces: rows }),
      (answer) => {
        setChanged(rows.map(({ piece }) => piece));
        done(answer);
      },
    );
  };
  return (
    <>
      {changed.length > 0 && (
        <p role="status" className="leaf mt-2 border-l-4 border-success p-3 font-semibold">
          {counted(changed.length, 'price')} changed.{' '}
          <Link className="link" href={`/labels?items=${changed.join(',')}&as=price+tag`}>
            Print {changed.length === 1 ? 'its tag' : 'their tags'} anew
          </Link>
        </p>
      )}
      {problem !== '' && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
      <section className="leaf mt-4 p-4" aria-label="Five ways to price them">
        <h2>Five ways to price them</h2>
        <WaysTogether variants={variants} rules={today} goingIs="on their tags" onPrice={put} busy={busy} />
      </section>
      <section className="leaf mt-4 p-4" aria-label="One price for the tray">
        <h2>One price for the tray</h2>
        <OneForTheTray variants={variants} rules={today} onPrice={put} busy={busy} />
      </section>
      <div className="leaf mt-4 px-4">
        <Fold title="Which pieces">
          <ul className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
            {pieces.map(({ number, name }) => (
              <li key={number} className="[overflow-wrap:anywhere]">
                <Link href={`/shelf/${tag('piece', number)}`} className="link">
                  {tag('piece', number)}
                </Link>{' '}
                {name}
              </li>
            ))}
          </ul>
        </Fold>
      </div>
    </>
  );
}
