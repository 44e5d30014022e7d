'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useController, useWatch } from 'react-hook-form';
import { priceBasis } from '@/core/costing/price';
import { priceBySchools, verdictOn, type SchoolPrice } from '@/core/costing/priceSchools';
import { formatMoney, minor, plainMoney } from '@/core/units/money';
import type { PieceMoney } from '@/studio/shelf/shelf';
import { readSoFar } from '@/studio/kernel/readInput';
import { PricePieceInput } from '@/studio/shelf/pricePiece.input';
import { MoneyField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useCurrency } from '@/ui/currency';
import { Money, MoneyAbout } from '@/ui/money';
import { useToast } from '@/ui/toasts';
import { WhenSeen } from '@/ui/WhenSeen';
import { pricePieceAction } from './actions';
import { Said } from '@/ui/house';

/** Charts are heavy and not needed for reading the numbers, so they come when they are seen. */
const PriceStacks = dynamic(() => import('./PriceStacks').then((module) => module.PriceStacks), {
  ssr: false,
  loading: () => <div className="h-72" />,
});

interface PricesProps {
  readonly piece: { readonly number: number; readonly version: number };
  readonly money: PieceMoney;
}

/** Five schools on the same piece: as stacks of what each price is made of, in numbers, and one to choose. */
export function Prices({ piece, money }: PricesProps) {
  const router = useRouter();
  const toast = useToast();
  const currency = useCurrency();
  const { sheet, settings, goingPrice, school } = money;
  const send = useCallback(
    (key: string, values: PricePieceInput) => pricePieceAction(key, piece.number, values),
    [piece.number],
  );
  const onDone = useCallback(
    ({ price }: { price: number }) => {
      toast(`Priced at ${formatMoney(minor(price), currency)}.`);
      router.refresh();
    },
    [currency, router, toast],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: PricePieceInput,
    defaultValues: {
      version: String(piece.version),
      school: school ?? '',
      goingPrice: goingPrice === null ? '' : `${plainMoney(goingPrice, currency)} ${currency}`,
    },
    send,
    onDone,
  });
  // After pricing the page comes anew with the next version; the form follows it.
  form.setValue('version', String(piece.version));
  const { control } = form;
  const goingTyped = useWatch({ control, name: 'goingPrice' });
  const going = readSoFar(PricePieceInput, { goingPrice: goingTyped }).goingPrice?.money ?? null;
  const schools = priceBySchools(priceBasis(sheet, settings.priceFrom), settings, going);
  const { field, fieldState } = useController({ control, name: 'school' });
  return (
    <FormBox onSubmit={submit} className="leaf p-4">
      <h2>Five ways to price it</h2>
      <div className="no-print">
        <WhenSeen className="h-72">
          <PriceStacks schools={schools} chosen={field.value} />
        </WhenSeen>
      </div>
      <fieldset className="mt-3">
        <legend className="sr-only">Choose a price</legend>
        <div className="overflow-x-auto">
          <table className="table table-sm">
            <thead>
              <tr>
                <th>School</th>
                <th className="text-right">Price</th>
                <th className="text-right">Profit</th>
                <th className="text-right">An hour earns</th>
              </tr>
            </thead>
            <tbody>
              {schools.map((each) => (
                <SchoolRow
                  key={each.id}
                  school={each}
                  settings={settings}
                  checked={field.value === each.id}
                  name={field.name}
                  onChoose={() => field.onChange(each.id)}
                />
              ))}
            </tbody>
          </table>
        </div>
        {fieldState.error && (
          <p className="mt-1 font-semibold text-error">
            <Said>{fieldState.error.message ?? ''}</Said>
          </p>
        )}
      </fieldset>
      <div className="no-print mt-3 max-w-xs">
        <MoneyField
          control={control}
          name="goingPrice"
          label="What such pieces sell for"
          hint="The market’s price, if you know it"
        />
      </div>
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Put this price on it"
        busy="Posting …"
      />
    </FormBox>
  );
}

interface SchoolRowProps {
  readonly school: SchoolPrice;
  readonly settings: PieceMoney['settings'];
  readonly checked: boolean;
  readonly name: string;
  readonly onChoose: () => void;
}

function SchoolRow({
  school: { id, name: title, rule, outcome },
  settings,
  checked,
  name,
  onChoose,
}: SchoolRowProps) {
  const currency = useCurrency();
  return (
    <tr className={checked ? 'bg-base-200' : ''}>
      <th scope="row" className="font-normal">
        <label className="flex min-h-11 cursor-pointer items-center gap-3">
          <input
            type="radio"
            className="radio radio-primary"
            name={name}
            value={id}
            checked={checked}
            onChange={onChoose}
            disabled={!outcome.ok}
          />
          <span>
            <span className="font-semibold">{title}</span>
            <span className="muted block text-sm">{rule}</span>
          </span>
        </label>
      </th>
      {outcome.ok ? (
        <>
          <td className="text-right text-lg font-semibold">
            <Money of={outcome.value.price} />
          </td>
          <td className="text-right">
            <MoneyAbout of={outcome.value.profit} />
          </td>
          <td className="text-right">
            {outcome.value.perHour === null ? '—' : <MoneyAbout of={outcome.value.perHour} />}
            <span className="muted block text-sm">
              <Said>{verdictOn(outcome.value, settings, currency)}</Said>
            </span>
          </td>
        </>
      ) : (
        <td colSpan={3} className="muted">
          {outcome.error}
        </td>
      )}
    </tr>
  );
}
