'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { MOST_IN_SITTING } from '@/core/bench/stations';
import type { SittingOf } from '@/studio/sittings/beginSitting';
import { BeginSittingInput } from '@/studio/sittings/sittings.input';
import { NumberField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { beginSittingAction } from './actions';

/** Begins to work one piece, or several together, step by step. */
export function BeginSitting({ of, ready }: { of: SittingOf; ready?: number }) {
  const router = useRouter();
  const { form, submit, problem, sending } = useStudioForm({
    input: BeginSittingInput,
    defaultValues: { count: String(Math.min(ready ?? 1, MOST_IN_SITTING)) },
    send: useCallback((key: string, input: BeginSittingInput) => beginSittingAction(key, of, input), [of]),
    onDone: useCallback((id: string) => router.push(`/bench/sitting/${id}`), [router]),
    typedFor: null,
  });
  return (
    <FormBox onSubmit={submit} className="leaf mt-4 flex flex-wrap items-end gap-4 p-4">
      <div className="min-w-64 flex-1">
        <h2>Work it step by step</h2>
        <p className="muted">
          Each step with its picture, its wires and the watch; what it came to is entered at the end.
        </p>
        {problem && problem.fields === undefined && (
          <p role="alert" className="mt-1 font-semibold text-error">
            {problem.message}
          </p>
        )}
      </div>
      <div className="w-56">
        <NumberField
          control={form.control}
          name="count"
          label="Pieces together"
          hint={ready === undefined ? 'Alike, step by step' : `${ready} lie ready in the tray`}
        />
      </div>
      <button type="submit" className="btn btn-lg min-h-14" disabled={sending}>
        Begin
      </button>
    </FormBox>
  );
}
