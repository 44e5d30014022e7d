'use client';

import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { MOST_MINUTES } from '@/core/bench/watch';
import { readMinutes } from '@/core/pattern/ownSteps';
import { counted } from '@/core/units/counted';
import { Fold } from '@/ui/Fold';
import { Field, TextInput } from '@/ui/form/Field';
import { useIsListening } from '@/ui/useIsListening';

/** Minutes and seconds, as a watch shows them. */
function asWatch(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** The watch of what is being worked: it runs and stands. */
export function StepWatch({
  spent,
  total,
  runs,
  onToggle,
}: {
  /** Milliseconds that were counted to what is worked now, and in the whole sitting. */
  spent: number;
  total: number;
  runs: boolean;
  onToggle: () => void;
}) {
  const isListening = useIsListening();
  return (
    <section
      className="leaf no-print flex min-w-0 items-center justify-between gap-3 px-4 py-1"
      aria-label="Watch"
    >
      <div>
        <p className="text-2xl tabular-nums" role="timer" aria-label="Time on this step">
          {asWatch(spent)}
        </p>
        <p className="muted whitespace-nowrap">{asWatch(total)} in all</p>
      </div>
      <button
        type="button"
        className="btn btn-lg"
        disabled={!isListening}
        onClick={onToggle}
        title="Run or pause (t)"
      >
        {runs ? <Pause size={24} aria-hidden="true" /> : <Play size={24} aria-hidden="true" />}
        {runs ? 'Pause' : 'Run'}
      </button>
    </section>
  );
}

/** What the watch did not count since somebody last looked, and what a step really took when nobody pressed it. */
export function WatchSetRight({
  missed,
  what,
  onMissed,
  onCorrect,
}: {
  /** Minutes that were not counted. */
  missed: number;
  /** What time is counted to, told from everything else. */
  what: string;
  onMissed: (counts: boolean) => void;
  onCorrect: (minutes: number) => void;
}) {
  return (
    <div className="no-print">
      {missed > 0 && (
        <div role="status" className="mt-2 border-l-4 border-warning pl-3">
          <p>Nothing was open for {counted(missed, 'minute')} while it ran. Were you at the bench?</p>
          <div className="mt-1 flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => onMissed(true)}>
              Count them
            </button>
            <button type="button" className="btn" onClick={() => onMissed(false)}>
              Leave them out
            </button>
          </div>
        </div>
      )}
      <Fold title="Set the watch right">
        <Corrected key={what} onCorrect={onCorrect} />
      </Fold>
    </div>
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
