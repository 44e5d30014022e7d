'use client';

import { useCallback } from 'react';
import { FormProvider, useFormContext, useWatch } from 'react-hook-form';
import { BatchLines, type LineChoices } from '@/app/lib/batchLines/BatchLines';
import { useTakings } from '@/app/lib/batchLines/useTakings';
import { reckonOrder } from '@/core/selling/order';
import { priceIn } from '@/core/selling/channelPrice';
import { tag } from '@/core/tag';
import { currencyOf, minor, plainMoney, toMinor, type MinorUnits } from '@/core/units/money';
import type { LineTakings } from '@/studio/batches/batchTakings';
import { readSoFar } from '@/studio/kernel/readInput';
import { EMPTY_ORDER_LINE, OrderInput } from '@/studio/orders/orders.input';
import type { OrderBase } from '@/studio/orders/writeOrder';
import type { KnownChannel } from '@/studio/selling/channels';
import { useCurrency } from '@/ui/currency';
import { ChoiceField, MoneyField, NotesField, NumberField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { Money } from '@/ui/money';
import { useDone } from '@/ui/useDone';
import { worthAction, writeOrderAction } from './actions';

const NAMES_ID = 'names-of-who-orders';

interface OrderFormProps extends LineChoices {
  readonly base: OrderBase | null;
  readonly values: OrderInput;
  readonly channels: readonly KnownChannel[];
  /** Of who buys. */
  readonly names: readonly string[];
}

/** What somebody asks for, and what it is to cost. */
export function OrderForm({ base, values, channels, names, patterns, stones }: OrderFormProps) {
  const onDone = useDone<{ readonly number: number }>(
    ({ number }) => (base ? 'It is changed.' : `It is written down: ${tag('order', number)}.`),
    ({ number }) => `/orders/${tag('order', number)}`,
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: OrderInput,
    defaultValues: values,
    send: useCallback((key: string, input: OrderInput) => writeOrderAction(key, base, input), [base]),
    onDone,
    typedFor: base ? String(base.number) : 'new',
  });
  const { control } = form;
  const chosen = useWatch({ control, name: 'channel' });
  const channel = channels.find(({ id }) => id === chosen);
  return (
    <FormProvider {...form}>
      <FormBox onSubmit={submit} className="mt-4 space-y-4">
        <section className="leaf grid items-start gap-3 p-4 sm:grid-cols-2" aria-label="For whom">
          <TextField control={control} name="buyer" label="Who asks for it" list={NAMES_ID} />
          <datalist id={NAMES_ID}>
            {names.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          <ChoiceField
            control={control}
            name="channel"
            label="How it is sold"
            choices={channels.map(({ id, name }) => ({ value: id, text: name }))}
          />
          <NotesField control={control} name="address" label="Their address" hint="As papers say it" />
          <NotesField
            control={control}
            name="wishes"
            label="What they wish"
            hint="It stands on the quote, and with the batch it is made in"
          />
        </section>
        <section className="leaf p-4">
          <h2>What is asked for</h2>
          <BatchLines
            patterns={patterns}
            stones={stones}
            empty={EMPTY_ORDER_LINE}
            more={(index) => (
              <div className="mt-2 sm:w-52">
                <MoneyField control={control} name={`lines.${index}.price`} label="Price of one" />
              </div>
            )}
          />
        </section>
        {channel && <Worth channel={channel} />}
        <section className="leaf grid items-start gap-3 p-4 sm:grid-cols-2" aria-label="Until when">
          <TextField control={control} name="validUntil" label="Prices hold until" type="date" />
          <TextField control={control} name="dueOn" label="Wanted by" type="date" />
          <MoneyField control={control} name="deposit" label="Asked before it is begun" />
          <NumberField
            control={control}
            name="payDays"
            label="Time to pay the rest"
            unit="days"
            hint="0: when it is handed over"
          />
        </section>
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action={base ? 'Change the quote' : 'Write the quote'}
          busy="Writing …"
        />
      </FormBox>
    </FormProvider>
  );
}

/** What the order comes to as it is typed: what is to pay, what of it comes to the studio, and what it costs to make. */
function Worth({ channel }: { channel: KnownChannel }) {
  const currency = useCurrency();
  const { control, setValue } = useFormContext<OrderInput>();
  const typed = useWatch({ control, name: 'lines' });
  const dueOn = useWatch({ control, name: 'dueOn' });
  const takings = useTakings(
    // What they are to cost changes nothing of what they take.
    typed.map(({ price: _, ...line }) => line),
    String(dueOn ?? ''),
    worthAction,
  );
  if (!takings || takings.lines.length === 0) return null;
  const read = typed.map((line) => readSoFar(OrderInput, { lines: [line] }).lines?.[0]);
  const priced = read.flatMap((line) => (line ? [{ count: line.count, price: line.price.money }] : []));
  const { total, left } = reckonOrder(priced, channel.terms, channel.rounding);
  const costs = takings.lines.reduce(
    (sum, { sale, count }) => sum + toMinor(sale.sheet.total.actual) * count,
    0,
  );
  const isWhole = priced.length === typed.length && takings.lines.length === typed.length;
  return (
    <section className="leaf p-4" aria-label="What it comes to" aria-live="polite">
      <h2>What it comes to</h2>
      <ul className="divide-y divide-base-300">
        {takings.lines.map((line) => (
          <Proposed
            key={line.line}
            line={line}
            channel={channel}
            onTake={(price) =>
              setValue(`lines.${line.line - 1}.price`, `${plainMoney(price, currency)} ${currency}`, {
                shouldDirty: true,
                shouldValidate: true,
              })
            }
          />
        ))}
      </ul>
      {isWhole && (
        <>
          <p className="mt-2 text-2xl font-semibold">
            <Money of={total.gross} /> to pay
          </p>
          {total.tax > 0 && (
            <p className="muted">
              with <Money of={total.tax} /> of tax
            </p>
          )}
          <p>
            <Money of={left} /> comes to you, <Money of={minor(left - costs)} /> over what it costs to make.
          </p>
          {left < costs && (
            <p className="mt-1 border-l-4 border-warning pl-3 font-semibold">It sells below its cost.</p>
          )}
        </>
      )}
    </section>
  );
}

/** What a line costs to make, and what such pieces are asked for there: it is taken with a press. */
function Proposed({
  line: { name, count, sale },
  channel,
  onTake,
}: {
  line: LineTakings;
  channel: KnownChannel;
  onTake: (price: MinorUnits) => void;
}) {
  const { places } = currencyOf(useCurrency());
  const asked = priceIn(sale.price, channel.pricing, places);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <span className="[overflow-wrap:anywhere]">
        <span className="font-semibold">{count === 1 ? name : `${count} × ${name}`}</span>{' '}
        <span className="muted">
          <Money of={toMinor(sale.sheet.total.actual)} /> to make one
        </span>
      </span>
      <button type="button" className="btn ml-auto min-h-11" onClick={() => onTake(asked)}>
        Ask <Money of={asked} />
        <span className="muted font-normal">
          {sale.isReckoned ? 'which keeps your margin' : 'as on the last tag'}
        </span>
      </button>
    </li>
  );
}
