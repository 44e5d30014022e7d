'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import type { Asked, Reached } from '@/core/plan/reach';
import { mm, parseLength, UM_PER_MM } from '@/core/units/length';
import { Field, TextInput } from '../form/Field';
import { Said } from '../house';
import { Reckoned, useLengths } from '../lengths';

/** A wire or an end that can be in hand, and what can be asked of it. */
export interface InHand {
  readonly id: string;
  readonly label: string;
  readonly asked: readonly Asked[];
}

/** What was found, and for what. */
interface Found {
  readonly stands: unknown;
  readonly text: string;
  readonly id: string;
  readonly key: string;
  readonly reached: Result<Reached>;
}

interface AskedBackwardsProps {
  /** What the length in hand is called, and which of several wires or ends it is. */
  readonly labels: { readonly length: string; readonly which: string };
  readonly inHand: readonly InHand[];
  /** What an answer hangs on: it is gone when this is another. */
  readonly stands: unknown;
  readonly reach: (id: string, asked: Asked, length: number) => Result<Reached>;
}

/** Asks backwards: how many turns, beads or millimetres a length makes that is there. */
export function AskedBackwards({ labels, inHand, stands, reach }: AskedBackwardsProps) {
  const { system } = useLengths();
  const [text, setText] = useState(system === 'in' ? '10 in' : '250 mm');
  const [chosen, setChosen] = useState('');
  const [chosenKey, setKey] = useState('');
  const [found, setFound] = useState<Found>();
  const held = inHand.find(({ id }) => id === chosen) ?? inHand[0];
  const measure = held?.asked.find(({ key }) => key === chosenKey) ?? held?.asked[0];
  if (!held || !measure) return null;
  const read = parseLength(text, system);
  const { id } = held;
  const { key, parameter } = measure;
  const isStill =
    found !== undefined &&
    found.stands === stands &&
    found.text === text &&
    found.id === id &&
    found.key === key;
  const select = 'select w-full text-base';
  return (
    <>
      <Field label={labels.length} error={read.ok ? undefined : read.error}>
        {(ties) => <TextInput {...ties} value={text} onChange={({ target }) => setText(target.value)} />}
      </Field>
      {inHand.length > 1 && (
        <Field label={labels.which}>
          {(ties) => (
            <select
              {...ties}
              className={select}
              value={id}
              onChange={({ target }) => setChosen(target.value)}
            >
              {inHand.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.label}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      <Field label="How much of">
        {(ties) => (
          <select {...ties} className={select} value={key} onChange={({ target }) => setKey(target.value)}>
            {held.asked.map((each) => (
              <option key={each.key} value={each.key}>
                {each.parameter.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <button
        type="button"
        className="btn mt-2"
        disabled={!read.ok}
        onClick={() => {
          if (read.ok)
            setFound({ stands, text, id, key, reached: reach(id, measure, read.value / UM_PER_MM) });
        }}
      >
        Work it out
      </button>
      <p className="mt-2" aria-live="polite">
        {isStill && read.ok && (
          <Answer reached={found.reached} kind={parameter.kind} length={read.value / UM_PER_MM} />
        )}
      </p>
    </>
  );
}

function Answer({
  reached,
  kind,
  length,
}: Pick<Found, 'reached'> & { kind: 'count' | 'length'; length: number }) {
  if (!reached.ok) return <Said>{reached.error}</Said>;
  const { value, cut, isMost } = reached.value;
  return (
    <>
      <strong>{kind === 'count' ? <Said>{String(value)}</Said> : <Reckoned of={mm(value)} />}</strong>
      {isMost ? ', the most that is allowed' : ' at most'}: it takes <Reckoned of={mm(cut)} cut />,{' '}
      <Reckoned of={mm(Math.max(0, length - cut))} /> are left.
    </>
  );
}
