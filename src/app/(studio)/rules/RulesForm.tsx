'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useController, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { DAY_ORDERS, sayDay, day } from '@/core/calendar/day';
import { METALS } from '@/core/wire/metal';
import { describeSpec } from '@/core/wire/spec';
import { ChangeSettingsInput } from '@/studio/settings/settings.input';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { EndingsField } from '@/ui/form/EndingsField';
import { Field } from '@/ui/form/Field';
import { ChoiceField, LengthField, MoneyField, NotesField, NumberField, TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { changeSettingsAction } from './actions';

type FormControl = Control<ChangeSettingsInput>;

const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone')];

/** The studio's own numbers. */
export function RulesForm({
  values,
  specs,
  currency,
}: {
  values: ChangeSettingsInput;
  specs: readonly KnownSpec[];
  currency: string;
}) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, input: ChangeSettingsInput) => changeSettingsAction(key, input), []);
  const onDone = useCallback(() => {
    toast('The house rules are changed.');
    router.refresh();
  }, [router, toast]);
  const { form, submit, problem, sending, before } = useStudioForm({
    input: ChangeSettingsInput,
    defaultValues: values,
    send,
    onDone,
  });
  const { control } = form;
  return (
    <FormBox onSubmit={submit} className="mt-4">
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="space-y-4">
          <Group title="The studio">
            <TextField control={control} name="name" label="Its name" />
            <ChoiceField
              control={control}
              name="lengthSystem"
              label="Lengths are shown in"
              choices={[
                { value: 'in', text: 'inches' },
                { value: 'mm', text: 'millimetres' },
              ]}
              hint={`Books are kept in ${currency}`}
            />
            <TextField
              control={control}
              name="timeZone"
              label="Time zone"
              list="zones"
              hint="What day it is here, and when a month begins"
            />
            <ChoiceField
              control={control}
              name="numbers"
              label="Numbers are written"
              choices={[
                { value: 'point', text: '1,250.50' },
                { value: 'comma', text: '1.250,50' },
              ]}
              hint="The other is understood where it can only mean one thing"
            />
            <ChoiceField
              control={control}
              name="days"
              label="Dates are written"
              choices={DAY_ORDERS.map((order) => ({ value: order, text: sayDay(day('2026-05-04'), order) }))}
            />
            <ChoiceField
              control={control}
              name="rings"
              label="A ring size is"
              choices={[
                { value: 'US', text: 'a US number' },
                { value: 'UK', text: 'a UK letter' },
                { value: 'ISO', text: 'the inside circumference in mm (ISO)' },
                { value: 'mm', text: 'the inside diameter in mm' },
              ]}
              hint="Any can be typed with its name: UK N½"
            />
            <ChoiceField
              control={control}
              name="sheet"
              label="Papers are printed on"
              choices={[
                { value: 'A4', text: 'A4 (210 × 297 mm)' },
                { value: 'Letter', text: 'Letter (8 1/2 × 11 in)' },
              ]}
            />
            <NotesField
              control={control}
              name="letterhead"
              label="On your papers, under your name"
              hint="Where you are, your tax number; line by line"
            />
            <NotesField
              control={control}
              name="payTo"
              label="Where invoices are paid"
              hint="Your bank and your account; at the foot of what is paid later"
            />
            <datalist id="zones">
              {ZONES.map((zone) => (
                <option key={zone} value={zone} />
              ))}
            </datalist>
          </Group>
          <Group title="Price endings">
            <EndingsField
              control={control}
              name="priceEndings"
              label="Your prices end in"
              currency={currency}
            />
            <ChoiceField
              control={control}
              name="rounding"
              label="Prices go"
              choices={[
                { value: 'up', text: 'up to the next ending' },
                { value: 'nearest', text: 'to the nearest ending' },
              ]}
            />
          </Group>
          <section className="leaf p-4">
            <h2>Off-cuts worth keeping</h2>
            <p className="muted text-sm">A shorter one goes to the scrap jar.</p>
            <div className="mt-3 max-w-52">
              <LengthField control={control} name="usefulMinimum" label="From this length" />
            </div>
            <Minimums control={control} specs={specs} />
          </section>
        </div>
        <div className="space-y-4">
          <Group title="The bench hour">
            <MoneyField control={control} name="hourlyRate" label="Rate for an hour" />
            <MoneyField control={control} name="overheadPerHour" label="Overhead per bench hour" />
          </Group>
          <Group title="The five price schools">
            <NumberField
              control={control}
              name="materialsFactor"
              label="Factor on materials"
              unit="×"
              hint="3 to 5 is usual"
            />
            <NumberField control={control} name="targetMargin" label="Margin to keep" unit="%" />
            <MoneyField control={control} name="targetPerHour" label="An hour should earn" />
            <ChoiceField
              control={control}
              name="priceFrom"
              label="Prices are set on"
              choices={[
                { value: 'replacement', text: 'the cost to replace' },
                { value: 'actual', text: 'what was paid' },
              ]}
            />
          </Group>
          <Group title="Selling">
            <NumberField control={control} name="feePercent" label="Fee of a sale" unit="%" />
            <MoneyField control={control} name="feeFixed" label="and fixed, each sale" />
            <NumberField control={control} name="taxPercent" label="Tax on sales" unit="%" />
            <TaxChoice control={control} />
          </Group>
        </div>
      </div>
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Keep these rules"
        busy="Keeping …"
      />
    </FormBox>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="leaf p-4">
      <legend className="sr-only">{title}</legend>
      <h2>{title}</h2>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}

function TaxChoice({ control }: { control: FormControl }) {
  const { field } = useController({ control, name: 'taxIncluded' });
  return (
    <Field label="The tag shows prices">
      {(ties) => (
        <select
          {...ties}
          ref={field.ref}
          name={field.name}
          onBlur={field.onBlur}
          className="select w-full text-base"
          value={field.value ? 'with' : 'without'}
          onChange={(event) => field.onChange(event.target.value === 'with')}
        >
          <option value="without">without the tax</option>
          <option value="with">with the tax in them</option>
        </select>
      )}
    </Field>
  );
}

function Minimums({ control, specs }: { control: FormControl; specs: readonly KnownSpec[] }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'minimums' });
  const rows = useWatch({ control, name: 'minimums' });
  const metals = METALS.map(({ id, name }) => ({ value: id, text: `all ${name}` }));
  const wires = specs.map((spec) => ({ value: spec.id, text: describeSpec(spec) }));
  return (
    <div className="mt-3">
      {fields.map(({ id }, index) => (
        <div key={id} className="mt-2 grid grid-cols-[2fr_1fr_auto] items-start gap-2">
          <ChoiceField
            control={control}
            name={`minimums.${index}.of`}
            label="But for"
            choices={rows[index]?.scope === 'metal' ? metals : wires}
          />
          <LengthField control={control} name={`minimums.${index}.length`} label="from" />
          <div className="pt-5">
            <RemoveButton what={`minimum ${index + 1}`} onClick={() => remove(index)} quiet />
          </div>
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        <AddButton onClick={() => append({ scope: 'metal', of: '', length: '' })}>
          Another for a metal
        </AddButton>
        <AddButton
          onClick={() => append({ scope: 'spec', of: '', length: '' })}
          disabled={specs.length === 0}
        >
          Another for one wire
        </AddButton>
      </div>
    </div>
  );
}
