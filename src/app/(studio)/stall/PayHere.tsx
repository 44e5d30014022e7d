'use client';

import { useMemo } from 'react';
import { useController, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { dayIn } from '@/core/calendar/day';
import { likelyCash } from '@/core/selling/cash';
import { PAID_BY, sellBasket } from '@/core/selling/sale';
import { sellHere, toggled } from '@/core/selling/stall';
import { tag } from '@/core/tag';
import { minor, type MinorUnits } from '@/core/units/money';
import { readSoFar } from '@/studio/kernel/readInput';
import type { KnownChannel } from '@/studio/selling/channels';
import { discountOf, SellInput } from '@/studio/selling/sell.input';
import { Given, LettingGo, PAID_SAID, SoldRows, typedMoney } from '@/app/lib/basket/BasketFields';
import { WhatItComesTo } from '@/app/lib/basket/WhatItComesTo';
import { useCurrency } from '@/ui/currency';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useHouse } from '@/ui/house';
import { Money } from '@/ui/money';
import type { AskedPiece } from './askedPiece';
import type { StallHere } from './useStall';

/** What a sale comes to that is typed whole; undefined while it is not. */
function totalOf(
  values: object,
  { terms, rounding }: KnownChannel,
  currency: string,
): MinorUnits | undefined {
  const { pieces = [], ...read } = readSoFar(SellInput, values);
  if (pieces.length === 0) return undefined;
  const sold = sellBasket(
    pieces.map(({ asked }) => asked.money),
    { discount: discountOf(read, ({ money }) => money), terms, rounding, currency },
  );
  return sold.ok ? sold.value.total.gross : undefined;
}

/** The basket is paid: it is sold on this device, whether or not the studio can be reached. */
export function PayHere({
  channel,
  pieces,
  stall: { change },
  onBack,
  onSold,
}: {
  channel: KnownChannel;
  pieces: readonly AskedPiece[];
  stall: StallHere;
  onBack: () => void;
  onSold: (id: string) => void;
}) {
  const currency = useCurrency();
  const { zone } = useHouse();
  const { form, submit, problem, sending, before } = useStudioForm({
    input: SellInput,
    defaultValues: {
      channel: channel.id,
      soldOn: dayIn(zone, new Date()),
      pieces: pieces.map(({ number, asked }) => ({
        piece: tag('piece', number),
        asked: asked === null ? '' : typedMoney(asked, currency),
      })),
      letGo: 'nothing',
      off: '',
      paidBy: 'cash',
      given: '',
      buyer: '',
      note: '',
    },
    // What is in the basket is kept on the device already.
    typedFor: null,
    send: (id, typed) => {
      const gross = totalOf(typed, channel, currency);
      if (gross === undefined)
        return Promise.resolve({
          ok: false,
          problem: { kind: 'invalid', message: 'More is let go than is asked.' },
        });
      const read = readSoFar(SellInput, typed);
      const given = read.paidBy === 'cash' ? read.given?.money : undefined;
      if (given !== undefined && given < gross)
        return Promise.resolve({
          ok: false,
          problem: {
            kind: 'invalid',
            message: 'That is not enough.',
            fields: { given: 'It is less than what is to pay.' },
          },
        });
      change((kept) =>
        sellHere(kept, {
          ...{ id, at: Date.now(), typed, gross },
          pieces: (read.pieces ?? []).map(({ piece }) => piece),
          change: given === undefined ? null : minor(given - gross),
        }),
      );
      return Promise.resolve({ ok: true, value: id });
    },
    onDone: onSold,
  });
  const { control, setValue } = form;
  const { fields, remove } = useFieldArray({ control, name: 'pieces' });
  const known = useMemo(
    () => new Map(pieces.map((piece) => [piece.number, { ...piece, cost: null }])),
    [pieces],
  );
  return (
    <>
      <div className="flex items-baseline justify-between gap-3">
        <h1>To pay</h1>
        <button type="button" className="btn min-h-11" onClick={onBack}>
          Back to the pieces
        </button>
      </div>
      <FormBox onSubmit={submit} className="mx-auto mt-2 grid max-w-3xl gap-3">
        <WhatItComesTo control={control} channel={channel} known={known} />
        <section className="leaf grid gap-3 p-3 sm:grid-cols-2" aria-label="How">
          <PaidButtons control={control} />
          <HandedOver
            control={control}
            channel={channel}
            onChoose={(amount) => setValue('given', typedMoney(amount, currency))}
          />
          <Given control={control} />
          <LettingGo control={control} />
        </section>
        <section className="leaf p-3" aria-label="What is sold">
          <SoldRows
            control={control}
            fields={fields}
            known={known}
            onRemove={(index) => {
              const piece = pieces[index];
              remove(index);
              if (piece) change((kept) => toggled(kept, piece.number));
              if (fields.length === 1) onBack();
            }}
          />
        </section>
        <Fold title="Buyer and note">
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              control={control}
              name="buyer"
              label="Buyer"
              hint="As it stands on the receipt; may be empty"
            />
            <TextField control={control} name="note" label="Note" />
          </div>
        </Fold>
        <div className="h-24" />
        <div className="no-print fixed inset-x-0 bottom-14 z-20 border-t-2 border-base-content bg-base-100 px-3 pb-3 md:bottom-0">
          <div className="mx-auto max-w-3xl [&_button[type=submit]]:grow">
            <FormEnd problem={problem} sending={sending} before={before} action="Sold" busy="Keeping it …" />
          </div>
        </div>
      </FormBox>
    </>
  );
}

/** How buyers pay at a stall. */
const AT_STALL = PAID_BY.filter((how) => how !== 'the channel');

/** How it is paid, where the thumb is. */
function PaidButtons({ control }: { control: Control<SellInput> }) {
  const { field } = useController({ control, name: 'paidBy' });
  return (
    <fieldset className="grid grid-cols-3 gap-2 sm:col-span-2">
      <legend className="text-sm font-semibold">Paid</legend>
      {AT_STALL.map((how) => (
        <label
          key={how}
          className={`btn min-h-12 text-lg has-[:focus-visible]:outline-4 ${field.value === how ? 'btn-neutral' : ''}`}
        >
          <input
            type="radio"
            name={field.name}
            className="sr-only"
            checked={field.value === how}
            onChange={() => field.onChange(how)}
          />
          {PAID_SAID[how]}
        </label>
      ))}
    </fieldset>
  );
}

/** What buyers are likely to hand over, to be touched instead of typed. */
function HandedOver({
  control,
  channel,
  onChoose,
}: {
  control: Control<SellInput>;
  channel: KnownChannel;
  onChoose: (amount: MinorUnits) => void;
}) {
  const currency = useCurrency();
  const values = useWatch({ control });
  if (values.paidBy !== 'cash') return null;
  const amounts = likelyCash(totalOf(values, channel, currency) ?? minor(0));
  return (
    <div role="group" aria-label="Likely handed over" className="flex flex-wrap gap-2 sm:col-span-2">
      {amounts.map((amount) => (
        <button key={amount} type="button" className="btn min-h-12 text-lg" onClick={() => onChoose(amount)}>
          <Money of={amount} />
        </button>
      ))}
    </div>
  );
}
