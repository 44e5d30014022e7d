'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useWatch, type FieldPath } from 'react-hook-form';
import { tag } from '@/core/tag';
import type { WireSpec } from '@/core/wire/spec';
import type { PurchaseAgain } from '@/studio/deliveries/again';
import { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { Fold } from '@/ui/Fold';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { MeasuredSize } from '../../parts/MeasuredSize';
import { againValues, PurchaseFieldset, type PurchaseHints } from '../../parts/PurchaseFieldset';
import { SpecFieldset } from '../../parts/SpecFieldset';
import { HowMuchWire } from '../../parts/WareFields';
import { receiveWireAction } from './actions';
import { Reckoning } from './Reckoning';

interface ReceiveWireProps {
  readonly hints: PurchaseHints;
  readonly specs: readonly WireSpec[];
  /** What is bought once more. */
  readonly again: PurchaseAgain | null;
}

export function ReceiveWireForm({ hints, specs, again }: ReceiveWireProps) {
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
  const defaultValues = againValues('wire', hints.today, again) as unknown as ReceiveWireInput;
  const { form, submit, problem, sending, before } = useStudioForm({
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
      begins
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
          <HowMuchWire control={control} at={(name) => name as FieldPath<ReceiveWireInput>} />
        </fieldset>
        <PurchaseFieldset control={control} hints={hints} />
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action="Put it on the rack"
          busy="Posting …"
        />
      </div>
      <Reckoning values={values} />
    </FormBox>
  );
}
