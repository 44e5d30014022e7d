import { tag } from '@/core/tag';
import type { KeptLine } from '@/studio/batches/batches';
import type { BatchLineInput } from '@/studio/batches/planBatch.input';

/** A line that is kept, as its form has it. */
export const lineTexts = ({
  patternNumber,
  count,
  wanted: { stone, ring, bead, metal },
}: Pick<KeptLine, 'patternNumber' | 'count' | 'wanted'>): BatchLineInput => ({
  pattern: String(patternNumber),
  count: String(count),
  stone: stone === null ? '' : tag('stone', stone),
  ring,
  bead,
  metal: metal ?? '',
});
