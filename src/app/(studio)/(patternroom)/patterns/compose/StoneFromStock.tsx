'use client';

import { namedStone, withStoneNamed } from '@/core/pattern/workParts';
import { describeStone, stoneTexts, type StoneMeasures } from '@/core/stone/stone';
import { tag } from '@/core/tag';
import { UM_PER_MM } from '@/core/units/length';
import { Field } from '@/ui/form/Field';
import type { PatternDraft } from './patternDraft';

/** A stone of the studio that a pattern can be composed for. */
export interface StoneChoice extends StoneMeasures {
  readonly number: number;
}

/** A draft for a stone of the studio: with its measures, and its name among the parts. */
export function withStone(
  before: PatternDraft,
  stone: StoneChoice,
  stones: readonly StoneChoice[],
): PatternDraft {
  const { composition, parts } = before;
  const named = { name: namedStone(stone), count: String(composition.copies), unitCost: '' };
  const size = {
    ...stone,
    length: stone.length / UM_PER_MM,
    width: stone.width / UM_PER_MM,
    depth: stone.depth / UM_PER_MM,
    edge: stone.edge / UM_PER_MM,
  };
  return {
    ...before,
    composition: { ...composition, measures: { ...composition.measures, ...stoneTexts(stone) } },
    parts: withStoneNamed(parts, named, size, new Set(stones.map(namedStone))),
  };
}

/** Takes the measures of a stone that lies in the studio. */
export function StoneFromStock({
  stones,
  onChoose,
}: {
  stones: readonly StoneChoice[];
  onChoose: (change: (before: PatternDraft) => PatternDraft) => void;
}) {
  return (
    <Field
      label="A stone of the studio"
      hint="Its measures are taken over, and its name among the parts; both can be typed over."
    >
      {(ties) => (
        <select
          {...ties}
          className="select w-full text-base"
          value=""
          onChange={(event) => {
            const stone = stones.find(({ number }) => String(number) === event.target.value);
            if (stone) onChoose((before) => withStone(before, stone, stones));
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
