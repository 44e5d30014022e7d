import type { BatchLineInput } from '@/studio/batches/planBatch.input';

/** One piece of a pattern that is not chosen yet. */
export const EMPTY_LINE: BatchLineInput = {
  pattern: '',
  count: '1',
  stone: '',
  ring: '',
  bead: '',
  metal: '',
};
