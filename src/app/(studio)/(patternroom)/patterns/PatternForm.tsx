'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo } from 'react';
import { useFieldArray, useWatch, type Control } from 'react-hook-form';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { describeSpec } from '@/core/wire/spec';
import type { PatternBase } from '@/studio/patterns/writePattern';
import { WritePatternInput } from '@/studio/patterns/writePattern.input';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import {
  ChoiceField,
  LengthField,
  MoneyField,
  NotesField,
  NumberField,
  TextField,
  TickField,
} from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { writePatternAction } from './actions';
import { PatternSoFar } from './PatternSoFar';

interface PatternFormProps {
  readonly base: PatternBase | null;
  readonly specs: readonly KnownSpec[];
  readonly defaultValues: WritePatternInput;
}

type FormControl = Control<WritePatternInput>;
type Choices = readonly { readonly value: string; readonly text: string }[];

export function PatternForm({ base, specs, defaultValues }: PatternFormProps) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback(
    (key: string, values: WritePatternInput) => writePatternAction(key, base, values),
    [base],
  );
  const onDone = useCallback(
    ({ number, revision }: { number: number; revision: number }) => {
      toast(
        revision === 1 ? `Written: it is ${tag('pattern', number)}.` : `Written as revision ${revision}.`,
      );
      router.push(`/patterns/${tag('pattern', number)}`);
    },
    [router, toast],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: WritePatternInput,
    defaultValues,
    send,
    onDone,
  });
  const { control, formState } = form;
  const wires = useMemo(() => specs.map((spec) => ({ value: spec.id, text: describeSpec(spec) })), [specs]);
  return (
    <FormBox
      onSubmit={submit}
      className="mt-4 grid grid-cols-1 items-start gap-4 xl:grid-cols-[minmax(0,3fr)_minmax(22rem,2fr)]"
    >
      <div className="space-y-4">
        <section className="leaf grid gap-4 p-4 sm:grid-cols-[2fr_1fr]">
          <TextField control={control} name="name" label="Name of the pattern" />
          <ChoiceField
            control={control}
            name="kind"
            label="It makes a"
            choices={PATTERN_KINDS.map((kind) => ({ value: kind, text: kind }))}
          />
          <div className="sm:col-span-2">
            <NotesField control={control} name="notes" label="Notes" />
          </div>
        </section>
        <Cuts
          control={control}
          wires={wires}
          missing={formState.errors.cuts?.message ?? formState.errors.cuts?.root?.message}
        />
        <Parts control={control} />
        <Steps control={control} />
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action={base ? 'Save the new revision' : 'Save pattern'}
          busy="Writing …"
        />
      </div>
      <Preview control={control} specs={specs} />
    </FormBox>
  );
}

function Preview({ control, specs }: { control: FormControl; specs: readonly KnownSpec[] }) {
  const values = useWatch({ control }) as WritePatternInput;
  return <PatternSoFar values={values} specs={specs} />;
}

function Cuts({
  control,
  wires,
  missing,
}: {
  control: FormControl;
  wires: Choices;
  missing: string | undefined;
}) {
  const { fields, append, remove } = useFieldArray({ control, name: 'cuts' });
  return (
    <section className="leaf p-4">
      <h2>Wires to cut</h2>
      {missing && <p className="font-semibold text-error">{missing}</p>}
      {fields.map(({ id }, index) => (
        <fieldset key={id} className="mt-3 border-t border-base-300 pt-3 first-of-type:border-0">
          <legend className="sr-only">Wire {index + 1}</legend>
          <div className="grid gap-3 sm:grid-cols-[3fr_4fr_1fr]">
            <TextField
              control={control}
              name={`cuts.${index}.name`}
              label="Called"
              placeholder="frame wire"
            />
            <ChoiceField control={control} name={`cuts.${index}.specId`} label="Cut from" choices={wires} />
            <NumberField control={control} name={`cuts.${index}.count`} label="How many" />
          </div>
          <div className="mt-3 grid items-start gap-3 sm:grid-cols-[minmax(11rem,1fr)_2fr]">
            <LengthField
              control={control}
              name={`cuts.${index}.net`}
              label="Net length of each"
              hint="What the piece itself takes"
            />
            <Allowances control={control} index={index} />
          </div>
          {fields.length > 1 && <RemoveButton what={`wire ${index + 1}`} onClick={() => remove(index)} />}
        </fieldset>
      ))}
      <AddButton onClick={() => append({ name: '', specId: '', count: '1', net: '', allowances: [] })}>
        Another wire
      </AddButton>
    </section>
  );
}

