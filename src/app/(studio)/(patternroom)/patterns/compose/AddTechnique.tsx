'use client';

import { useState } from 'react';
import { TECHNIQUE_GROUPS, type OfferedTechnique } from '@/core/technique/technique';
import { Field } from '@/ui/form/Field';

/** Adds a technique to the pattern. */
export function AddTechnique({
  offered,
  onAdd,
  first,
}: {
  offered: readonly OfferedTechnique[];
  onAdd: (id: string) => void;
  first: boolean;
}) {
  const [chosen, setChosen] = useState('');
  return (
    <div className="leaf flex flex-wrap items-end gap-3 p-4">
      <div className="min-w-0 grow">
        <Field label={first ? 'Begin with a technique' : 'Add a technique'}>
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
