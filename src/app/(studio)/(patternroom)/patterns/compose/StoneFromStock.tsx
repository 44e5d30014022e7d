'use client';

import type { Composition } from '@/core/pattern/composition';
import { describeStone, stoneTexts, type StoneMeasures } from '@/core/stone/stone';
import { tag } from '@/core/tag';
import { Field } from '@/ui/form/Field';

/** A stone of the studio that a pattern can be composed for. */
export interface StoneChoice extends StoneMeasures {
  readonly number: number;
}

/** Takes the measures of a stone that lies in the studio. */
export function StoneFromStock({
  stones,
  onChoose,
}: {
  stones: readonly StoneChoice[];
  onChoose: (measures: Composition['measures']) => void;
}) {
  return (
    <Field label="A stone of the studio" hint="Its measures are taken over; they can be typed over too.">
      {(ties) => (
        <select
          {...ties}
          className="select w-full text-base"
          value=""
          onChange={(event) => {
            const stone = stones.find(({ number }) => String(number) === event.target.value);
            if (stone) onChoose(stoneTexts(stone));
          }}
        >
          <option value="">Choose one…</option>
          {stones.map((stone) => (
            <option key={stone.number} value={stone.number}>
              {tag('stone', stone.number)} {describeStone(stone)}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
