'use client';

import { useState } from 'react';
import { Check, X } from 'lucide-react';
import { checkSaid, measuredBy, readReading } from '@/core/bench/checks';
import { pieceIn, type Checked } from '@/core/bench/sitting';
import { Field, TextInput } from '@/ui/form/Field';
import type { InspectProps } from './shown';

/** What pieces of its kind are looked at for, one by one; and what becomes of a piece that is not as it should be. */
export function Checks({ view, piece, sitting, say }: InspectProps) {
  const so = pieceIn(sitting, piece);
  const bad = view.checks.flatMap((name, check) => {
    const found = so.checks.get(check);
    return found?.isGood === false ? [checkSaid(name, found.reading)] : [];
  });
  const [first] = bad;
  return (
    <section className="leaf p-4">
      <h2>Checks</h2>
      <div className="mt-2 divide-y divide-base-300">
        {view.checks.map((name, check) => (
          <OneCheck
            key={`${piece} ${check}`}
            name={name}
            found={so.checks.get(check)}
            onFound={(isGood, reading) => say({ kind: 'checked', piece, check, isGood, reading })}
          />
        ))}
      </div>
      {first !== undefined && so.flaw === '' && so.lost === '' && (
        <div role="status" className="mt-3 border-l-4 border-error pl-3">
          <p className="font-semibold">“{first}” is not good. Work on it, and look again; or:</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn min-h-12"
              onClick={() => say({ kind: 'flawed', piece, reason: bad.join('; ').slice(0, 200) })}
            >
              Sell it as it is
            </button>
            <button
              type="button"
              className="btn min-h-12"
              onClick={() => say({ kind: 'lost', piece, reason: first.slice(0, 200) })}
            >
              It is lost
            </button>
          </div>
        </div>
      )}
      {so.flaw !== '' && (
        <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-warning pl-3">
          It is sold as it is: {so.flaw}.
          <button type="button" className="btn" onClick={() => say({ kind: 'flawed', piece, reason: '' })}>
            It is as it should be
          </button>
        </p>
      )}
    </section>
  );
}

const FINDINGS = [
  { isGood: true, text: 'Good', Icon: Check, pressed: 'btn-neutral' },
  { isGood: false, text: 'Not good', Icon: X, pressed: 'btn-error' },
] as const;

/** One check of a piece: good or not, and the figure where it is measured. */
function OneCheck({
  name,
  found,
  onFound,
}: {
  name: string;
  found: Checked | undefined;
  onFound: (isGood: boolean, reading: string) => void;
}) {
  const measured = measuredBy(name);
  const [typed, setTyped] = useState(found?.reading ?? '');
  const reading = readReading(typed);
  const tell = (isGood: boolean) => {
    if (reading.ok) onFound(isGood, reading.value);
  };
  return (
    <div className="flex flex-wrap items-center gap-2 py-2" role="group" aria-label={name}>
      {measured ? (
        <div className="basis-full sm:min-w-48 sm:flex-1 sm:basis-auto">
          <Field label={measured.before} error={reading.ok ? undefined : reading.error}>
            {(ties) => (
              <span className="flex items-center gap-2">
                <TextInput
                  {...ties}
                  inputMode="decimal"
                  className="max-w-28"
                  value={typed}
                  onChange={({ target }) => setTyped(target.value)}
                />
                {measured.behind}
              </span>
            )}
          </Field>
        </div>
      ) : (
        <span className="basis-full [overflow-wrap:anywhere] sm:min-w-48 sm:flex-1 sm:basis-auto">
          {name}
        </span>
      )}
      {FINDINGS.map(({ isGood, text, Icon, pressed }) => {
        const isFound = found?.isGood === isGood;
        return (
          <button
            key={text}
            type="button"
            className={`btn min-h-12 grow sm:grow-0 ${isFound ? pressed : 'btn-outline'}`}
            aria-pressed={isFound}
            onClick={() => tell(isGood)}
          >
            <Icon size={20} aria-hidden="true" /> {text}
          </button>
        );
      })}
    </div>
  );
}
