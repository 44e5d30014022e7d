'use client';

import { useWatch, type Control } from 'react-hook-form';
import { CHANNEL_KINDS } from '@/core/selling/channel';
import { ChannelInput } from '@/studio/selling/channels.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, MoneyField, NumberField, TextField, TickField } from '@/ui/form/fields';
import { EndingsField } from '@/ui/form/EndingsField';
import { useCurrency } from '@/ui/currency';
import { useDone } from '@/ui/useDone';
import { writeChannelAction } from './actions';

const choices = (all: readonly string[]) => all.map((value) => ({ value, text: value }));

/** A channel with what selling there costs, to be written down or changed. */
export function ChannelForm({ id, values }: { id: string | null; values: ChannelInput }) {
  const currency = useCurrency();
  const done = useDone(() =>
    id === null ? 'It is written down.' : 'It is changed for what is sold from now on.',
  );
  return (
    <ActForm
      input={ChannelInput}
      defaultValues={values}
      send={(key, input) => writeChannelAction(key, id, input)}
      onDone={done}
      action={id === null ? 'Write it down' : 'Change it'}
      busy="Writing …"
      typedFor={id ?? 'new'}
      className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3"
    >
      {(control) => (
        <>
          <TextField control={control} name="name" label="Name" placeholder="Harbour fair" />
          <ChoiceField control={control} name="kind" label="What it is" choices={choices(CHANNEL_KINDS)} />
          <TickField control={control} name="isOpen" label="Pieces are sold there now" />
          <NumberField
            control={control}
            name="feePercent"
            label="Fee, or the shop’s share"
            unit="%"
            hint="What the channel keeps of a sale"
          />
          <ChoiceField
            control={control}
            name="feeOn"
            label="Of"
            choices={[
              { value: 'gross', text: 'what the buyer pays' },
              { value: 'net', text: 'that without tax' },
            ]}
          />
          <MoneyField control={control} name="feeFixed" label="And of every sale" />
          <MoneyField
            control={control}
            name="postageAsked"
            label="Postage that buyers pay"
            hint="Of a sale; nothing where it is handed over"
          />
          <MoneyField control={control} name="postage" label="Postage that you pay" hint="Of a sale" />
          <MoneyField control={control} name="packing" label="Box, card and wrapping" hint="Of a piece" />
          <ChoiceField
            control={control}
            name="taxKind"
            label="Prices on the tags"
            choices={[
              { value: 'none', text: 'have no tax' },
              { value: 'included', text: 'contain their tax' },
              { value: 'added', text: 'get tax added' },
            ]}
          />
          <TaxFields control={control} />
          <NumberField
            control={control}
            name="pricePercent"
            label="What is asked there"
            unit="%"
            hint="Of the price on the tag"
          />
          <EndingsField control={control} name="endings" label="Prices there end in" currency={currency} />
        </>
      )}
    </ActForm>
  );
}

/** How much tax, where there is any. */
function TaxFields({ control }: { control: Control<ChannelInput> }) {
  if (useWatch({ control, name: 'taxKind' }) === 'none') return null;
  return (
    <>
      <NumberField control={control} name="taxPercent" label="Tax" unit="%" />
      <ChoiceField
        control={control}
        name="taxRounding"
        label="Rounded"
        choices={[
          { value: 'document', text: 'once on the receipt' },
          { value: 'line', text: 'on every line of it' },
        ]}
        hint="As your tax office has it"
      />
    </>
  );
}
