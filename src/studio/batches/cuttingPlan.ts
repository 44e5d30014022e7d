import type { BatchCut } from '@/core/batch/batch';
import type { Leftover } from '@/core/cutting/problem';
import type { Method } from '@/core/cutting/solve';
import type { WireForm } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';

/** A wire of the batch in a plan. */
export type PlannedBatchCut = Pick<BatchCut, 'line' | 'piece' | 'cutIndex' | 'copy' | 'name' | 'length'>;

/** What is cut from one stock piece, longest first. */
export interface PlannedStock {
  readonly id: string;
  readonly number: number;
  readonly form: WireForm;
  readonly place: string | null;
  /** What was free of it when the plan was made. */
  readonly length: Micrometres;
  readonly cuts: readonly PlannedBatchCut[];
  readonly left: Micrometres;
  readonly leftIs: Leftover;
}

/** How the wires of one spec are cut: with what by eye would have lost, and how far from the best the plan is at most. */
export interface CuttingPlanKept {
  readonly pieces: readonly PlannedStock[];
  readonly unmet: readonly PlannedBatchCut[];
  readonly waste: Micrometres;
  readonly objective: number;
  readonly gap: number;
  readonly optimal: boolean;
  readonly method: Method;
  readonly byEye: { readonly waste: Micrometres; readonly objective: number; readonly pieces: number };
}
