'use client';

import { useWatch, type Control } from 'react-hook-form';
import { leftOf, sellBasket, type BasketSold } from '@/core/selling/sale';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { minor, type MinorUnits } from '@/core/units/money';
import { readSoFar } from '@/studio/kernel/readInput';
import type { ValuesOf } from '@/studio/kernel/typed';
import type { KnownChannel } from '@/studio/selling/channels';
import { discountOf, SellInput } from '@/studio/selling/sell.input';
import { useCurrency } from '@/ui/currency';
import { Money } from '@/ui/money';

type Read = Partial<ValuesOf<SellInput>>;

/** What the pieces come to as they are typed: what is to pay and to give back; for the owner what of it stays. */
export function WhatItComesTo({
  control,
  channel: { terms, rounding },
  known,
  paidBefore = minor(0),
  payDays = 0,
}: {
  control: Control<SellInput>;
  channel: KnownChannel;
  /** What pieces cost; null where that is not to be known. */
  known: ReadonlyMap<number, { readonly cost: MinorUnits | null }>;
  /** What of it was paid before, and how many days there are to pay the rest: none where it is paid now. */
  paidBefore?: MinorUnits | undefined;
  payDays?: number | undefined;
}) {
  const currency = useCurrency();
  const values = useWatch({ control });
  const read: Read = readSoFar(SellInput, values);
  const pieces = read.pieces ?? [];
  if (pieces.length === 0) return null;
  const sold = sellBasket(
    pieces.map(({ asked }) => asked.money),
    { discount: discountOf(read, ({ money }) => money), terms, rounding, currency },
  );
  if (!sold.ok) return <p className="font-semibold text-error">{sold.error}</p>;
  const { total, postage } = sold.value;
  const due = minor(total.gross - paidBefore);
  const given = read.paidBy === 'cash' && payDays === 0 ? (read.given?.money ?? null) : null;
  return (
    <section className="leaf p-4" aria-label="What it comes to" aria-live="polite">
      <p className="text-2xl font-semibold">
        <Money of={due} /> to pay{payDays > 0 && due > 0 && ` within ${counted(payDays, 'day')}`}
      </p>
      {paidBefore > 0 && (
        <p>
          <Money of={total.gross} /> together, of which <Money of={paidBefore} /> are paid
        </p>
      )}
      {postage && (
        <p>
          <Money of={postage.gross} /> of it for sending
        </p>
      )}
      {total.tax > 0 && (
        <p className="muted">
          with <Money of={total.tax} /> of tax
        </p>
      )}
      {given !== null && <Change given={given} due={due} />}
      <Kept
        sold={sold.value}
        costs={pieces.map(({ piece }) => ({ piece, cost: known.get(piece)?.cost ?? null }))}
      />
    </section>
  );
}

function Change({ given, due }: { given: MinorUnits; due: MinorUnits }) {
  return given >= due ? (
    <p className="text-xl">
      Give back <Money of={minor(given - due)} />
    </p>
  ) : (
    <p className="font-semibold text-error">
      <Money of={minor(due - given)} /> more is to pay
    </p>
  );
}

/** What stays of it after fees, sending and cost; helpers, who know no cost, see nothing of it. */
function Kept({
  sold: { lines, fees, sending, left },
  costs,
}: {
  sold: BasketSold;
  costs: readonly { readonly piece: number; readonly cost: MinorUnits | null }[];
}) {
  if (costs.some(({ cost }) => cost === null)) return null;
  const all = costs.reduce((sum, { cost }) => sum + (cost ?? 0), 0);
  const under = costs.filter(({ cost }, index) => {
    const line = lines[index];
    return line && leftOf(line) < (cost ?? 0);
  });
  return (
    <div className="mt-2 border-t border-base-300 pt-2">
      <p className="muted">
        Less <Money of={fees} /> of fees and <Money of={sending} /> of packing and sending
      </p>
      <p>
        <Money of={left} /> comes to you, <Money of={minor(left - all)} /> over what{' '}
        {costs.length === 1 ? 'it' : 'they'} cost to make.
      </p>
      {under.map(({ piece, cost }) => (
        <p key={piece} className="mt-1 border-l-4 border-warning pl-3 font-semibold">
          {tag('piece', piece)} sells below its cost of <Money of={cost ?? minor(0)} />.
        </p>
      ))}
    </div>
  );
}
