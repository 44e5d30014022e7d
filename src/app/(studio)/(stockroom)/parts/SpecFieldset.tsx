'use client';

import { useWatch, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { GAUGE_SYSTEMS } from '@/core/wire/gauge';
import { FINISHES, METALS, TEMPERS } from '@/core/wire/metal';
import { DRAWN_PROFILES, hasOwnHeight, type Profile } from '@/core/wire/profile';
import type { WireSpecInput } from '@/studio/wire/receiveWire.input';
import { ChoiceField, LengthField, TextField } from '@/ui/form/fields';

const GAUGE_NAMES = { AWG: 'AWG (B&S)', SWG: 'SWG', mm: 'millimetres' } as const;

/** Choices that are said as they are called. */
export const same = (values: readonly string[]) => values.map((value) => ({ value, text: value }));

/** The fields that say what wire something is. @param at the path of a field, where they are not the form's own */
export function SpecFieldset<Values extends FieldValues>({
  control,
  at: path = (name) => name as FieldPath<Values>,
}: {
  control: Control<Values>;
  at?: (name: string) => FieldPath<Values>;
}) {
  const at = (name: keyof WireSpecInput) => path(name);
  const [profile, system, finish] = useWatch({
    control,
    name: [at('profile'), at('gaugeSystem'), at('finish')],
  });
  const shaped = hasOwnHeight(profile as Profile);
  return (
    <div className="mt-2 grid gap-4 sm:grid-cols-3">
      <ChoiceField
        control={control}
        name={at('metal')}
        label="Metal"
        choices={METALS.map(({ id, name }) => ({ value: id, text: name }))}
      />
      <ChoiceField control={control} name={at('profile')} label="Profile" choices={same(DRAWN_PROFILES)} />
      <ChoiceField control={control} name={at('temper')} label="Temper" choices={same(TEMPERS)} />
      <TextField
        control={control}
        name={at('gaugeNumber')}
        label={shaped ? 'Width on the label' : 'Size on the label'}
        placeholder={system === 'mm' ? '0.8' : '20'}
      />
      <ChoiceField
        control={control}
        name={at('gaugeSystem')}
        label="Numbers are"
        choices={GAUGE_SYSTEMS.map((value) => ({ value, text: GAUGE_NAMES[value] }))}
      />
      {shaped && (
        <LengthField bare="mm" control={control} name={at('height')} label="Height" placeholder="0.4 mm" />
      )}
      <ChoiceField control={control} name={at('finish')} label="Finish" choices={same(FINISHES)} />
      {finish !== 'bare' && (
        <TextField
          control={control}
          name={at('finishName')}
          label="Which colour or plating"
          placeholder="teal"
        />
      )}
    </div>
  );
}
