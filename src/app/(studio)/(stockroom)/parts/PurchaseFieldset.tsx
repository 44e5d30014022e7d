'use client';

import { useState } from 'react';
import { useWatch, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { COST_IS, COST_IS_WORDS } from '@/core/stock/costIs';
import { CURRENCIES } from '@/core/units/money';
import type { PurchaseFields } from '@/studio/stock/purchase.input';
import type { PurchaseAgain } from '@/studio/deliveries/again';
import type { DeliveredWare } from '@/studio/deliveries/delivery.input';
import { ChoiceField, MoneyField, TextField } from '@/ui/form/fields';
import { useCurrency } from '@/ui/currency';
import { BLANK } from './WareFields';

/** What is known of purchases before: offered while one types. */
export interface PurchaseHints {
  readonly suppliers: readonly string[];
  readonly places: readonly string[];
  readonly today: string;
}

/** Values of a purchase nothing is said of yet. */
export const noPurchase = (today: string): PurchaseFields => ({
  price: '',
  costIs: 'paid',
  supplier: '',
  boughtOn: today,
  place: '',
  note: '',
  paid: '',
});

/** Values of a form that takes something in: of a purchase that is made again, today; else with nothing said yet. */
export function againValues(
  ware: DeliveredWare,
  today: string,
  again: PurchaseAgain | null,
): Readonly<Record<string, string>> {
  const blank: PurchaseFields & Readonly<Record<string, string>> = { ...BLANK[ware], ...noPurchase(today) };
  if (again?.ware !== ware) return blank;
  const own = Object.entries(again.line).filter(([field]) => field in blank);
  return { ...blank, ...Object.fromEntries(own), supplier: again.supplier };
}

/** Names to choose from while typing. */
export function Hints({ id, names }: { id: string; names: readonly string[] }) {
  return (
    <datalist id={id}>
      {names.map((name) => (
        <option key={name} value={name} />
      ))}
    </datalist>
  );
}

/** The fields of a purchase: price, supplier, day, where it is put, what stands on the invoice. */
export function PurchaseFieldset<Values extends FieldValues & PurchaseFields>({
  control,
  hints,
}: {
  control: Control<Values>;
  hints: PurchaseHints;
}) {
  const at = (name: keyof PurchaseFields) => name as FieldPath<Values>;
  const own = useCurrency();
  const costIs = useWatch({ control, name: at('costIs') }) as string;
  const [abroad, setAbroad] = useState('');
  return (
    <fieldset className="mt-5">
      <legend className="font-display font-semibold">The purchase</legend>
      <div className="mt-2 grid gap-4 sm:grid-cols-3">
        <ChoiceField
          control={control}
          name={at('costIs')}
          label="How it was got"
          choices={COST_IS.map((value) => ({ value, text: COST_IS_WORDS[value] }))}
        />
        {costIs !== 'free' && (
          <MoneyField
            control={control}
            name={at('price')}
            label={costIs === 'estimated' ? 'Worth about' : 'Paid for it'}
          />
        )}
        <TextField
          control={control}
          name={at('supplier')}
          label="Supplier"
          list="suppliers"
          hint="May stay empty"
        />
        <TextField control={control} name={at('boughtOn')} label="On" type="date" />
        <TextField
          control={control}
          name={at('place')}
          label="Put it in"
          list="places"
          placeholder="Silver drawer"
          hint="A drawer, a peg, a tin"
        />
        <TextField
          control={control}
          name={at('note')}
          label="On the invoice"
          hint="Number or note; may stay empty"
        />
        <div>
          <label className="mb-0.5 block text-sm font-semibold" htmlFor="abroad">
            Paid in another currency
          </label>
          <select
            id="abroad"
            className="select w-full text-base"
            value={abroad}
            onChange={(event) => setAbroad(event.target.value)}
          >
            <option value="">No</option>
            {CURRENCIES.filter(({ code }) => code !== own).map(({ code, name }) => (
              <option key={code} value={code}>
                {name} ({code})
              </option>
            ))}
          </select>
        </div>
        {abroad !== '' && (
          <MoneyField
            key={abroad}
            control={control}
            name={at('paid')}
            currency={abroad}
            label={`Paid in ${abroad}`}
            hint={`Kept beside what it was in ${own}`}
          />
        )}
      </div>
      <Hints id="suppliers" names={hints.suppliers} />
      <Hints id="places" names={hints.places} />
    </fieldset>
  );
}
