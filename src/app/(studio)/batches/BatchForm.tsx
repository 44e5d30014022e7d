'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { FormProvider } from 'react-hook-form';
import { BatchLines, type LineChoices } from '@/app/lib/batchLines/BatchLines';
import { tag } from '@/core/tag';
import type { BatchBase } from '@/studio/batches/planBatch';
import { EMPTY_LINE, PlanBatchInput } from '@/studio/batches/planBatch.input';
import { NotesField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { planBatchAction } from './actions';
import { LiveTakings } from './LiveTakings';

export interface BatchFormData extends LineChoices {
  /** What prices are set on; null for who sees no money. */
  readonly priceFrom: 'actual' | 'replacement' | null;
}

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
  const { control } = form;
  return (
    <FormProvider {...form}>
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
          <BatchLines patterns={patterns} stones={stones} empty={EMPTY_LINE} />
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
    </FormProvider>
  );
}
