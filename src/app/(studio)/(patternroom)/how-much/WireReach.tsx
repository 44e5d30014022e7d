'use client';

import { useState } from 'react';
import { askedFor, measureReached, type Reached } from '@/core/technique/reach';
import type { Values } from '@/core/technique/readValues';
import type { AnyTechnique, Plan } from '@/core/technique/technique';
import type { Result } from '@/core/result';
import { mm, parseLength, UM_PER_MM } from '@/core/units/length';
import { Field, TextInput } from '@/ui/form/Field';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';
import { Reckoned, useLengths } from '@/ui/lengths';

/** What was found, and for what. */
interface Found {
  readonly values: Values;
  readonly text: string;
  readonly wire: string;
  readonly key: string;
  readonly reached: Result<Reached>;
}

/** Asks backwards: how many turns, beads or millimetres a wire makes that lies there. */
export function WireReach({
  technique,
  values,
  cuts,
}: {
  technique: AnyTechnique;
  values: Values;
  cuts: Plan['cuts'];
}) {
  const { system } = useLengths();
  const [text, setText] = useState(system === 'in' ? '10 in' : '250 mm');
  const [chosenWire, setWire] = useState('');
  const [chosenKey, setKey] = useState('');
  const [found, setFound] = useState<Found>();
  const asked = askedFor(technique);
  const names = [...new Set(cuts.map(({ name }) => name))];
  const wire = names.find((name) => name === chosenWire) ?? names[0];
  const measure = asked.find(({ key }) => key === chosenKey) ?? asked[0];
  if (wire === undefined || !measure) return null;
  const read = parseLength(text, system);
  const { key, parameter } = measure;
  const isStill = found?.values === values && found.text === text && found.wire === wire && found.key === key;
  const select = 'select w-full text-base';
  return (
    <Fold title="What a wire in hand makes">
      <Field label="Length in hand" error={read.ok ? undefined : read.error}>
        {(ties) => <TextInput {...ties} value={text} onChange={({ target }) => setText(target.value)} />}
      </Field>
      {names.length > 1 && (
        <Field label="Of which wire">
          {(ties) => (
            <select
              {...ties}
              className={select}
              value={wire}
              onChange={({ target }) => setWire(target.value)}
            >
              {names.map((name) => (
                <option key={name} value={name}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      <Field label="How much of">
        {(ties) => (
          <select {...ties} className={select} value={key} onChange={({ target }) => setKey(target.value)}>
            {asked.map((each) => (
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
            setFound({
              values,
              text,
              wire,
              key,
              reached: measureReached(technique, values, measure, wire, read.value / UM_PER_MM),
            });
        }}
      >
        Work it out
      </button>
      <p className="mt-2" aria-live="polite">
        {isStill && read.ok && <Answer {...found} parameter={parameter} length={read.value / UM_PER_MM} />}
      </p>
    </Fold>
  );
}

function Answer({
  reached,
  parameter: { kind },
  length,
}: Found & { parameter: { readonly kind: 'count' | 'length' }; length: number }) {
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
