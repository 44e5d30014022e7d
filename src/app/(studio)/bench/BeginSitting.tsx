'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { MOST_IN_SITTING } from '@/core/bench/stations';
import { counted } from '@/core/units/counted';
import { formatToCut, um, type Micrometres } from '@/core/units/length';
import type { SittingOf } from '@/studio/sittings/beginSitting';
import { BeginSittingInput } from '@/studio/sittings/sittings.input';
import { ChoiceField, NumberField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useLengths } from '@/ui/lengths';
import { beginSittingAction } from './actions';

/** A wire that the log says another length of than is planned. */
export interface LearnedWire {
  readonly count: number;
  readonly planned: Micrometres;
  readonly length: Micrometres;
}

/** Begins to work one piece, or several together, step by step. */
export function BeginSitting({
  of,
  ready,
  learned = [],
}: {
  of: SittingOf;
  ready?: number;
  /** What the log says of its wires, where that is not what is planned. */
  learned?: readonly LearnedWire[];
}) {
  const router = useRouter();
  const { system } = useLengths();
  const inAll = (of: (wire: LearnedWire) => number) =>
    formatToCut(um(learned.reduce((sum, wire) => sum + wire.count * of(wire), 0)), system);
  const { form, submit, problem, sending } = useStudioForm({
    input: BeginSittingInput,
    defaultValues: {
      count: String(Math.min(ready ?? 1, MOST_IN_SITTING)),
      ...(learned.length > 0 ? { cutTo: 'learned' } : {}),
    },
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
      {learned.length > 0 && (
        <div className="w-72">
          <ChoiceField
            control={form.control}
            name="cutTo"
            label="Cut the wires"
            choices={[
              { value: 'learned', text: 'By what the log says' },
              { value: 'planned', text: 'As planned' },
            ]}
            hint={`${counted(
              learned.reduce((sum, { count }) => sum + count, 0),
              'wire',
              'wires',
            )}, ${inAll(({ length }) => length)} rather than ${inAll(({ planned }) => planned)}`}
          />
        </div>
      )}
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
