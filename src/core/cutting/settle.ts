import { shareOfCost, type CostUnits } from '../units/money';
import { um, type Micrometres } from '../units/length';

/** What happened to one length taken off a stock piece. */
export interface Taken {
  readonly kind: 'cut' | 'scrapped' | 'spoiled';
  readonly length: Micrometres;
  readonly cost: CostUnits;
}

/** How a cut was done: what was taken off, and what of it came back unused. */
export interface CutDone {
  /** Taken off the stock piece. */
  readonly cut: Micrometres;
  /** Part of it left over when the wire was trimmed. */
  readonly back: Micrometres;
}

/** The outcome of one cut, to be written as movements. */
export interface SettledCut {
  readonly taken: readonly Taken[];
  /** What came back long enough to keep: a new off-cut with its share of the cost. */
  readonly offCut: { readonly length: Micrometres; readonly cost: CostUnits } | null;
  /** What the stock piece holds afterwards. */
  readonly left: { readonly length: Micrometres; readonly cost: CostUnits };
}

/**
 * Settles one cut: a cut of x takes round(cost × x / length) with it; what came back keeps its share of that as an
 * off-cut when it reaches the useful minimum and is scrap when it does not.
 *
 * @throws RangeError when more is cut than there is or more comes back than was cut; callers check both first
 */
export function settleCut(
  from: { readonly length: Micrometres; readonly cost: CostUnits },
  done: CutDone,
  usefulMinimum: Micrometres,
): SettledCut {
  if (done.cut > from.length || done.back > done.cut)
    throw new RangeError('cut or return exceeds what there is');
  const cutCost = shareOfCost(from.cost, done.cut, from.length);
  const backCost = shareOfCost(cutCost, done.back, done.cut);
  const keeps = done.back > 0 && done.back >= usefulMinimum;
  const scraps = done.back > 0 && !keeps;
  const usedCost = (cutCost - (scraps ? backCost : 0)) as CostUnits;
  const usedLength = um(done.cut - (scraps ? done.back : 0));
  return {
    taken: [
      ...(usedLength > 0 ? [{ kind: 'cut', length: usedLength, cost: usedCost } as const] : []),
      ...(scraps ? [{ kind: 'scrapped', length: done.back, cost: backCost } as const] : []),
    ],
    offCut: keeps ? { length: done.back, cost: backCost } : null,
    left: { length: um(from.length - done.cut), cost: (from.cost - cutCost) as CostUnits },
  };
}

/**
 * Whether what is left on a stock piece goes to the scrap jar: an off-cut shorter than the useful minimum does; the tail
 * of a spool does too, since nobody keeps 20 mm on a spool.
 */
export const isScrap = (left: Micrometres, usefulMinimum: Micrometres): boolean =>
  left > 0 && left < usefulMinimum;

/** The useful minimum for a spec: its own, else its metal's, else the studio's. */
export function usefulMinimumFor(
  spec: { readonly id: string; readonly metal: string },
  minimums: {
    readonly bySpec: Readonly<Record<string, number>>;
    readonly byMetal: Readonly<Record<string, number>>;
    readonly otherwise: number;
  },
): Micrometres {
  return um(minimums.bySpec[spec.id] ?? minimums.byMetal[spec.metal] ?? minimums.otherwise);
}
