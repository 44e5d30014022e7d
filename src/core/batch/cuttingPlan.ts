import { leftoverOf, type Leftover } from '../cuttingStock/problem';
import type { Method } from '../cuttingStock/solve';
import type { WireForm } from '../stock/ware';
import { sumLengths, um, type Micrometres } from '../units/length';
import { cutKey, type BatchCut, type CutOfBatch } from './batch';

/** A wire of the batch in a plan. */
export type PlannedBatchCut = CutOfBatch & Pick<BatchCut, 'name' | 'length'>;

/** What is cut from one stock piece, longest first. */
export interface PlannedStock {
  readonly id: string;
  readonly number: number;
  readonly form: WireForm;
  readonly place: string | null;
  /** What is free of it for the batch. */
  readonly length: Micrometres;
  readonly cuts: readonly PlannedBatchCut[];
  readonly left: Micrometres;
  readonly leftIs: Leftover;
}

/**
 * How the wires of one spec that are not cut yet are to be cut; with what by eye would have lost, and how far from the best the plan
 * was at most when it was made.
 */
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

/** A plan after something was done at the cutting table. */
export interface ChangedPlan {
  readonly plan: CuttingPlanKept;
  /** The stock piece in question; undefined when nothing more is cut from it. */
  readonly stock: PlannedStock | undefined;
  /** False when what is free of the stock piece is not enough any more for what is to be cut from it: then it has to be planned anew. */
  readonly fits: boolean;
}

/** Where a wire of the batch is planned to be cut from; undefined when it is not. */
export const plannedFrom = (plan: CuttingPlanKept, cut: CutOfBatch): PlannedStock | undefined =>
  plan.pieces.find(({ cuts }) => cuts.some((each) => cutKey(each) === cutKey(cut)));

/** What of a stock piece is set aside for its cuts: they, and what is left when that is scrap. */
export const takenOf = ({ length, left, leftIs }: PlannedStock): Micrometres =>
  leftIs === 'scrap' ? length : um(length - left);

function changed(
  plan: CuttingPlanKept,
  before: PlannedStock,
  cuts: readonly PlannedBatchCut[],
  free: Micrometres,
  usefulMinimum: Micrometres,
): ChangedPlan {
  const others = plan.pieces.filter(({ id }) => id !== before.id);
  if (cuts.length === 0) return { plan: { ...plan, pieces: others }, stock: undefined, fits: true };
  const left = free - sumLengths(cuts.map(({ length }) => length));
  if (left < 0) return { plan, stock: undefined, fits: false };
  const leftIs = leftoverOf(um(left), before.form === 'off-cut', usefulMinimum);
  const stock = { ...before, length: free, cuts, left: um(left), leftIs };
  const isThere = others.length < plan.pieces.length;
  const pieces = isThere
    ? plan.pieces.map((piece) => (piece.id === stock.id ? stock : piece))
    : [stock, ...plan.pieces];
  return { plan: { ...plan, pieces }, stock, fits: true };
}

/**
 * The plan once a wire is cut.
 * @param free what is free of its stock piece now; more than was planned may have been taken from it
 * @throws RangeError when the wire is not in the plan
 */
export function afterCut(
  plan: CuttingPlanKept,
  cut: CutOfBatch,
  free: Micrometres,
  usefulMinimum: Micrometres,
): ChangedPlan {
  const stock = plannedFrom(plan, cut);
  if (!stock) throw new RangeError(`${cutKey(cut)} is not in the plan`);
  const rest = stock.cuts.filter((each) => cutKey(each) !== cutKey(cut));
  return changed(plan, stock, rest, free, usefulMinimum);
}

/**
 * The plan when a wire that was cut is whole with its stock piece again: it is the next to be cut.
 * @param stock the piece it was cut from; what is free of it now
 */
export function afterUndo(
  plan: CuttingPlanKept,
  cut: PlannedBatchCut,
  stock: Pick<PlannedStock, 'id' | 'number' | 'form' | 'place' | 'length'>,
  usefulMinimum: Micrometres,
): ChangedPlan {
  const known = plan.pieces.find(({ id }) => id === stock.id);
  const before = known ?? { ...stock, cuts: [], left: stock.length, leftIs: 'spool' };
  return changed(plan, before, [cut, ...before.cuts], stock.length, usefulMinimum);
}
