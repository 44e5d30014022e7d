'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useFieldArray, useFormState, useWatch, type Control } from 'react-hook-form';
import { PAID_BY } from '@/core/selling/sale';
import { numberOnTag, tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import type { KnownChannel } from '@/studio/selling/channels';
import type { ForSale } from '@/studio/selling/sales';
import { LET_GO, SellInput, type LetGo } from '@/studio/selling/sell.input';
import { useCurrency } from '@/ui/currency';
import { ChoiceField, MoneyField, NumberField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { RemoveButton } from '@/ui/form/RowButtons';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { SmallPicture } from '@/ui/SmallPicture';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { forSaleAction, sellPiecesAction } from './actions';
import { WhatItComesTo } from './WhatItComesTo';

interface SellFormProps {
  readonly channels: readonly KnownChannel[];
  /** The pieces that it begins with. */
  readonly begun: readonly ForSale[];
  readonly today: string;
}

const rowOf = ({ number, price }: ForSale, currency: string) => ({
  piece: tag('piece', number),
  asked: price === null ? '' : typed(price, currency),
});
const typed = (amount: MinorUnits, currency: string): string => `${plainMoney(amount, currency)} ${currency}`;

/** Pieces are put together, priced for their buyer, and sold. */
export function SellForm({ channels, begun, today }: SellFormProps) {
  const router = useRouter();
  const toast = useToast();
  const currency = useCurrency();
  const { form, submit, problem, sending, before } = useStudioForm({
    input: SellInput,
    defaultValues: {
      channel: channels[0]?.id ?? '',
      soldOn: today,
      pieces: begun.map((each) => rowOf(each, currency)),
      letGo: 'nothing',
      off: '',
      paidBy: 'cash',
      given: '',
      buyer: '',
      note: '',
    },
    send: sellPiecesAction,
    onDone: useCallback(
      ({ number }: { readonly number: number }) => {
        toast(`It is sold: ${tag('sale', number)}.`);
        router.push(`/sales/${tag('sale', number)}`);
      },
      [router, toast],
    ),
    typedFor: begun.map(({ number }) => number).join('.'),
  });
  const { control } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'pieces' });
  const rows = useWatch({ control, name: 'pieces' });
  const { known, learn } = useKnown(begun, rows);
  const chosen = useWatch({ control, name: 'channel' });
  const channel = channels.find(({ id }) => id === chosen);
  return (
    <>
      <h1>{fields.length === 0 ? 'Sell' : `Sell ${counted(fields.length, 'piece')}`}</h1>
      <AddPiece
        taken={rows}
        onFound={(found) => {
          learn([found]);
          append(rowOf(found, currency));
        }}
      />
      <FormBox onSubmit={submit} className="mt-3">
        <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
          <section className="leaf p-4" aria-label="What is sold">
            {fields.length === 0 && (
              <p className="muted">
                Type the number on a tag above, or choose pieces on the shelf and sell them from there.
              </p>
            )}
            <ul className="divide-y divide-base-300">
              {fields.map((field, index) => {
                const number = numberOnTag('piece', rows[index]?.piece ?? '');
                const piece = known.get(number ?? 0);
                return (
                  <li key={field.id} className="py-2">
                    <div
                      role="group"
                      aria-label={rows[index]?.piece}
                      className="grid grid-cols-[5rem_minmax(0,1fr)_auto] items-center gap-3 sm:grid-cols-[6rem_minmax(0,1fr)_11rem_auto]"
                    >
                      {piece ? <SmallPicture of="piece" number={piece.number} name={piece.name} /> : <span />}
                      <span className="[overflow-wrap:anywhere]">
                        <span className="font-semibold">{piece?.name}</span>{' '}
                        <span className="muted">{rows[index]?.piece}</span>
                        {piece && piece.size !== '' && <span className="block">{piece.size}</span>}
                        <Told control={control} index={index} />
                      </span>
                      <span className="order-last col-span-2 sm:order-none sm:col-span-1">
                        <MoneyField control={control} name={`pieces.${index}.asked`} label="On its tag" />
                      </span>
                      <RemoveButton quiet what={rows[index]?.piece ?? ''} onClick={() => remove(index)} />
                    </div>
                  </li>
                );
              })}
            </ul>
          </section>
          <section
            className="leaf grid gap-3 p-4 sm:grid-cols-2 lg:row-span-2 lg:grid-cols-1"
            aria-label="How"
          >
            <ChoiceField
              control={control}
              name="channel"
              label="Where"
              choices={channels.map(({ id, name }) => ({ value: id, text: name }))}
            />
            <TextField control={control} name="soldOn" label="When" type="date" />
            <LettingGo control={control} />
            <ChoiceField
              control={control}
              name="paidBy"
              label="Paid"
              choices={PAID_BY.map((value) => ({ value, text: PAID_SAID[value] }))}
            />
            <Given control={control} />
            <TextField
              control={control}
              name="buyer"
              label="Buyer"
              hint="As it stands on the receipt; may be empty"
            />
            <TextField control={control} name="note" label="Note" />
          </section>
          {channel && <WhatItComesTo control={control} channel={channel} known={known} />}
        </div>
        <FormEnd problem={problem} sending={sending} before={before} action="Sell" busy="Selling …" />
      </FormBox>
    </>
  );
}

