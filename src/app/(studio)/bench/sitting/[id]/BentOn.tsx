'use client';

import { useState } from 'react';
import { mayCome, roundsFor } from '@/core/bench/rounds';
import type { Said, Sitting } from '@/core/bench/sitting';
import { formatDiameter, um } from '@/core/units/length';
import { Field, TextInput } from '@/ui/form/Field';
import type { ShownSitting } from './shown';
import { springOf } from './springOf';
import { useInside } from './useInside';

/** What a turn came to that was bent on one of the studio’s rounds: so the studio learns how far its wire springs open. */
export function BentOn({
  view,
  sitting,
  say,
}: {
  view: ShownSitting['view'];
  sitting: Sitting;
  say: (...said: readonly Said[]) => void;
}) {
  const { insides, rounds } = view;
  const [turn, setTurn] = useState(0);
  const bent = insides[turn];
  const [best] = bent ? roundsFor(bent.inside, rounds, springOf(view, bent).spring, 1) : [];
  const [chosen, setChosen] = useState<number | null>(null);
  const on = (chosen === null ? best?.round : rounds[chosen]) ?? rounds[0];
  const { typed, setTyped, read } = useInside();
  if (!bent || !on) return null;
  const may = mayCome(on.diameter);
  const wrong =
    read?.ok && (read.value < may.from || read.value > may.to)
      ? `“${typed.trim()}” was given; bent on ${formatDiameter(on.diameter)} it comes out between ${formatDiameter(may.from)} and ${formatDiameter(may.to)}.`
      : undefined;
  const error = read?.ok === false ? read.error : wrong;
  const noted = sitting.bends.get(turn);
  return (
    <form
      className="no-print mt-3"
      aria-label="What it came to"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read?.ok || wrong !== undefined) return;
        say({ kind: 'bent', turn, on: on.diameter, came: read.value });
        setTyped('');
      }}
    >
      <p className="muted mb-1">
        Measure one when it is let go: the next round is chosen by how far your wire springs open.
      </p>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        {insides.length > 1 && (
          <Field label="Bent">
            {(ties) => (
              <select
                {...ties}
                className="select w-72 max-w-full"
                value={turn}
                onChange={({ target }) => {
                  setTurn(Number(target.value));
                  setChosen(null);
                }}
              >
                {insides.map(({ name, inside }, index) => (
                  <option key={index} value={index}>
                    {name}, {formatDiameter(inside)}
                  </option>
                ))}
              </select>
            )}
          </Field>
        )}
        <Field label="On">
          {(ties) => (
            <select
              {...ties}
              className="select w-72 max-w-full"
              value={rounds.indexOf(on)}
              onChange={({ target }) => setChosen(Number(target.value))}
            >
              {rounds.map(({ name, diameter }, index) => (
                <option key={index} value={index}>
                  {name}, {formatDiameter(diameter)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <div className="w-40 max-w-full grow sm:max-w-80">
          <Field label="Inside, let go" error={error}>
            {(ties) => (
              <TextInput {...ties} value={typed} onChange={({ target }) => setTyped(target.value)} />
            )}
          </Field>
        </div>
      </div>
      <button type="submit" className="btn min-h-12 mt-2" disabled={!read?.ok || wrong !== undefined}>
        Write it down
      </button>
      {noted && (
        <p className="mt-1 flex flex-wrap items-center gap-3">
          {bent.name}: {formatDiameter(noted.came)} on {formatDiameter(noted.on)}.
          <button
            type="button"
            className="btn btn-ghost min-h-12"
            onClick={() => say({ kind: 'bent', turn, on: noted.on, came: um(0) })}
          >
            It was not measured
          </button>
        </p>
      )}
    </form>
  );
}
