'use client';

import { useFormState, useWatch, type Control } from 'react-hook-form';
import { PAID_BY } from '@/core/selling/sale';
import { numberOnTag } from '@/core/tag';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import { LET_GO, type LetGo, type SellInput } from '@/studio/selling/sell.input';
import { ChoiceField, MoneyField, NumberField } from '@/ui/form/fields';
import { RemoveButton } from '@/ui/form/RowButtons';
import { SmallPicture } from '@/ui/SmallPicture';

/** What is shown of a piece that is sold. */
export interface ShownPiece {
  readonly number: number;
  readonly name: string;
  readonly size: string;
  /** Whom it is kept for; null where it is kept for nobody. */
  readonly keptFor: string | null;
}

/** An amount as it stands in a field. */
export const typedMoney = (amount: MinorUnits, currency: string): string =>
  `${plainMoney(amount, currency)} ${currency}`;

/** The pieces of a sale with their prices; each can be taken out again. */
export function SoldRows({
  control,
  fields,
  known,
  onRemove,
}: {
  control: Control<SellInput>;
  fields: readonly { readonly id: string }[];
  known: ReadonlyMap<number, ShownPiece>;
  onRemove: (index: number) => void;
}) {
  const rows = useWatch({ control, name: 'pieces' });
  return (
    <ul className="divide-y divide-base-300">
      {fields.map(({ id }, index) => {
        const tagged = rows[index]?.piece ?? '';
        const piece = known.get(numberOnTag('piece', tagged) ?? 0);
        return (
          <li key={id} className="py-2">
            <div
              role="group"
              aria-label={tagged}
              className="grid grid-cols-[5rem_minmax(0,1fr)_auto] items-center gap-3 sm:grid-cols-[6rem_minmax(0,1fr)_11rem_auto]"
            >
              {piece ? <SmallPicture of="piece" number={piece.number} name={piece.name} /> : <span />}
              <span className="[overflow-wrap:anywhere]">
                <span className="font-semibold">{piece?.name}</span> <span className="muted">{tagged}</span>
                {piece && piece.size !== '' && <span className="block">{piece.size}</span>}
                {piece && piece.keptFor !== null && <KeptFor who={piece.keptFor} />}
                <Told control={control} index={index} />
              </span>
              <span className="order-last col-span-2 sm:order-none sm:col-span-1">
                <MoneyField control={control} name={`pieces.${index}.asked`} label="Asked for it" />
              </span>
              <RemoveButton quiet what={tagged} onClick={() => onRemove(index)} />
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** That a piece is kept for somebody: who sells it ought to know. */
export const KeptFor = ({ who }: { who: string }) => (
  <span className="block border-l-4 border-warning pl-2 font-semibold">
    kept for {who === '' ? 'somebody' : who}
  </span>
);

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

const LET_GO_SAID: Readonly<Record<LetGo, string>> = {
  nothing: 'nothing: the prices as they are',
  'a part': 'a part of them',
  'an amount': 'an amount',
  'one price': 'one price for all',
};

/** What is let go of the prices. */
export function LettingGo({ control }: { control: Control<SellInput> }) {
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

/** How it is paid, as it is chosen. */
export const PAID_SAID = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
  'the channel': 'to the channel, which pays you',
} as const;

/** How it is paid. */
export const PaidField = ({ control }: { control: Control<SellInput> }) => (
  <ChoiceField
    control={control}
    name="paidBy"
    label="Paid"
    choices={PAID_BY.map((value) => ({ value, text: PAID_SAID[value] }))}
  />
);

/** Cash that was handed over: what is given back is told. */
export function Given({ control }: { control: Control<SellInput> }) {
  if (useWatch({ control, name: 'paidBy' }) !== 'cash') return null;
  return <MoneyField control={control} name="given" label="Handed over" hint="Then the change is told" />;
}
