'use client';

import { useState } from 'react';
import type { Composition } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import { namedApart } from '@/core/pattern/namedApart';
import { againRound, MOST_TIMES, readTimes, repeatableFrom, withRepeated } from '@/core/pattern/repeated';
import type { Resolved } from '@/core/pattern/resolve';
import type { StoneSize } from '@/core/stone/stoneSize';
import { counted } from '@/core/units/counted';
import { mm } from '@/core/units/length';
import { Fold } from '@/ui/Fold';
import { Field, TextInput } from '@/ui/form/Field';
import { Reckoned, useLengths } from '@/ui/lengths';

/** Does techniques again along the ends that they work: so many times, or along a length. */
export function RepeatUses({
  composition,
  resolved,
  atHand,
  onRepeat,
}: {
  /** As it is typed. */
  readonly composition: Composition;
  /** As it was worked out last. */
  readonly resolved: Resolved;
  readonly atHand: AtHand;
  readonly onRepeat: (next: Composition) => void;
}) {
  const { system } = useLengths();
  const [chosen, choose] = useState('');
  const [typed, setTyped] = useState('1');
  const [problem, setProblem] = useState('');
  const all = resolved.uses.flatMap((each) => {
    const again = repeatableFrom(each.use.id, resolved);
    return again ? [{ id: each.use.id, name: namedApart(each, resolved.uses), ...again }] : [];
  });
  const from = all.find(({ id }) => id === chosen) ?? all.at(-1);
  if (!from) return null;
  const stone = resolved.measured['stone'] as StoneSize | undefined;
  const round = stone && againRound(stone, from.long);
  const repeat = () => {
    const times = readTimes(typed, from.long, system);
    const next = times.ok ? withRepeated(composition, from.id, times.value, atHand) : times;
    setProblem(next.ok ? '' : next.error);
    if (next.ok) onRepeat(next.value);
  };
  return (
    <section aria-label="Do it again" className="leaf px-4 py-1">
      <Fold title="Do it again along an end">
        <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_14rem_auto] sm:items-start">
          <Field label="From which technique on">
            {(ties) => (
              <select
                {...ties}
                className="select w-full text-base"
                value={from.id}
                onChange={({ target }) => choose(target.value)}
              >
                {all.map(({ id, name, uses }) => (
                  <option key={id} value={id}>
                    {uses.length > 1 ? `${name}, and ${counted(uses.length - 1, 'more')}` : name}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field
            label="So many times, or along"
            error={problem}
            hint={
              <>
                1 to {MOST_TIMES}, or a length like 60 mm; each takes <Reckoned of={mm(from.long)} />
              </>
            }
          >
            {(ties) => (
              <TextInput {...ties} value={typed} onChange={({ target }) => setTyped(target.value)} />
            )}
          </Field>
          <button type="button" className="btn sm:mt-6" onClick={repeat}>
            Do it again
          </button>
        </div>
        {round !== undefined && (
          <button
            type="button"
            className="btn btn-sm mt-2 min-h-11"
            onClick={() => setTyped(`${Number(round.toFixed(2))} mm`)}
          >
            Until it goes once round the stone: <Reckoned of={mm(round)} /> more
          </button>
        )}
      </Fold>
    </section>
  );
}
