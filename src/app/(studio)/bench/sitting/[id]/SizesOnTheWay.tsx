'use client';

import { useState } from 'react';
import { pieceIn, type ReadWhen, type Said, type Sitting } from '@/core/bench/sitting';
import { readWorn } from '@/core/parameter/readWorn';
import { completedRing, describeRing, ringOf } from '@/core/ring/ringSize';
import { UM_PER_MM } from '@/core/units/length';
import { Field, TextInput } from '@/ui/form/Field';
import { useHouse } from '@/ui/house';

const WHEN: Readonly<Record<ReadWhen, string>> = {
  wound: 'wound',
  hammered: 'hammered',
  finished: 'finished',
};

/** A ring read on the mandrel on the way: when it is wound, and after each hammering. */
export function SizesOnTheWay({
  piece,
  sitting,
  say,
}: {
  piece: number;
  sitting: Sitting;
  say: (...said: readonly Said[]) => void;
}) {
  const { rings } = useHouse();
  const [typed, setTyped] = useState('');
  const { sizes } = pieceIn(sitting, piece);
  const read = typed.trim() === '' ? undefined : readWorn(completedRing(typed, rings));
  const tell = (when: ReadWhen) => {
    if (!read?.ok) return;
    say({ kind: 'size', piece, when, inside: read.value });
    setTyped('');
  };
  return (
    <section className="leaf p-4" aria-label="Size on the way">
      <Field
        label="Reads on the mandrel now"
        error={read && !read.ok ? read.error : undefined}
        hint={read?.ok ? describeRing(ringOf(read.value / UM_PER_MM)) : undefined}
      >
        {(ties) => <TextInput {...ties} value={typed} onChange={({ target }) => setTyped(target.value)} />}
      </Field>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn min-h-12" disabled={!read?.ok} onClick={() => tell('wound')}>
          It is wound
        </button>
        <button type="button" className="btn min-h-12" disabled={!read?.ok} onClick={() => tell('hammered')}>
          It was hammered
        </button>
      </div>
      {sizes.length > 0 && (
        <ol className="mt-2 text-base" aria-label="Sizes so far">
          {sizes.map(({ when, inside }, index) => (
            <li key={index}>
              {WHEN[when]}: {describeRing(ringOf(inside / UM_PER_MM))}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
