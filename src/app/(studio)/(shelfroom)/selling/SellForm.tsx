'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useFieldArray, useWatch, type UseFormReturn } from 'react-hook-form';
import { priceIn } from '@/core/selling/channelPrice';
import type { SaleTyped } from '@/core/selling/stall';
import { numberOnTag, tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { currencyOf, type MinorUnits } from '@/core/units/money';
import type { Outcome } from '@/studio/kernel/outcome';
import type { KnownChannel } from '@/studio/selling/channels';
import type { ForSale } from '@/studio/selling/sales';
import { SellInput } from '@/studio/selling/sell.input';
import { Given, LettingGo, PaidField, SoldRows, typedMoney } from '@/app/lib/basket/BasketFields';
import { WhatItComesTo } from '@/app/lib/basket/WhatItComesTo';
import { ScanTags } from '@/app/lib/scan/ScanTags';
import { useCurrency } from '@/ui/currency';
import { ChoiceField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { forSaleAction, sellPiecesAction } from './actions';

/** A sale that was told of before: it begins as it was told, and is entered in a way of its own. */
export interface ToldBefore {
  /** What it is told from others by. */
  readonly id: string;
  readonly typed: SaleTyped;
  readonly send: (key: string, values: SellInput) => Promise<Outcome<{ readonly number: number }>>;
  /** What its button says. */
  readonly action?: string;
  /** What of it was paid before, and how many days there are to pay the rest. */
  readonly paidBefore?: MinorUnits;
  readonly payDays?: number;
}

export interface SellFormProps {
  readonly channels: readonly KnownChannel[];
  /** The pieces that it begins with. */
  readonly begun: readonly ForSale[];
  readonly today: string;
  /** Of who buys, for the receipt. */
  readonly names: readonly string[];
  readonly told?: ToldBefore;
}

const NAMES_ID = 'names-of-customers';

/** What a piece is asked for in a channel, as it stands in its field. */
const askedIn = ({ price }: ForSale, channel: KnownChannel | undefined, currency: string): string =>
  price === null
    ? ''
    : typedMoney(channel ? priceIn(price, channel.pricing, currencyOf(currency).places) : price, currency);

/** Pieces are put together, priced for their buyer, and sold. */
export function SellForm({ channels, begun, today, names, told }: SellFormProps) {
  const router = useRouter();
  const toast = useToast();
  const currency = useCurrency();
  const { form, submit, problem, sending, before } = useStudioForm({
    input: SellInput,
    defaultValues: told
      ? { ...told.typed, pieces: [...told.typed.pieces] }
      : {
          channel: channels[0]?.id ?? '',
          soldOn: today,
          pieces: begun.map((each) => ({
            piece: tag('piece', each.number),
            asked: askedIn(each, channels[0], currency),
          })),
          letGo: 'nothing',
          off: '',
          paidBy: channels[0]?.kind === 'commission' ? 'the channel' : 'cash',
          given: '',
          buyer: '',
          note: '',
        },
    send: told?.send ?? sellPiecesAction,
    onDone: useCallback(
      ({ number }: { readonly number: number }) => {
        toast(`It is sold: ${tag('sale', number)}.`);
        router.push(`/sales/${tag('sale', number)}`);
      },
      [router, toast],
    ),
    typedFor: told?.id ?? begun.map(({ number }) => number).join('.'),
  });
  const { control } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'pieces' });
  const rows = useWatch({ control, name: 'pieces' });
  const { known, learn } = useKnown(begun, rows);
  const chosen = useWatch({ control, name: 'channel' });
  const channel = channels.find(({ id }) => id === chosen);
  useChannelPrices(form, channel, known);
  return (
    <>
      {!told && <h1>{fields.length === 0 ? 'Sell' : `Sell ${counted(fields.length, 'piece')}`}</h1>}
      <AddPiece
        taken={rows}
        onFound={(found) => {
          learn([found]);
          append({ piece: tag('piece', found.number), asked: askedIn(found, channel, currency) });
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
            <SoldRows control={control} fields={fields} known={known} onRemove={remove} />
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
            <PaidField control={control} />
            <Given control={control} />
            <TextField
              control={control}
              name="buyer"
              label="Buyer"
              list={NAMES_ID}
              hint="As it stands on the receipt; may be empty"
            />
            <datalist id={NAMES_ID}>
              {names.map((name) => (
                <option key={name} value={name} />
              ))}
            </datalist>
            <TextField control={control} name="note" label="Note" />
          </section>
          {channel && (
            <WhatItComesTo
              control={control}
              channel={channel}
              known={known}
              paidBefore={told?.paidBefore}
              payDays={told?.payDays}
            />
          )}
        </div>
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action={told?.action ?? 'Sell'}
          busy="Selling …"
        />
      </FormBox>
    </>
  );
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
  const add = (typed: string, onAdded: () => void) => {
    const text = typed.trim();
    const number = numberOnTag('piece', /^\d+$/.test(text) ? `F-${text}` : text);
    if (number === undefined)
      return setProblem(`“${text.slice(0, 40)}” is not a piece; write it like F-0042.`);
    if (taken.some(({ piece }) => numberOnTag('piece', piece) === number))
      return setProblem(`${tag('piece', number)} is in it already.`);
    void run(
      () => forSaleAction([number]),
      ([found]) => {
        if (!found) return setProblem(`${tag('piece', number)} does not stand on the shelf.`);
        onAdded();
        onFound(found);
      },
    );
  };
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const field = event.currentTarget.elements.namedItem('tag') as HTMLInputElement;
        add(field.value, () => {
          field.value = '';
          field.focus();
        });
      }}
    >
      <label className="block">
        <span className="text-sm font-semibold">Number on the tag</span>
        <input name="tag" className="input block w-44 text-base" placeholder="F-0042" autoComplete="off" />
      </label>
      <button type="submit" className="btn min-h-11" disabled={busy}>
        Add it
      </button>
      <ScanTags onTag={(text) => add(text, () => undefined)} />
      {problem !== '' && (
        <p role="alert" className="w-full font-semibold text-error">
          {problem}
        </p>
      )}
    </form>
  );
}

/** Prices that nobody changed go with the channel: what is asked there. */
function useChannelPrices(
  { getValues, setValue }: UseFormReturn<SellInput>,
  channel: KnownChannel | undefined,
  known: ReadonlyMap<number, ForSale>,
): void {
  const currency = useCurrency();
  const last = useRef(channel);
  useEffect(() => {
    const before = last.current;
    last.current = channel;
    if (!channel || before?.id === channel.id) return;
    getValues('pieces').forEach(({ piece, asked }, index) => {
      const found = known.get(numberOnTag('piece', piece) ?? 0);
      if (found && asked === askedIn(found, before, currency))
        setValue(`pieces.${index}.asked`, askedIn(found, channel, currency));
    });
  }, [channel, currency, getValues, known, setValue]);
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
