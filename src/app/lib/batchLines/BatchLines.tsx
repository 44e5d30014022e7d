'use client';

import { useMemo, type ReactNode } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { tag } from '@/core/tag';
import { METALS } from '@/core/wire/metal';
import type { BatchLineInput } from '@/studio/batches/planBatch.input';
import type { PatternChoice } from '@/studio/patterns/patterns';
import { ChoiceField, LengthField, NumberField } from '@/ui/form/fields';
import { RingField } from '@/ui/form/RingField';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';

type Choices = readonly { readonly value: string; readonly text: string }[];

/** What pieces can be made of, and for. */
export interface LineChoices {
  readonly patterns: readonly PatternChoice[];
  readonly stones: Choices;
}

const METAL_CHOICES: Choices = [
  { value: '', text: 'as the pattern says' },
  ...METALS.map(({ id, name }) => ({ value: id, text: name })),
];

/** A form that has lines of pieces, whatever else it has. */
interface WithLines {
  lines: BatchLineInput[];
}

/**
 * Pieces of patterns, how many of each, in which metal, for which stones and sizes: the lines of the form around it.
 * @param empty what another line begins with
 * @param more what a line has besides, by its place
 */
export function BatchLines({
  patterns,
  stones,
  empty,
  more,
}: LineChoices & { empty: BatchLineInput; more?: (index: number) => ReactNode }) {
  const { control, formState } = useFormContext<WithLines>();
  const { fields, append, remove } = useFieldArray({ control, name: 'lines' });
  const choices = useMemo(
    () =>
      patterns.map(({ number, name }) => ({
        value: String(number),
        text: `${name} ${tag('pattern', number)}`,
      })),
    [patterns],
  );
  return (
    <>
      {formState.errors.lines?.root?.message && (
        <p className="font-semibold text-error">{formState.errors.lines.root.message}</p>
      )}
      {fields.map(({ id }, index) => (
        <fieldset key={id} className="mt-3 border-t border-base-300 pt-3 first-of-type:border-0">
          <legend className="sr-only">Pieces {index + 1}</legend>
          <div className="grid items-start gap-3 sm:grid-cols-[minmax(0,3fr)_6rem_minmax(0,2fr)_auto]">
            <ChoiceField
              control={control}
              name={`lines.${index}.pattern`}
              label="Pattern"
              choices={choices}
            />
            <NumberField control={control} name={`lines.${index}.count`} label="How many" />
            <ChoiceField
              control={control}
              name={`lines.${index}.metal`}
              label="Metal"
              choices={METAL_CHOICES}
            />
            <div className="pt-6">
              {fields.length > 1 && (
                <RemoveButton what={`pieces ${index + 1}`} onClick={() => remove(index)} quiet />
              )}
            </div>
          </div>
          <MadeFor index={index} patterns={patterns} stones={stones} />
          {more?.(index)}
        </fieldset>
      ))}
      <AddButton onClick={() => append(empty)}>Another pattern</AddButton>
    </>
  );
}

/** What the pieces are made for, as far as their pattern asks for it. */
function MadeFor({ index, patterns, stones }: LineChoices & { index: number }) {
  const { control } = useFormContext<WithLines>();
  const chosen = useWatch({ control, name: `lines.${index}.pattern` });
  const measures = patterns.find(({ number }) => String(number) === chosen)?.measures ?? [];
  const own = [{ value: '', text: 'the stone of the pattern' }, ...stones];
  if (measures.length === 0) return null;
  return (
    <div className="mt-2 grid items-start gap-3 sm:grid-cols-3">
      {measures.includes('stone') && (
        <ChoiceField control={control} name={`lines.${index}.stone`} label="For the stone" choices={own} />
      )}
      {measures.includes('ring') && (
        <RingField
          control={control}
          name={`lines.${index}.ring`}
          label="Ring size"
          placeholder="US 7, UK N½, 17.3 mm"
          hint="Empty for the pattern’s own"
        />
      )}
      {measures.includes('bead') && (
        <LengthField
          control={control}
          name={`lines.${index}.bead`}
          bare="mm"
          label="Bead, along its hole"
          placeholder="6 mm"
          hint="Empty for the pattern’s own"
        />
      )}
    </div>
  );
}