function Allowances({ control, index }: { control: FormControl; index: number }) {
  const { fields, append, remove } = useFieldArray({ control, name: `cuts.${index}.allowances` });
  return (
    <div>
      <p className="mb-0.5 text-sm font-semibold">Allowances</p>
      {fields.map(({ id }, each) => (
        <div key={id} className="mb-2 grid grid-cols-[1fr_1fr_auto] items-start gap-2">
          <TextField
            control={control}
            name={`cuts.${index}.allowances.${each}.name`}
            label={`Allowance ${each + 1}`}
            hideLabel
            placeholder="tail"
          />
          <LengthField
            control={control}
            name={`cuts.${index}.allowances.${each}.length`}
            label={`Length of allowance ${each + 1}`}
            hideLabel
          />
          <RemoveButton what={`allowance ${each + 1}`} onClick={() => remove(each)} quiet />
        </div>
      ))}
      <AddButton onClick={() => append({ name: '', length: '' })}>An allowance</AddButton>
    </div>
  );
}

function Parts({ control }: { control: FormControl }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'parts' });
  return (
    <section className="leaf p-4">
      <h2>Beads, stones and findings</h2>
      {fields.map(({ id }, index) => (
        <div
          key={id}
          className="mt-2 grid grid-cols-[1fr_auto] items-start gap-x-2 gap-y-2 sm:grid-cols-[1fr_6rem_9rem_auto]"
        >
          <div className="col-span-2 sm:col-span-1">
            <TextField
              control={control}
              name={`parts.${index}.name`}
              label="What"
              placeholder="4 mm round carnelian"
            />
          </div>
          <NumberField control={control} name={`parts.${index}.count`} label="How many" />
          <MoneyField control={control} name={`parts.${index}.unitCost`} label="Each costs" />
          <div className="self-center">
            <RemoveButton what={`bead or finding ${index + 1}`} onClick={() => remove(index)} quiet />
          </div>
        </div>
      ))}
      <AddButton onClick={() => append({ name: '', count: '1', unitCost: '' })}>
        A bead, stone or finding
      </AddButton>
    </section>
  );
}

function Steps({ control }: { control: FormControl }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'steps' });
  return (
    <section className="leaf p-4">
      <h2>Steps</h2>
      {fields.map(({ id }, index) => (
        <div
          key={id}
          className="mt-2 grid grid-cols-[1fr_auto] items-start gap-x-2 sm:grid-cols-[1fr_8rem_auto_auto]"
        >
          <div className="col-span-2 sm:col-span-1">
            <TextField
              control={control}
              name={`steps.${index}.name`}
              label={`Step ${index + 1}`}
              placeholder="bind the frame"
            />
          </div>
          <NumberField control={control} name={`steps.${index}.minutes`} label="Minutes" unit="min" />
          <div className="self-center pt-5">
            <TickField control={control} name={`steps.${index}.perSitting`} label="once a sitting" />
          </div>
          <div className="self-center pt-5">
            <RemoveButton what={`step ${index + 1}`} onClick={() => remove(index)} quiet />
          </div>
        </div>
      ))}
      <AddButton onClick={() => append({ name: '', minutes: '', perSitting: false })}>Another step</AddButton>
    </section>
  );
}
