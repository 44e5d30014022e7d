'use client';

import { askedFor, measureReached } from '@/core/plan/reach';
import type { Values } from '@/core/parameter/readValues';
import type { AnyTechnique, Plan } from '@/core/technique/technique';
import { AskedBackwards } from '@/ui/craft/AskedBackwards';

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
  const asked = askedFor(technique);
  const names = [...new Set(cuts.map(({ name }) => name))];
  if (names.length === 0 || asked.length === 0)
    return <p className="muted">Nothing of this technique grows with its wire.</p>;
  return (
    <AskedBackwards
      labels={{ length: 'Length in hand', which: 'Of which wire' }}
      inHand={names.map((name) => ({ id: name, label: name, asked }))}
      // By what they say: the same values may be read once more.
      stands={JSON.stringify(values)}
      reach={(wire, measure, length) => measureReached(technique, values, measure, wire, length)}
    />
  );
}
