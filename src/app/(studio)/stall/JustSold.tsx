'use client';

import type { StallSale } from '@/core/selling/stall';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';

/** What was sold just now: what is given back, in figures that are read at arm’s length. */
export function JustSold({ sale, onNext }: { sale: StallSale | undefined; onNext: () => void }) {
  if (!sale) return null;
  const { pieces, gross, change, fate } = sale;
  return (
    <section className="mx-auto max-w-3xl py-6 text-center" aria-label="Sold">
      <h1>
        {counted(pieces.length, 'piece')} sold for <Money of={gross} />
      </h1>
      {change !== null && change > 0 && (
        <p className="mt-4 text-5xl font-bold">
          Give back <Money of={change} />
        </p>
      )}
      <p className="mt-4 text-lg" role="status">
        {fate === null && 'Kept on this device; its receipt comes with the connection.'}
        {fate?.is === 'sold' && (
          <>
            Receipt{' '}
            <Link className="link" href={`/sales/${tag('sale', fate.number)}`}>
              {tag('sale', fate.number)}
            </Link>
          </>
        )}
        {fate?.is === 'unsettled' && `It could not be entered: ${fate.why} It waits to be settled.`}
      </p>
      <button type="button" className="btn btn-primary btn-lg mt-6 w-full" onClick={onNext}>
        Next buyer
      </button>
    </section>
  );
}
