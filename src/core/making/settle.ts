import { shareOfCost, type CostUnits } from '../units/money';
import { sumLengths, um, type Micrometres } from '../units/length';

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
  /** The pieces of it that were left over when the wire was trimmed. */
  readonly back: readonly Micrometres[];
}

/** The outcome of one cut, to be written as movements. */
export interface SettledCut {
  readonly taken: readonly Taken[];
  /** What came back long enough to keep: new off-cuts, each with its share of the cost. */
  readonly offCuts: readonly { readonly length: Micrometres; readonly cost: CostUnits }[];
  /** What the stock piece holds afterwards. */
  readonly left: { readonly length: Micrometres; readonly cost: CostUnits };
}

/**
 * Settles one cut: a cut of x takes round(cost × x / length) with it; each piece that came back keeps its share of that as an
 * off-cut when it reaches the useful minimum, and is scrap with the others that do not.
 *
 * @throws RangeError when more is cut than there is or more comes back than was cut; callers check both first
 */
export function settleCut(
  from: { readonly length: Micrometres; readonly cost: CostUnits },
  done: CutDone,
  usefulMinimum: Micrometres,
): SettledCut {
  const came = sumLengths(done.back);
  if (done.cut > from.length || came > done.cut) throw new RangeError('cut or return exceeds what there is');
  const cutCost = shareOfCost(from.cost, done.cut, from.length);
  // Shares of the whole that came back, so that the last of many bears no rounding of the others.
  const backCost = shareOfCost(cutCost, came, done.cut);
  const scrap = sumLengths(done.back.filter((length) => length < usefulMinimum));
  const scrapCost = shareOfCost(backCost, scrap, came);
  const offCuts: { length: Micrometres; cost: CostUnits }[] = [];
  let kept = { length: um(came - scrap), cost: (backCost - scrapCost) as CostUnits };
  for (const length of done.back.filter((each) => each > 0 && each >= usefulMinimum)) {
    const share = shareOfCost(kept.cost, length, kept.length);
    offCuts.push({ length, cost: share });
    kept = { length: um(kept.length - length), cost: (kept.cost - share) as CostUnits };
  }
  const used = um(done.cut - scrap);
  return {
    taken: [
      ...(used > 0 ? [{ kind: 'cut', length: used, cost: (cutCost - scrapCost) as CostUnits } as const] : []),
      ...(scrap > 0 ? [{ kind: 'scrapped', length: scrap, cost: scrapCost } as const] : []),
    ],
    offCuts,
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