const PAID_SAID = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
  'the channel': 'to the channel, which pays you',
} as const;

const LET_GO_SAID: Readonly<Record<LetGo, string>> = {
  nothing: 'nothing: the prices on the tags',
  'a part': 'a part of them',
  'an amount': 'an amount',
  'one price': 'one price for all',
};

/** What is wrong with a piece that is told beside it. */
function Told({ control, index }: { control: Control<SellInput>; index: number }) {
  const { errors } = useFormState({ control });
  const message = errors.pieces?.[index]?.piece?.message;
  return message === undefined ? null : (
    <span role="alert" className="block font-semibold text-error">
      {message}
    </span>
  );
}

/** What is let go of the prices on the tags. */
function LettingGo({ control }: { control: Control<SellInput> }) {
  const letGo = useWatch({ control, name: 'letGo' });
  return (
    <>
      <ChoiceField
        control={control}
        name="letGo"
        label="Let go"
        choices={LET_GO.map((value) => ({ value, text: LET_GO_SAID[value] }))}
      />
      {letGo === 'a part' && <NumberField control={control} name="off" label="How much of them" unit="%" />}
      {letGo === 'an amount' && <MoneyField control={control} name="off" label="How much" />}
      {letGo === 'one price' && <MoneyField control={control} name="off" label="All for" />}
    </>
  );
}

/** Cash that was handed over: what is given back is told. */
function Given({ control }: { control: Control<SellInput> }) {
  if (useWatch({ control, name: 'paidBy' }) !== 'cash') return null;
  return <MoneyField control={control} name="given" label="Handed over" hint="Then the change is told" />;
}

/** A piece is added by the number on its tag, typed or scanned. */
function AddPiece({
  taken,
  onFound,
}: {
  taken: readonly { readonly piece: string }[];
  onFound: (piece: ForSale) => void;
}) {
  const { busy, problem, setProblem, run } = useAct();
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const field = event.currentTarget.elements.namedItem('tag') as HTMLInputElement;
        const number = numberOnTag(
          'piece',
          /^\d+$/.test(field.value.trim()) ? `F-${field.value.trim()}` : field.value,
        );
        if (number === undefined)
          return setProblem(`“${field.value.slice(0, 40)}” is not a piece; write it like F-0042.`);
        if (taken.some(({ piece }) => numberOnTag('piece', piece) === number))
          return setProblem(`${tag('piece', number)} is in it already.`);
        void run(
          () => forSaleAction([number]),
          ([found]) => {
            if (!found) return setProblem(`${tag('piece', number)} does not stand on the shelf.`);
            field.value = '';
            field.focus();
            onFound(found);
          },
        );
      }}
    >
      <label className="block">
        <span className="text-sm font-semibold">Number on the tag</span>
        <input name="tag" className="input block w-44 text-base" placeholder="F-0042" autoComplete="off" />
      </label>
      <button type="submit" className="btn min-h-11" disabled={busy}>
        Add it
      </button>
      {problem !== '' && (
        <p role="alert" className="w-full font-semibold text-error">
          {problem}
        </p>
      )}
    </form>
  );
}

/** What is known of the pieces in the form; what was typed on an earlier visit is asked for. */
function useKnown(begun: readonly ForSale[], rows: readonly { readonly piece: string }[]) {
  const [known, setKnown] = useState<ReadonlyMap<number, ForSale>>(
    () => new Map(begun.map((each) => [each.number, each])),
  );
  const learn = useCallback(
    (found: readonly ForSale[]) =>
      setKnown((before) => new Map([...before, ...found.map((each) => [each.number, each] as const)])),
    [],
  );
  const unknown = useMemo(
    () =>
      rows
        .flatMap(({ piece }) => numberOnTag('piece', piece) ?? [])
        .filter((number) => !known.has(number))
        .join('.'),
    [known, rows],
  );
  useEffect(() => {
    if (unknown === '') return;
    forSaleAction(unknown.split('.').map(Number)).then(
      (answer) => answer.ok && answer.value.length > 0 && learn(answer.value),
      () => undefined,
    );
  }, [unknown, learn]);
  return { known, learn };
}
