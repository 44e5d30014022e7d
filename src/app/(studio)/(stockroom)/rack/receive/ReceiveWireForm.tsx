'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useWatch } from 'react-hook-form';
import { tag } from '@/core/tag';
import type { WireSpec } from '@/core/wire/spec';
import { BOUGHT_FORMS, ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { ChoiceField, LengthField, MassField } from '@/ui/form/fields';
import { Fold } from '@/ui/Fold';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { MeasuredSize } from '../../parts/MeasuredSize';
import { noPurchase, PurchaseFieldset, type PurchaseHints } from '../../parts/PurchaseFieldset';
import { same, SpecFieldset } from '../../parts/SpecFieldset';
import { receiveWireAction } from './actions';
import { Reckoning } from './Reckoning';

export function ReceiveWireForm({ hints, specs }: { hints: PurchaseHints; specs: readonly WireSpec[] }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, values: ReceiveWireInput) => receiveWireAction(key, values), []);
  const onDone = useCallback(
    ({ number }: { number: number }) => {
      toast(`Received: it is ${tag('wire', number)}. Write that on the spool.`);
      router.push(`/rack/${tag('wire', number)}`);
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
    ...noPurchase(hints.today),
  };
  const { form, submit, problem, sending } = useStudioForm({
    input: ReceiveWireInput,
    defaultValues,
    send,
    onDone,
  });
  const { control } = form;
  const values = useWatch({ control }) as ReceiveWireInput;
  return (
    <FormBox
      onSubmit={submit}
      className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(18rem,2fr)]"
    >
      <div className="leaf p-4">
        <fieldset>
          <legend className="font-display font-semibold">The wire</legend>
          <SpecFieldset control={control} />
          <Fold title="No label? Measure it">
            <MeasuredSize control={control} specs={specs} />
          </Fold>
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
        <PurchaseFieldset control={control} hints={hints} />
        <FormEnd problem={problem} sending={sending} action="Put it on the rack" busy="Posting …" />
      </div>
      <Reckoning values={values} />
    </FormBox>
  );
}
