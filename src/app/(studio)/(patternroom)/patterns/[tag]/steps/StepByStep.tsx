'use client';

import { useMemo, useState } from 'react';
import { ArrowLeft, ArrowRight, OctagonAlert } from 'lucide-react';
import type { WorkedStep } from '@/core/pattern/stepByStep';
import { StepMark } from '@/ui/craft/OrderOfWork';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { useIsListening } from '@/ui/useIsListening';
import { useKeys } from '@/ui/useKeys';
import { InHand } from '@/ui/craft/InHand';
import { StepSeen, type Turnable } from '@/ui/craft/StepSeen';

/** A step of the work as it is shown: its picture comes by itself. */
type ShownStep = Omit<WorkedStep, 'seen'> & { readonly seen: { readonly isRing: boolean } | undefined };

/** The order of work, one step at a time: what it looks like then, what to hold, what comes next and what must not be forgotten. */
export function StepByStep({
  label,
  steps,
  piece,
  begin,
}: {
  /** The pattern’s tag. */
  readonly label: string;
  readonly steps: readonly ShownStep[];
  /** What is turned in the round; null for a pattern that was written by hand. */
  readonly piece: Turnable | null;
  /** The number of the step that is shown first. */
  readonly begin: number;
}) {
  const [at, setAt] = useState(Math.min(Math.max(1, Math.round(begin)), Math.max(1, steps.length)));
  const go = useMemo(() => {
    const to = (number: number) => {
      const next = Math.min(Math.max(1, number), steps.length);
      setAt(next);
      // Whoever comes back to the page comes back to the step.
      window.history.replaceState(null, '', `?step=${next}`);
    };
    return { to, on: (by: number) => to(at + by) };
  }, [at, steps.length]);
  useKeys(
    useMemo(
      () => [
        { keys: 'n', does: 'The next step', run: () => go.on(1) },
        { keys: 'p', does: 'The step before', run: () => go.on(-1) },
      ],
      [go],
    ),
  );
  const isListening = useIsListening();
  const step = steps[at - 1];
  const next = steps[at];
  if (!step) return <h1>No steps are written for this pattern.</h1>;
  const { name, minutes, perSitting, kind, stops = [], cautions = [], inHand, minutesBefore, seen } = step;
  const last = steps.at(-1);
  const total = (last?.minutesBefore ?? 0) + (last?.minutes ?? 0);
  return (
    <>
      <div aria-live="polite">
        <p className="muted text-xl">
          Step {at} of {steps.length} · {figure(minutes)} min{perSitting && ', once a sitting'} ·{' '}
          {figure(minutesBefore)} of {figure(total)} min before it
        </p>
        <h1 className="text-3xl md:text-4xl">
          {kind && <StepMark kind={kind} />}
          <Said>{name}</Said>
        </h1>
      </div>
      <div className="no-print mt-2 flex min-h-12 items-center">
        <input
          type="range"
          className="range range-sm w-full"
          aria-label="Step"
          disabled={!isListening}
          min={1}
          max={steps.length}
          value={at}
          onChange={({ target }) => go.to(Number(target.value))}
        />
      </div>
      <div className="mt-2 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
        {piece && seen ? (
          <StepSeen
            tag={label}
            step={at}
            name={name}
            next={next?.seen && at + 1}
            isRing={seen.isRing}
            piece={piece}
          />
        ) : (
          <p className="leaf muted p-6 text-xl">
            {piece === null
              ? 'No picture: this pattern was written by hand.'
              : 'Nothing of it can be seen yet.'}
          </p>
        )}
        <div className="space-y-4 text-xl">
          <div className="no-print grid grid-cols-2 gap-3">
            <button
              type="button"
              className="btn btn-lg min-h-16 text-xl"
              disabled={at === 1 || !isListening}
              onClick={() => go.on(-1)}
              title="The step before (p)"
            >
              <ArrowLeft size={24} aria-hidden="true" /> Before
            </button>
            {next ? (
              <button
                type="button"
                className="btn btn-primary btn-lg min-h-16 text-xl"
                disabled={!isListening}
                onClick={() => go.on(1)}
                title="The next step (n)"
              >
                Next <ArrowRight size={24} aria-hidden="true" />
              </button>
            ) : (
              <Link href={`/bench/${label}`} className="btn btn-primary btn-lg min-h-16 text-xl">
                Make one
              </Link>
            )}
          </div>
          <InHand things={inHand} />
          {(stops.length > 0 || cautions.length > 0) && (
            <section className="leaf p-4">
              <h2>Not to be forgotten</h2>
              {stops.map((stop) => (
                <p key={stop} className="mt-1 flex gap-2 border-l-4 border-base-content pl-2 font-semibold">
                  <OctagonAlert size={24} aria-hidden="true" className="mt-1 shrink-0" />
                  <span>
                    <Said>{stop}</Said>
                  </span>
                </p>
              ))}
              {cautions.map((caution) => (
                <p key={caution} className="mt-1">
                  <Said>{caution}</Said>
                </p>
              ))}
            </section>
          )}
          <section className="leaf p-4">
            <h2>Next</h2>
            <p className="mt-1">{next ? <Said>{next.name}</Said> : 'It is made.'}</p>
          </section>
        </div>
      </div>
    </>
  );
}

const figure = (minutes: number): string => String(Number(minutes.toFixed(1)));
