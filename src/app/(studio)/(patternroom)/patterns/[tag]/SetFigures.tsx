'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import type { FigureOf } from '@/studio/logbook/rulings';
import { RuleFigureInput, type RULED } from '@/studio/logbook/rulings.input';
import { TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { Day } from '@/ui/When';
import { ruleFigureAction } from './actions';

/** A figure that the owner may set against the log. */
export interface SettableFigure {
  readonly of: FigureOf;
  /** What it is of. */
  readonly name: string;
  /** What is typed, and an example of it. */
  readonly label: string;
  readonly example: string;
  /** What is said instead of what the log says; empty when it goes by the log. */
  readonly said: string;
  /** From when on the log counts; null when all of it does. */
  readonly since: Date | null;
}

/** What the log says may be overruled: the owner says a figure, or what was logged so far is left out. */
export function SetFigures({ figures }: { figures: readonly SettableFigure[] }) {
  return (
    <div className="no-print mt-3">
      <Fold
        title="Set a figure against the log"
        open={figures.some(({ said, since }) => said !== '' || since !== null)}
      >
        <p className="muted">
          The log stays as it is. What you say here is planned, priced and cut by instead, and told wherever
          it is.
        </p>
        <ul className="mt-2 divide-y divide-base-300">
          {figures.map((figure) => (
            <li key={`${figure.name} ${figure.label}`} className="py-2">
              <OneFigure figure={figure} />
            </li>
          ))}
        </ul>
      </Fold>
    </div>
  );
}

function OneFigure({ figure: { of, name, label, example, said, since } }: { figure: SettableFigure }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem: refused, run } = useAct();
  const { form, submit, problem, sending } = useStudioForm({
    input: RuleFigureInput,
    defaultValues: { act: 'say', value: '' },
    send: useCallback((key: string, input: RuleFigureInput) => ruleFigureAction(key, of, input), [of]),
    onDone: useCallback(() => {
      toast('It goes by what you said.');
      router.refresh();
    }, [router, toast]),
    typedFor: null,
  });
  const act = (what: (typeof RULED)[number], says: string) =>
    void run(
      () => ruleFigureAction(newKey(), of, { act: what, value: '' }),
      () => {
        toast(says);
        router.refresh();
      },
    );
  const other = problem?.fields === undefined ? problem?.message : undefined;
  return (
    <FormBox onSubmit={submit} label={name}>
      <p className="[overflow-wrap:anywhere]">
        <span className="font-semibold">{name}</span>:{' '}
        <Said>{said === '' ? 'by the log' : `as you said, ${said}`}</Said>
        {since && (
          <>
            ; what was logged up to <Day at={since} /> is left out
          </>
        )}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <div className="w-64">
          <TextField control={form.control} name="value" label={label} placeholder={example} />
        </div>
        <button type="submit" className="btn" disabled={sending}>
          Go by this
        </button>
        <button
          type="button"
          className="btn btn-ghost"
          disabled={busy}
          onClick={() => act('forget', 'What was logged so far does not count any more.')}
        >
          Leave out what was logged so far
        </button>
        {(said !== '' || since !== null) && (
          <button
            type="button"
            className="btn btn-ghost"
            disabled={busy}
            onClick={() => act('follow', 'It goes by all that is logged.')}
          >
            Go by all of the log
          </button>
        )}
      </div>
      {(other ?? refused) !== '' && (other ?? refused) !== undefined && (
        <p role="alert" className="mt-1 font-semibold text-error">
          {other ?? refused}
        </p>
      )}
    </FormBox>
  );
}
