import type { Id } from '../id';
import { um, type Micrometres } from '../units/length';
import { cost, shareOfCost, type CostUnits } from '../units/money';
import { isScrap, settleCut } from './settle';

/** A stock piece the making takes from. */
export interface Source {
  readonly id: Id<'stock piece'>;
  readonly specId: Id<'article'>;
  readonly length: Micrometres;
  readonly cost: CostUnits;
  /** Shorter than this, what is left of it goes to the scrap jar. */
  readonly usefulMinimum: Micrometres;
}

/** A wire cut for the piece. */
export interface CutMade {
  readonly from: string;
  readonly cut: Micrometres;
  /** The pieces of it that were left over when it was trimmed. */
  readonly back: readonly Micrometres[];
}

/** A length lost, with why. */
export interface SpoiledLength {
  readonly from: string;
  readonly length: Micrometres;
  readonly reason: string;
}

/** One movement the making causes on a stock piece that was there before: lengths and costs are negative. */
export interface MakingMovement {
  readonly kind: 'cut' | 'scrapped' | 'spoiled';
  readonly from: string;
  readonly length: Micrometres;
  readonly cost: CostUnits;
  readonly reason: string;
}

/** A length that came back: a new off-cut. */
export interface NewOffCut {
  /** The stock piece it was cut from. */
  readonly from: string;
  readonly specId: string;
  readonly length: Micrometres;
  readonly cost: CostUnits;
}

/** Not enough on one stock piece: nothing of the making may be posted. */
export interface NotEnough {
  readonly id: Id<'stock piece'>;
  readonly specId: Id<'article'>;
  readonly has: Micrometres;
  readonly wanted: Micrometres;
}

/** Everything one making does to the stock. */
export interface SettledMaking {
  readonly movements: readonly MakingMovement[];
  readonly offCuts: readonly NewOffCut[];
  /** What each touched stock piece holds afterwards. */
  readonly left: ReadonlyMap<string, { readonly length: Micrometres; readonly cost: CostUnits }>;
}

const nothing = um(0);

/** Stock pieces that the cuts and spoiled lengths overrun. */
export function notEnoughFor(
  sources: readonly Source[],
  cuts: readonly CutMade[],
  spoiled: readonly SpoiledLength[],
): NotEnough[] {
  return sources.flatMap(({ id, specId, length }) => {
    const taken = [
      ...cuts.map((each) => [each.from, each.cut] as const),
      ...spoiled.map((each) => [each.from, each.length] as const),
    ];
    const wanted = taken.filter(([from]) => from === id).reduce((sum, [, take]) => sum + take, 0);
    return wanted > length ? [{ id, specId, has: length, wanted: um(wanted) }] : [];
  });
}

/**
 * Settles a whole making: spoiled lengths first, as they happened, then the cuts in order; last, what is left of a touched
 * stock piece and is too short to keep goes to the scrap jar. Length and cost are conserved exactly.
 * @throws RangeError when a stock piece is overrun; {@link notEnoughFor} tells beforehand
 */
export function settleMaking(
  sources: readonly Source[],
  cuts: readonly CutMade[],
  spoiled: readonly SpoiledLength[],
): SettledMaking {
  const byId = new Map(sources.map((source) => [source.id, source]));
  const left = new Map<string, { length: Micrometres; cost: CostUnits }>();
  const movements: MakingMovement[] = [];
  const offCuts: NewOffCut[] = [];
  const sourceOf = (id: string): Source => {
    const source = byId.get(id);
    if (!source) throw new RangeError(`${id} is not one of the sources`);
    return source;
  };
  const take = (
    from: string,
    kind: MakingMovement['kind'],
    length: Micrometres,
    amount: CostUnits,
    reason = '',
  ) => {
    if (length > 0) movements.push({ kind, from, length: um(-length), cost: cost(0 - amount), reason });
  };

  for (const { from, length, reason } of spoiled) {
    const now = left.get(from) ?? sourceOf(from);
    const share = shareOfCost(now.cost, length, now.length);
    take(from, 'spoiled', length, share, reason);
    left.set(from, { length: um(now.length - length), cost: cost(now.cost - share) });
  }
  for (const { from, cut, back } of cuts) {
    const source = sourceOf(from);
    const settled = settleCut(left.get(from) ?? source, { cut, back }, source.usefulMinimum);
    for (const taken of settled.taken) take(from, taken.kind, taken.length, taken.cost);
    for (const offCut of settled.offCuts) offCuts.push({ from, specId: source.specId, ...offCut });
    left.set(from, settled.left);
  }
  for (const [id, now] of left) {
    if (!isScrap(now.length, sourceOf(id).usefulMinimum)) continue;
    take(id, 'scrapped', now.length, now.cost, 'too short to keep');
    left.set(id, { length: nothing, cost: cost(0) });
  }
  return { movements, offCuts, left };
}
