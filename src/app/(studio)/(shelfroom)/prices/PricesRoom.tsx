'use client';

import { useCallback, useEffect, useState } from 'react';
import type { KeptScenario, PricesNow } from '@/studio/selling/pricesNow';
import { counted } from '@/core/units/counted';
import { Link } from '@/ui/Link';
import { OFFLINE } from '@/ui/form/problem';
import { pricesNowAction } from './actions';
import { ReviewPrices } from './ReviewPrices';
import { WhatIf } from './WhatIf';
import { WaysTogether } from '@/ui/pricing/WaysTogether';
import { variantsOf } from '@/core/costing/priceTogether';
import { basisToday } from '@/core/selling/whatIf';
import { Fold } from '@/ui/Fold';

/** What prices are looked at by comes once the page stands: it grows with the shelf. */
export function PricesRoom({ scenarios }: { scenarios: readonly KeptScenario[] }) {
  const [prices, setPrices] = useState<PricesNow>();
  const [changed, setChanged] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState('');
  const load = useCallback(async () => {
    try {
      const answer = await pricesNowAction();
      if (answer.ok) setPrices(answer.value);
      setProblem(answer.ok ? '' : answer.problem.message);
    } catch {
      setProblem(OFFLINE.message);
    }
  }, []);
  useEffect(() => {
    const soon = setTimeout(() => void load(), 0);
    return () => clearTimeout(soon);
  }, [load]);
  if (problem !== '')
    return (
      <p role="alert" className="mt-3 border-l-4 border-error p-3 font-semibold">
        {problem}{' '}
        <button type="button" className="btn min-h-11" onClick={() => void load()}>
          Try again
        </button>
      </p>
    );
  if (!prices) return <progress className="progress mt-4 w-full" aria-label="Looking at every piece …" />;
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
      <ReviewPrices
        key={prices.proposals.map(({ number }) => number).join('.')}
        prices={prices}
        onChanged={(tags) => {
          setChanged(tags);
          void load();
        }}
      />
      <WholeShelf prices={prices} />
      <WhatIf prices={prices} scenarios={scenarios} />
    </>
  );
}

/** Five schools over the whole shelf. It is worked out when somebody looks. */
function WholeShelf({ prices: { shelf, today } }: { prices: PricesNow }) {
  const [isOpen, setIsOpen] = useState(false);
  if (shelf.length === 0) return null;
  return (
    <section className="leaf mt-4 px-4" aria-label="Five ways to price the shelf">
      <Fold title="Five ways to price the whole shelf" onOpen={setIsOpen}>
        {isOpen && (
          <WaysTogether
            variants={variantsOf(
              shelf.map((piece) => ({
                name: piece.name,
                basis: basisToday(piece, today),
                going: piece.price,
              })),
            )}
            rules={today}
            goingIs="on their tags"
          />
        )}
      </Fold>
    </section>
  );
}
