'use client';

import { useState } from 'react';
import { MOST_COPIES } from '@/core/pattern/composition';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { Field, TextInput } from '@/ui/form/Field';
import type { PatternDraft } from './patternDraft';
import type { Draft } from './useDraft';

/** Name, kind and how many alike. */
export function PatternHead({ draft: { now, change } }: { draft: Draft<PatternDraft> }) {
  const { composition } = now;
  return (
    <section className="leaf space-y-3 p-4" aria-label="The pattern">
      <Field label="Name of the pattern">
        {(ties) => (
          <TextInput
            {...ties}
            value={now.name}
            onChange={({ target: { value } }) => change((draft) => ({ ...draft, name: value }), 'name')}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <Field label="It makes a">
          {(ties) => (
            <select
              {...ties}
              className="select w-full text-base"
              value={now.kind}
              onChange={({ target: { value } }) => change((draft) => ({ ...draft, kind: value }))}
            >
              {PATTERN_KINDS.map((kind) => (
                <option key={kind}>{kind}</option>
              ))}
            </select>
          )}
        </Field>
        <Copies
          copies={composition.copies}
          onChange={(copies) =>
            change((draft) => ({ ...draft, composition: { ...draft.composition, copies } }))
          }
        />
      </div>
      <Field label="Notes">
        {(ties) => (
          <textarea
            {...ties}
            rows={2}
            className="textarea w-full text-base"
            value={now.notes}
            onChange={({ target: { value } }) => change((draft) => ({ ...draft, notes: value }), 'notes')}
          />
        )}
      </Field>
    </section>
  );
}

/** How many pieces alike are made of a pattern; while what is typed is no such number, the last one stands. */
function Copies({ copies, onChange }: { copies: number; onChange: (copies: number) => void }) {
  const [typed, setTyped] = useState(String(copies));
  const count = readCopies(typed);
  const shown = count === undefined || count === copies ? typed : String(copies);
  const wrong = readCopies(shown) === undefined;
  return (
    <Field
      label="Pieces alike"
      hint="2 for a pair"
      error={wrong ? `“${shown}” was given; 1 to ${MOST_COPIES} are allowed.` : undefined}
    >
      {(ties) => (
        <TextInput
          {...ties}
          inputMode="numeric"
          value={shown}
          onChange={({ target: { value } }) => {
            setTyped(value);
            const read = readCopies(value);
            if (read !== undefined) onChange(read);
          }}
        />
      )}
    </Field>
  );
}

function readCopies(text: string): number | undefined {
  const count = /^\s*\d{1,3}\s*$/.test(text) ? Number(text) : 0;
  return count >= 1 && count <= MOST_COPIES ? count : undefined;
}
