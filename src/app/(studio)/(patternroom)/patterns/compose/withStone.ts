import { namedStone, withStoneNamed } from '@/core/pattern/workParts';
import { stoneTexts } from '@/core/stone/stone';
import { UM_PER_MM } from '@/core/units/length';
import type { PatternDraft, StoneChoice } from './patternDraft';

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
