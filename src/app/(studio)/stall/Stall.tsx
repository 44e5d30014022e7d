'use client';

import { useMemo, useState } from 'react';
import { priceIn } from '@/core/selling/channelPrice';
import { unsettled, waiting } from '@/core/selling/stall';
import { counted } from '@/core/units/counted';
import { currencyOf, minor } from '@/core/units/money';
import type { KnownChannel } from '@/studio/selling/channels';
import type { StallPiece } from '@/studio/selling/stall';
import { useCurrency } from '@/ui/currency';
import { Money } from '@/ui/money';
import type { AskedPiece } from './askedPiece';
import { JustSold } from './JustSold';
import { PayHere } from './PayHere';
import { SoldHere } from './SoldHere';
import { StallPieces } from './StallPieces';
import { useStall } from './useStall';

interface StallProps {
  /** The id of the studio. */
  readonly studio: string;
  readonly pieces: readonly StallPiece[];
  readonly channels: readonly KnownChannel[];
}

type View =
  | { readonly is: 'pieces' | 'pay' | 'sales' }
  /** What was sold last, by its id. */
  | { readonly is: 'sold'; readonly id: string };

/** The stall: pieces by their pictures, what is in the basket, what was sold here. */
export function Stall({ studio, pieces, channels }: StallProps) {
  const currency = useCurrency();
  const [view, setView] = useState<View>({ is: 'pieces' });
  const numbers = useMemo(() => pieces.map(({ number }) => number), [pieces]);
  const stall = useStall(studio, numbers);
  const { kept } = stall;
  const channel = channels.find(({ id }) => id === kept.channel) ?? channels[0];
  const { places } = currencyOf(currency);
  const asked = useMemo(
    () =>
      pieces.map((piece): AskedPiece => ({
        ...piece,
        asked: piece.price === null || !channel ? piece.price : priceIn(piece.price, channel.pricing, places),
      })),
    [pieces, channel, places],
  );
  const basket = kept.basket.flatMap((number) => asked.find((piece) => piece.number === number) ?? []);
  if (!channel) return null;
  if (view.is === 'pay')
    return (
      <PayHere
        channel={channel}
        pieces={basket}
        stall={stall}
        onBack={() => setView({ is: 'pieces' })}
        onSold={(id) => setView({ is: 'sold', id })}
      />
    );
  if (view.is === 'sold')
    return (
      <JustSold sale={kept.sales.find(({ id }) => id === view.id)} onNext={() => setView({ is: 'pieces' })} />
    );
  const isSelling = view.is === 'pieces';
  return (
    <>
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="min-w-0 truncate">{channel.name}</h1>
        <button
          type="button"
          className="btn min-h-11 shrink-0"
          onClick={() => setView({ is: isSelling ? 'sales' : 'pieces' })}
        >
          {isSelling ? `Sold here: ${kept.sales.length}` : 'To the pieces'}
        </button>
      </div>
      <HowItStands stall={stall} />
      {isSelling ? (
        <>
          <StallPieces pieces={asked} channels={channels} channel={channel} stall={stall} />
          {basket.length > 0 && (
            <BasketBar basket={basket} stall={stall} onPay={() => setView({ is: 'pay' })} />
          )}
        </>
      ) : (
        <SoldHere stall={stall} pieces={pieces} />
      )}
    </>
  );
}

/** What is not entered yet, and why. */
function HowItStands({ stall: { kept, trouble, isOld } }: { stall: ReturnType<typeof useStall> }) {
  const [open, stuck] = [waiting(kept).length, unsettled(kept).length];
  const all = kept.sales.length;
  return (
    <div className="no-print mt-2 space-y-2" role="status">
      {trouble !== '' && <p className="border-l-4 border-warning bg-base-100 p-2 font-semibold">{trouble}</p>}
      <p className="font-semibold">
        {open > 0
          ? `${counted(open, 'sale')} to be told to the studio`
          : all > 0 && 'Every sale is told to the studio'}
      </p>
      {stuck > 0 && (
        <p className="border-l-4 border-error bg-base-100 p-2 font-semibold">
          {counted(stuck, 'sale')} could not be entered as {stuck === 1 ? 'it was' : 'they were'} told, and{' '}
          {stuck === 1 ? 'waits' : 'wait'} to be settled under Sales.
        </p>
      )}
      {isOld && (
        <p>
          There are new pieces.{' '}
          <button type="button" className="btn min-h-11" onClick={() => window.location.reload()}>
            Show them
          </button>
        </p>
      )}
    </div>
  );
}

/** What is in the basket, and the way to pay for it; where the thumb is. */
function BasketBar({
  basket,
  stall: { isThere },
  onPay,
}: {
  basket: readonly AskedPiece[];
  stall: ReturnType<typeof useStall>;
  onPay: () => void;
}) {
  const total = minor(basket.reduce((sum, { asked }) => sum + (asked ?? 0), 0));
  const gone = basket.filter(({ number }) => !isThere(number));
  return (
    <div className="no-print fixed inset-x-0 bottom-14 z-20 border-t-2 border-base-content bg-base-100 p-3 md:bottom-0">
      {gone.map(({ number, name }) => (
        <p key={number} role="alert" className="pb-2 font-semibold text-error">
          “{name}” was sold elsewhere meanwhile.
        </p>
      ))}
      <div className="mx-auto flex max-w-3xl items-center justify-between gap-3">
        <p className="text-lg">
          {counted(basket.length, 'piece')}, <Money of={total} />
        </p>
        <button type="button" className="btn btn-primary btn-lg grow sm:grow-0" onClick={onPay}>
          To pay
        </button>
      </div>
    </div>
  );
}
