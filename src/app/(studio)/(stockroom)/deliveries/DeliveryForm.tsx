'use client';

import { Copy } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo } from 'react';
import { useFieldArray, useWatch, type Control, type FieldPath } from 'react-hook-form';
import { SHARED_BY, type LandedLine } from '@/core/stock/delivery';
import { tag } from '@/core/tag';
import { CURRENCIES, formatMoney } from '@/core/units/money';
import {
  DELIVERED,
  DeliveryInput,
  type DeliveredWare,
  type DeliveryLine,
} from '@/studio/deliveries/delivery.input';
import { ChoiceField, MassField, MoneyField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { useSameCurrency } from '@/ui/form/useSameCurrency';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useCurrency } from '@/ui/currency';
import { Money } from '@/ui/money';
import { useToast } from '@/ui/toasts';
import { Hints, type PurchaseHints } from '../parts/PurchaseFieldset';
import { BLANK, WareFields } from '../parts/WareFields';
import { receiveDeliveryAction } from './actions';
import { reckonDelivery, sayLine } from './reckonDelivery';
import { WARE_WORDS } from './wareWords';

const blankLine = (ware: DeliveredWare): DeliveryLine =>
  ({ ...BLANK[ware], ware, costIs: 'paid', price: '', place: '', weight: '' }) as unknown as DeliveryLine;

/** The amounts of the invoice. */
const amountsOf = ({ lines }: DeliveryInput): FieldPath<DeliveryInput>[] => [
  'postage',
  'tax',
  ...lines.map((_, index) => `lines.${index}.price` as const),
];

/** A delivery: what it has in common, its lines one below the other, and what each comes to with its share of the rest. */
export function DeliveryForm({
  hints,
  again,
}: {
  hints: PurchaseHints;
  /** What is ordered once more; its lines are filled in. */
  again:
    | (Pick<DeliveryInput, 'supplier' | 'currency' | 'sharedBy'> & { readonly lines: readonly object[] })
    | null;
}) {
  const router = useRouter();
  const toast = useToast();
  const own = useCurrency();
  const defaultValues: DeliveryInput = useMemo(
    () => ({
      supplier: '',
      currency: own,
      sharedBy: 'value',
      ...again,
      boughtOn: hints.today,
      note: '',
      postage: '',
      tax: '',
      cameTo: '',
      lines: again ? ([...again.lines] as DeliveryLine[]) : [blankLine('wire')],
    }),
    [again, hints.today, own],
  );
  const send = useCallback((key: string, values: DeliveryInput) => receiveDeliveryAction(key, values), []);
  const onDone = useCallback(
    ({ number, lines }: { number: number; lines: number }) => {
      toast(`Received: ${lines} ${lines === 1 ? 'line' : 'lines'} of ${tag('delivery', number)}.`);
      router.push(`/deliveries/${tag('delivery', number)}`);
    },
    [router, toast],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: DeliveryInput,
    defaultValues,
    send,
    onDone,
  });
  const { control, getValues } = form;
  const { fields, append, insert, remove } = useFieldArray({ control, name: 'lines' });
  const currency = useWatch({ control, name: 'currency' });
  useSameCurrency(form, currency, amountsOf);
  return (
    <FormBox begins onSubmit={submit} className="mt-4 space-y-4">
      <Common control={control} own={own} />
      {fields.map(({ id }, index) => (
        <Line
          key={id}
          control={control}
          index={index}
          own={own}
          isOnly={fields.length === 1}
          onAgain={() => insert(index + 1, { ...getValues(`lines.${index}`) })}
          onRemove={() => remove(index)}
        />
      ))}
      <section className="leaf p-4">
        <h2>What else came?</h2>
        <div className="flex flex-wrap gap-2">
          {DELIVERED.map((ware) => (
            <AddButton key={ware} onClick={() => append(blankLine(ware))} disabled={fields.length >= 80}>
              {WARE_WORDS[ware]}
            </AddButton>
          ))}
        </div>
      </section>
      <Sum control={control} own={own} />
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Put it all away"
        busy="Posting …"
      />
      <Hints id="suppliers" names={hints.suppliers} />
      <Hints id="places" names={hints.places} />
    </FormBox>
  );
}

interface PartProps {
  readonly control: Control<DeliveryInput>;
  readonly own: string;
}

