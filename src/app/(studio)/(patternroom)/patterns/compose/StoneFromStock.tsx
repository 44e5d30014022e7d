'use client';

import { describeStone } from '@/core/stone/stone';
import { tag } from '@/core/tag';
import { Field } from '@/ui/form/Field';
import type { PatternDraft, StoneChoice } from './patternDraft';
import { withStone } from './withStone';

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
