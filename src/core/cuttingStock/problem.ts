import { sumLengths, um, type Micrometres } from '../units/length';

/** Wires of one length that are wanted. */
export interface CutWanted {
  readonly length: Micrometres;
  readonly count: number;
}

/** A stock piece of the spec that the cuts are of. */
export interface PieceToCut {
  readonly id: string;
  readonly length: Micrometres;
  /** Spools, coils and bobbins stay what they are when they are cut from; an off-cut becomes a shorter one. */
  readonly isOffCut: boolean;
}

/** What a length is worth against as much wire on a spool. */
export interface Worth {
  /** Of a micrometre of an off-cut: a short wire fits fewer cuts. */
  readonly offCut: number;
  /** Of a micrometre of scrap: the melt value for precious metal, nothing for base metal. */
  readonly scrap: number;
  /** What it costs to keep an off-cut at all, as a part of the useful minimum: few off-cuts are better than many. */
  readonly keeping: number;
}

export const USUAL_WORTH: Worth = { offCut: 0.9, scrap: 0, keeping: 0.1 };

/** Cuts of one spec, and what they may be cut from. */
export interface CuttingProblem {
  readonly cuts: readonly CutWanted[];
  readonly stock: readonly PieceToCut[];
  /** Shorter than this, what is left goes to the scrap jar. */
  readonly usefulMinimum: Micrometres;
  readonly worth: Worth;
}

export type Leftover = 'spool' | 'off-cut' | 'scrap';

/** What is cut from one stock piece. */
export interface CutPiece {
  readonly id: string;
  /** Longest first. */
  readonly cuts: readonly Micrometres[];
  readonly left: Micrometres;
  readonly leftIs: Leftover;
}

/** Which cut comes from where; stock that nothing is cut from is not named. */
export interface CuttingPlan {
  readonly pieces: readonly CutPiece[];
  readonly unmet: readonly CutWanted[];
}

/** What is left of a stock piece, by its length. */
export function leftoverOf(left: Micrometres, isOffCut: boolean, usefulMinimum: Micrometres): Leftover {
  if (left < usefulMinimum) return 'scrap';
  return isOffCut ? 'off-cut' : 'spool';
}

/** What a length is worth, in micrometres of wire on a spool. */
export function worthOf(
  length: number,
  isOffCut: boolean,
  { usefulMinimum, worth }: Pick<CuttingProblem, 'usefulMinimum' | 'worth'>,
): number {
  if (length < usefulMinimum) return worth.scrap * length;
  return isOffCut ? worth.offCut * length - worth.keeping * usefulMinimum : length;
}

/** A cut that finds no wire weighs this many times its length and the useful minimum, so that none is left out to save waste. */
const UNMET = 100;

/** What leaving one cut out weighs, in micrometres of wire on a spool. */
export const weightOfUnmet = (
  length: number,
  { usefulMinimum }: Pick<CuttingProblem, 'usefulMinimum'>,
): number => UNMET * (length + usefulMinimum);

/**
 * What a plan costs, in micrometres of wire on a spool: what the stock is worth less for it, and a heavy weight for every cut that
 * finds no wire. Lower is better.
 */
export function objectiveOf(problem: CuttingProblem, { pieces, unmet }: CuttingPlan): number {
  const stock = new Map(problem.stock.map((piece) => [piece.id, piece]));
  const lost = pieces.map(({ id, left }) => {
    const piece = stock.get(id);
    if (!piece) throw new RangeError(`${id} is not among the stock`);
    return worthOf(piece.length, piece.isOffCut, problem) - worthOf(left, piece.isOffCut, problem);
  });
  const missing = unmet.map(({ length, count }) => count * weightOfUnmet(length, problem));
  return [...lost, ...missing].reduce((sum, each) => sum + each, 0);
}

/** Wire that a plan turns into scrap. */
export const wasteOf = ({ pieces }: CuttingPlan): Micrometres =>
  sumLengths(pieces.filter(({ leftIs }) => leftIs === 'scrap').map(({ left }) => left));

/**
 * A plan from what is cut from each stock piece; cuts that are more than wanted are left out again.
 * @param cut lengths by the id of the stock piece
 */
export function planOf(
  problem: CuttingProblem,
  cut: ReadonlyMap<string, readonly Micrometres[]>,
): CuttingPlan {
  const wanted = new Map<Micrometres, number>();
  for (const { length, count } of problem.cuts) wanted.set(length, (wanted.get(length) ?? 0) + count);
  const pieces = problem.stock.flatMap(({ id, length, isOffCut }): CutPiece[] => {
    const cuts = [...(cut.get(id) ?? [])]
      .sort((a, b) => b - a)
      .filter((each) => {
        const open = wanted.get(each) ?? 0;
        if (open > 0) wanted.set(each, open - 1);
        return open > 0;
      });
    if (cuts.length === 0) return [];
    const left = um(length - sumLengths(cuts));
    return [{ id, cuts, left, leftIs: leftoverOf(left, isOffCut, problem.usefulMinimum) }];
  });
  const unmet = [...wanted].flatMap(([length, count]) => (count > 0 ? [{ length, count }] : []));
  return { pieces, unmet };
}