/** What the lines have in common: where it was bought, postage, tax. */
function Common({ control, own }: PartProps) {
  const currency = useWatch({ control, name: 'currency' });
  return (
    <section className="leaf p-4">
      <h2>The invoice</h2>
      <div className="mt-2 grid gap-4 sm:grid-cols-3">
        <TextField
          control={control}
          name="supplier"
          label="Supplier"
          list="suppliers"
          hint="May stay empty"
        />
        <TextField control={control} name="boughtOn" label="On" type="date" />
        <TextField
          control={control}
          name="note"
          label="On the invoice"
          hint="Number or note; may stay empty"
        />
        <MoneyField
          key={`postage ${currency}`}
          control={control}
          name="postage"
          currency={currency}
          label="Postage"
          hint="And packing; empty for none"
        />
        <MoneyField
          key={`tax ${currency}`}
          control={control}
          name="tax"
          currency={currency}
          label="Tax"
          hint="Only what you do not get back"
        />
        <ChoiceField
          control={control}
          name="sharedBy"
          label="Postage is shared"
          hint="Tax always by value, as it is charged"
          choices={SHARED_BY.map((value) => ({ value, text: `by ${value}` }))}
        />
        <ChoiceField
          control={control}
          name="currency"
          label="The invoice is in"
          choices={CURRENCIES.map(({ code, name }) => ({ value: code, text: `${name} (${code})` }))}
        />
        {currency !== own && (
          <MoneyField
            control={control}
            name="cameTo"
            label={`All of it came to, in ${own}`}
            hint="As your bank says"
          />
        )}
      </div>
    </section>
  );
}

function Line({
  control,
  index,
  own,
  isOnly,
  onAgain,
  onRemove,
}: PartProps & { index: number; isOnly: boolean; onAgain: () => void; onRemove: () => void }) {
  const [line, currency, sharedBy] = useWatch({ control, name: [`lines.${index}`, 'currency', 'sharedBy'] });
  const ware = line.ware as DeliveredWare;
  const at = (name: string) => `lines.${index}.${name}` as FieldPath<DeliveryInput>;
  return (
    <fieldset className="leaf p-4">
      <legend className="sr-only">
        Line {index + 1}: {sayLine(line)}
      </legend>
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-auto" aria-hidden="true">
          <span className="muted font-normal">{index + 1}</span> {sayLine(line)}
        </h2>
        <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={onAgain}>
          <Copy size={16} aria-hidden="true" />
          The same again<span className="sr-only">: line {index + 1}</span>
        </button>
        {!isOnly && <RemoveButton what={`line ${index + 1}`} onClick={onRemove} brief />}
      </div>
      <div className="mt-2 grid gap-4 sm:grid-cols-3">
        <WareFields ware={ware} control={control} at={at} />
        <ChoiceField
          control={control}
          name={at('costIs')}
          label="How it was got"
          choices={[
            { value: 'paid', text: 'paid for' },
            { value: 'free', text: 'a gift, put in' },
          ]}
        />
        {line.costIs !== 'free' && (
          <MoneyField
            key={currency}
            control={control}
            name={at('price')}
            currency={currency}
            label="Price of the line"
            hint="Before postage and tax"
          />
        )}
        <TextField
          control={control}
          name={at('place')}
          label="Put it in"
          list="places"
          placeholder="Silver drawer"
        />
        {sharedBy === 'weight' && line.costIs !== 'free' && (
          <MassField
            control={control}
            name={at('weight')}
            label="Weighs, packed"
            hint={ware === 'wire' ? 'Empty: what the wire weighs' : 'For its share of the postage'}
          />
        )}
      </div>
      <Landed control={control} own={own} index={index} />
    </fieldset>
  );
}

/** What a line comes to, once all can be shared out. */
function Landed({ control, own, index }: PartProps & { index: number }) {
  const values = useWatch({ control }) as DeliveryInput;
  const landed = reckonDelivery(values, own).landed?.[index];
  if (!landed || landed.paid === 0) return null;
  return (
    <p className="mt-3 border-l-4 border-base-300 p-2 text-sm" aria-live="polite">
      Comes to <strong>{formatMoney(landed.paid, values.currency)}</strong>
      <Shares of={landed} currency={values.currency} />
      {values.currency !== own && landed.cost > 0 && (
        <>
          , which is <Money of={landed.cost} />
        </>
      )}
    </p>
  );
}

function Shares({ of: { postage, tax }, currency }: { of: LandedLine; currency: string }) {
  const shares = [
    ...(postage > 0 ? [`${formatMoney(postage, currency)} of the postage`] : []),
    ...(tax > 0 ? [`${formatMoney(tax, currency)} of the tax`] : []),
  ];
  return shares.length === 0 ? null : <> with {shares.join(' and ')}</>;
}

function Sum({ control, own }: PartProps) {
  const values = useWatch({ control }) as DeliveryInput;
  const { total, why } = reckonDelivery(values, own);
  return (
    <p className="leaf p-4 font-display text-lg" aria-live="polite">
      {total > 0 ? (
        <>
          {values.lines.length} {values.lines.length === 1 ? 'line' : 'lines'},{' '}
          {formatMoney(total, values.currency)} with postage and tax: this is what should stand on the
          invoice.
        </>
      ) : (
        <span className="muted">The sum of the invoice stands here as you type.</span>
      )}
      {total > 0 && why && <span className="block text-base">{why}</span>}
    </p>
  );
}
