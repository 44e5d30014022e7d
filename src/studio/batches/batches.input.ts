import { BATCH_STATES, type BatchState } from '@/core/batch/batchState';
import { AsksDay, AsksOneOf, AsksText, AsksWhole, ListQuery } from '../kernel/query';
import type { Typed } from '../kernel/typed';

/** What is asked of the batches. */
export class BatchQuery extends ListQuery {
  @AsksOneOf(BATCH_STATES) readonly state?: BatchState | undefined;
}

/** What is asked of the list of bench hours. */
export class HoursQuery {
  /** How many batches are passed over. */
  @AsksWhole(0, 9999) readonly after?: Typed<number>;
}

/** What is asked of the form of a new batch. */
export class NewBatchQuery {
  @AsksDay() readonly due?: string;
  /** "12x3.7x1": three of pattern 12 and one of pattern 7. */
  @AsksText(1000) readonly pieces?: string;
}

/** What is asked of the cutting table. */
export class CuttingTableQuery {
  /** Which wire comes next, as the table writes it. */
  @AsksText(80) readonly wire?: string;
}
