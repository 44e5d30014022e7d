'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useWatch } from 'react-hook-form';
import { tag } from '@/core/tag';
import { GAUGE_SYSTEMS } from '@/core/wire/gauge';
import { FINISHES, METALS, TEMPERS } from '@/core/wire/metal';
import { hasOwnHeight, PROFILES, type Profile } from '@/core/wire/profile';
import { BOUGHT_FORMS, ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { ChoiceField, LengthField, MassField, MoneyField, TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { receiveWireAction } from './actions';
import { Reckoning } from './Reckoning';

const same = (values: readonly string[]) => values.map((value) => ({ value, text: value }));

const GAUGE_NAMES = { AWG: 'gauge (AWG)', SWG: 'gauge (SWG)', mm: 'mm' } as const;

export function ReceiveWireForm({ suppliers, today }: { suppliers: readonly string[]; today: string }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, values: ReceiveWireInput) => receiveWireAction(key, values), []);
  const onDone = useCallback(
    ({ number }: { number: number }) => {
      toast(`Received: it is ${tag('stock', number)}. Write that on the spool.`);
      router.push(`/rack/${tag('stock', number)}`);
    },
    [router, toast],
  );
  const defaultValues: ReceiveWireInput = {
    metal: 'copper',
    profile: 'round',
    gaugeSystem: 'AWG',
    gaugeNumber: '',
    height: '',
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    form: 'spool',
    length: '',
    mass: '',
    price: '',
    supplier: '',
    boughtOn: today,
  };
  const { form, submit, problem, sending } = useStudioForm({
    input: ReceiveWireInput,
    defaultValues,
    send,
    onDone,
  });
  const { control } = form;
  const values = useWatch({ control }) as ReceiveWireInput;
  const shaped = hasOwnHeight(values.profile as Profile);
  return (
    <form
      onSubmit={submit}
      noValidate
      className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(18rem,2fr)]"
    >
      <div className="leaf p-4">
        <fieldset>
          <legend className="font-display font-semibold">The wire</legend>
          <div className="mt-2 grid gap-4 sm:grid-cols-3">
            <ChoiceField
              control={control}
              name="metal"
              label="Metal"
              choices={METALS.map(({ id, name }) => ({ value: id, text: name }))}
            />
            <ChoiceField control={control} name="profile" label="Profile" choices={same(PROFILES)} />
            <ChoiceField control={control} name="temper" label="Temper" choices={same(TEMPERS)} />
            <TextField
              control={control}
              name="gaugeNumber"
              label={shaped ? 'Width on the label' : 'Size on the label'}
              placeholder={values.gaugeSystem === 'mm' ? '0.8' : '20'}
            />
            <ChoiceField
              control={control}
              name="gaugeSystem"
              label="Numbers are"
              choices={GAUGE_SYSTEMS.map((value) => ({ value, text: GAUGE_NAMES[value] }))}
            />
            {shaped && <LengthField control={control} name="height" label="Height" placeholder="0.4 mm" />}
            <ChoiceField control={control} name="finish" label="Finish" choices={same(FINISHES)} />
            {values.finish !== 'bare' && (
              <TextField
                control={control}
                name="finishName"
                label="Which colour or plating"
                placeholder="teal"
              />
            )}
          </div>
        </fieldset>
        <fieldset className="mt-5">
          <legend className="font-display font-semibold">How much came</legend>
          <div className="mt-2 grid gap-4 sm:grid-cols-3">
            <ChoiceField control={control} name="form" label="On a" choices={same(BOUGHT_FORMS)} />
            <LengthField
              control={control}
              name="length"
              label="Length"
              hint="Or the weight; both check each other"
              placeholder="50 ft"
            />
            <MassField control={control} name="mass" label="Weight" hint="Without the spool" />
          </div>
        </fieldset>
        <fieldset className="mt-5">
          <legend className="font-display font-semibold">The purchase</legend>
          <div className="mt-2 grid gap-4 sm:grid-cols-3">
            <MoneyField control={control} name="price" label="Paid for it" />
            <TextField
              control={control}
              name="supplier"
              label="Supplier"
              list="suppliers"
              hint="May stay empty"
            />
            <TextField control={control} name="boughtOn" label="On" type="date" />
          </div>
          <datalist id="suppliers">
            {suppliers.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
        </fieldset>
        <FormEnd problem={problem} sending={sending} action="Put it on the rack" busy="Posting …" />
      </div>
      <Reckoning values={values} />
    </form>
  );
}
