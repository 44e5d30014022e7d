'use client';

import type { UseFormReturn } from 'react-hook-form';
import { useWatch } from 'react-hook-form';
import { minutesSpent, newWatch } from '@/core/bench/watch';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import type { MakingProposal } from '@/studio/making/proposeMaking';
import { useStepWatch } from '@/ui/bench/useStepWatch';

const figure = (minutes: number): string => String(Math.round(minutes * 10) / 10);

/** What the watch counted while the steps were worked, one by one; it is taken into the form when the maker says so. */
export function TimedSteps({
  form: { control, setValue },
  pattern: {
    number,
    revision,
    body: { steps },
  },
}: {
  form: UseFormReturn<MakePieceInput>;
  pattern: MakingProposal['pattern'];
}) {
  const { watch, change } = useStepWatch(tag('pattern', number), revision);
  const taken = useWatch({ control, name: 'steps' });
  const spent = minutesSpent(watch, steps.length);
  const timed = spent.flatMap((minutes, step) => (minutes > 0 ? [{ step, minutes: figure(minutes) }] : []));
  if (timed.length === 0) return null;
  const sum = (perSitting: boolean) =>
    spent.reduce(
      (total, minutes, step) => (steps[step]?.perSitting === perSitting ? total + minutes : total),
      0,
    );
  const take = () => {
    const options = { shouldDirty: true };
    setValue('steps', timed, options);
    setValue('minutes', figure(sum(false)), options);
    if (sum(true) > 0) setValue('setUpMinutes', figure(sum(true)), options);
  };
  const forget = () => {
    setValue('steps', undefined, { shouldDirty: true });
    change(newWatch);
  };
  return (
    <section className="leaf p-4" aria-label="Timed at the bench">
      <p>
        The watch counted {figure(sum(false) + sum(true))} min on {counted(timed.length, 'step')}
        {taken && taken.length > 0 ? '; they go into the log with the piece.' : '.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={take}>
          Take these times
        </button>
        <button type="button" className="btn btn-ghost" onClick={forget}>
          Forget them
        </button>
      </div>
    </section>
  );
}
