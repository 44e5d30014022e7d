'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo } from 'react';
import { useFieldArray, useWatch, type Control } from 'react-hook-form';
import { tag } from '@/core/tag';
import { METALS } from '@/core/wire/metal';
import type { BatchBase } from '@/studio/batches/planBatch';
import { EMPTY_LINE, PlanBatchInput } from '@/studio/batches/planBatch.input';
import type { PatternChoice } from '@/studio/patterns/patterns';
import { ChoiceField, NotesField, NumberField, TextField, LengthField } from '@/ui/form/fields';
import { RingField } from '@/ui/form/RingField';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { planBatchAction } from './actions';
import { LiveTakings } from './LiveTakings';

type Choices = readonly { readonly value: string; readonly text: string }[];

export interface BatchFormData {
  readonly patterns: readonly PatternChoice[];
  readonly stones: Choices;
  /** What prices are set on; null for who sees no money. */
  readonly priceFrom: 'actual' | 'replacement' | null;
}

const METAL_CHOICES: Choices = [
  { value: '', text: 'as the pattern says' },
  ...METALS.map(({ id, name }) => ({ value: id, text: name })),
];

/** What is to be made, how many of each, for which stones and sizes, until when. */
export function BatchForm({
  base,
  defaultValues,
  patterns,
  stones,
  priceFrom,
}: BatchFormData & { base: BatchBase | null; defaultValues: PlanBatchInput }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback(
    (key: string, values: PlanBatchInput) => planBatchAction(key, base, values),
    [base],
  );
  const onDone = useCallback(
    ({ number }: { number: number }) => {
      toast(base ? 'Changed.' : `Planned: it is ${tag('batch', number)}.`);
      router.push(`/batches/${tag('batch', number)}`);
    },
    [base, router, toast],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: PlanBatchInput,
    defaultValues,
    send,
    onDone,
  });
  const { control, formState } = form;
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
    <FormBox onSubmit={submit} className="mt-4 space-y-4">
      <section className="leaf grid gap-4 p-4 sm:grid-cols-[2fr_1fr]">
        <TextField control={control} name="name" label="What is it for?" placeholder="Spring fair" />
        <TextField control={control} name="dueOn" label="Due on" type="date" />
        <div className="sm:col-span-2">
          <NotesField control={control} name="notes" label="Notes" />
        </div>
      </section>
      <section className="leaf p-4">
        <h2>Pieces</h2>
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
            <MadeFor control={control} index={index} patterns={patterns} stones={stones} />
          </fieldset>
        ))}
        <AddButton onClick={() => append(EMPTY_LINE)}>Another pattern</AddButton>
      </section>
      {priceFrom && <LiveTakings control={control} priceFrom={priceFrom} />}
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action={base ? 'Change the batch' : 'Plan this batch'}
        busy="Planning …"
      >
        {base && <p className="muted">What was set aside for it is set free; plan its cuts again then.</p>}
      </FormEnd>
    </FormBox>
  );
}

/** What the pieces are made for, as far as their pattern asks for it. */
function MadeFor({
  control,
  index,
  patterns,
  stones,
}: Pick<BatchFormData, 'patterns' | 'stones'> & { control: Control<PlanBatchInput>; index: number }) {
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
