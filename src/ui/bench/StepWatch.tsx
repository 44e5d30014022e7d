'use client';

import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { correct, MOST_MINUTES, settleMissed, spentOn, type Watch } from '@/core/bench/watch';
import { readMinutes } from '@/core/pattern/ownSteps';
import { counted } from '@/core/units/counted';
import { Field, TextInput } from '@/ui/form/Field';
import { useIsListening } from '@/ui/useIsListening';

/** Minutes and seconds, as a watch shows them. */
function asWatch(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** The watch of the step that is being worked: it runs, stands and is corrected by hand. */
export function StepWatch({
  watch,
  step,
  change,
  onToggle,
}: {
  watch: Watch;
  step: number;
  change: (by: (watch: Watch, now: number) => Watch) => void;
  onToggle: () => void;
}) {
  const isListening = useIsListening();
  const runs = watch.isRunning && watch.step === step;
  const total = watch.spent.reduce((sum, each) => sum + each, 0);
  const missed = Math.round(watch.missed / 60_000);
  return (
    <section className="leaf no-print p-4" aria-label="Watch">
      <div className="flex items-center justify-between gap-3">
        <p className="text-4xl tabular-nums" role="timer" aria-label="Time on this step">
          {asWatch(spentOn(watch, step))}
        </p>
        <button
          type="button"
          className="btn btn-lg min-h-16 text-xl"
          disabled={!isListening}
          onClick={onToggle}
          title="Run or pause (t)"
        >
          {runs ? <Pause size={24} aria-hidden="true" /> : <Play size={24} aria-hidden="true" />}
          {runs ? 'Pause' : 'Run'}
        </button>
      </div>
      <p className="muted text-base">{asWatch(total)} on this piece so far</p>
      {missed > 0 && (
        <div role="status" className="mt-2 border-l-4 border-warning pl-3">
          <p>Nothing was open for {counted(missed, 'minute')} while it ran. Were you at the bench?</p>
          <div className="mt-1 flex gap-2">
            <button type="button" className="btn" onClick={() => change((now) => settleMissed(now, true))}>
              Count them
            </button>
            <button type="button" className="btn" onClick={() => change((now) => settleMissed(now, false))}>
              Leave them out
            </button>
          </div>
        </div>
      )}
      <Corrected key={step} onCorrect={(minutes) => change((now) => correct(now, step, minutes))} />
    </section>
  );
}

/** What the step really took, when nobody pressed the watch. */
function Corrected({ onCorrect }: { onCorrect: (minutes: number) => void }) {
  const [typed, setTyped] = useState('');
  const read = readMinutes(typed);
  const isWrong = typed.trim() !== '' && !read.ok;
  return (
    <form
      className="mt-2 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.ok) return;
        onCorrect(read.value);
        setTyped('');
      }}
    >
      <Field
        label="It really took, min"
        error={isWrong ? `“${typed.trim()}” was given; 0 to ${MOST_MINUTES} minutes are allowed.` : undefined}
      >
        {(ties) => (
          <TextInput
            {...ties}
            inputMode="decimal"
            value={typed}
            onChange={({ target: { value } }) => setTyped(value)}
          />
        )}
      </Field>
      <button type="submit" className="btn" disabled={!read.ok}>
        Correct
      </button>
    </form>
  );
}
