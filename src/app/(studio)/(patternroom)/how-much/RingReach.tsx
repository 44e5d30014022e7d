'use client';

import { useState } from 'react';
import { describeRing, diameterOfUs, ringOf } from '@/core/ring/ringSize';
import { ringReached } from '@/core/plan/reach';
import type { Values } from '@/core/parameter/readValues';
import type { AnyTechnique } from '@/core/technique/technique';
import { parseLength, UM_PER_MM } from '@/core/units/length';
import { Field, TextInput } from '@/ui/form/Field';
import { useLengths } from '@/ui/lengths';

/** Which size a wire that lies there already reaches. */
export function RingReach({ technique, values }: { technique: AnyTechnique; values: Values }) {
  const { system } = useLengths();
  const [text, setText] = useState(system === 'in' ? '10 in' : '254 mm');
  const read = parseLength(text, system);
  const reached = read.ok ? ringReached(technique, values, read.value / UM_PER_MM) : undefined;
  return (
    <Field
      label="A wire of this length reaches"
      error={read.ok ? undefined : read.error}
      hint={
        read.ok &&
        (reached === undefined
          ? 'It reaches no ring that a hand wears.'
          : `Up to ${describeRing(ringOf(diameterOfUs(Math.floor(reached * 4) / 4)))}`)
      }
    >
      {(ties) => <TextInput {...ties} value={text} onChange={(event) => setText(event.target.value)} />}
    </Field>
  );
}
