'use client';

import { useState } from 'react';
import { TECHNIQUE_GROUPS, type OfferedTechnique } from '@/core/technique/technique';
import { Field } from '@/ui/form/Field';

/** What the box asks. */
const askedOf = (first: boolean, from: readonly string[]): string => {
  if (from.length > 0)
    return from.length === 1 ? `What ${from[0]} does next` : `What these ${from.length} do next`;
  return first ? 'Begin with a technique' : 'Add a technique';
};

const hintOf = (offered: number, from: readonly string[]): string => {
  const what = from.length === 1 ? 'this' : from.join('; ');
  return offered > 0 ? `What goes on from ${what}.` : `Nothing takes up ${what} together; pick others.`;
};

/** Adds a technique to the pattern. */
export function AddTechnique({
  offered,
  onAdd,
  first,
  from,
}: {
  offered: readonly OfferedTechnique[];
  onAdd: (id: string) => void;
  first: boolean;
  /** What was picked to go on from, by name. */
  from: readonly string[];
}) {
  const [chosen, setChosen] = useState('');
  return (
    <div className="leaf flex flex-wrap items-end gap-3 p-4">
      <div className="min-w-0 grow">
        <Field label={askedOf(first, from)} hint={from.length > 0 ? hintOf(offered.length, from) : undefined}>
          {(ties) => (
            <select
              {...ties}
              className="select w-full text-base"
              value={chosen}
              onChange={(event) => setChosen(event.target.value)}
            >
              <option value="">Choose one…</option>
              {TECHNIQUE_GROUPS.map((group) => (
                <optgroup key={group} label={group}>
                  {offered
                    .filter((each) => each.group === group)
                    .map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                </optgroup>
              ))}
            </select>
          )}
        </Field>
      </div>
      <button
        type="button"
        className="btn"
        disabled={chosen === ''}
        onClick={() => {
          onAdd(chosen);
          setChosen('');
        }}
      >
        Add it
      </button>
    </div>
  );
}
