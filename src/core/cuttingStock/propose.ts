import { um, type Micrometres } from '../units/length';

/** A wire on the rack that may be cut from. */
export interface StockLength {
  readonly id: string;
  readonly specId: string;
  readonly length: Micrometres;
  /** Off-cuts are used before spools, coils and bobbins. */
  readonly isOffCut: boolean;
}

/** A wire to be cut. */
export interface Demand {
  readonly specId: string;
  readonly length: Micrometres;
}

/** So many wires of one length. */
export interface CountedDemand extends Demand {
  readonly count: number;
}

/** What is missing of one spec. */
export interface Shortage {
  readonly specId: string;
  /** Sum of the cuts that found no wire. */
  readonly missing: Micrometres;
  readonly cuts: number;
  /** The longest of the cuts that found no wire. */
  readonly longestCut: Micrometres;
  /** The longest single length there is of it, before anything is cut. */
  readonly longestInStock: Micrometres;
}

/** For every demand, in the order given, the stock it is to be cut from; `null` where there is none. */
export interface Proposal {
  readonly from: readonly (string | null)[];
  readonly shortages: readonly Shortage[];
}

/** What counted demands come from: of each, in the order given, the stock pieces with how many cuts come off them. */
export interface CountedProposal {
  readonly from: readonly (readonly { readonly id: string; readonly count: number }[])[];
  readonly shortages: readonly Shortage[];
}

/**
 * Best-fit decreasing, as a careful maker does it by eye: longest cuts first; each from the off-cut that leaves least;
 * where no off-cut will do, from the spool or coil with least left on it, so that open spools are finished first.
 *
 * The piece that leaves least for a cut leaves least for the next one of its length too, so cuts of one length are taken off a
 * piece together: the time goes with the lengths and the stock, however many cuts there are.
 *
 * @param demands wires wanted; zero-length demands are not allowed
 * @param stock lengths on the rack; pieces of other specs are ignored
 */
export function proposeCounts(
  demands: readonly CountedDemand[],
  stock: readonly StockLength[],
): CountedProposal {
  const racks = racksOf(stock);
  const from: { id: string; count: number }[][] = demands.map(() => []);
  const unmet = demands.map(({ count }) => count);
  const longestFirst = demands
    .map((demand, index) => ({ demand, index }))
    .sort((a, b) => b.demand.length - a.demand.length || a.index - b.index);
  for (const { demand, index } of longestFirst) {
    for (const shelf of racks.get(demand.specId) ?? []) {
      while ((unmet[index] ?? 0) > 0) {
        const taken = shelf.take(demand.length, unmet[index] ?? 0);
        if (!taken) break;
        from[index]?.push(taken);
        unmet[index] = (unmet[index] ?? 0) - taken.count;
      }
    }
  }
  return { from, shortages: shortagesOf(demands, unmet, stock) };
}

/** Best fit of single wires, see {@link proposeCounts}. */
export function proposeCuts(demands: readonly Demand[], stock: readonly StockLength[]): Proposal {
  const alike = new Map<string, { readonly demand: Demand; readonly indices: number[] }>();
  demands.forEach((demand, index) => {
    const key = `${demand.specId} ${demand.length}`;
    const known = alike.get(key);
    if (known) known.indices.push(index);
    else alike.set(key, { demand, indices: [index] });
  });
  const groups = [...alike.values()];
  const { from: counted, shortages } = proposeCounts(
    groups.map(({ demand: { specId, length }, indices }) => ({ specId, length, count: indices.length })),
    stock,
  );
  const from: (string | null)[] = demands.map(() => null);
  groups.forEach(({ indices }, group) => {
    const ids = (counted[group] ?? []).flatMap(({ id, count }) => Array<string>(count).fill(id));
    ids.forEach((id, at) => (from[indices[at] ?? -1] = id));
  });
  return { from, shortages };
}

/** Pieces of one spec by what is left of them, least first; of equals the one that came first. */
class Shelf {
  private readonly pieces: { readonly id: string; readonly at: number; left: number }[];

  constructor(stock: readonly StockLength[]) {
    this.pieces = stock
      .map(({ id, length }, at) => ({ id, at, left: length as number }))
      .sort((a, b) => a.left - b.left || a.at - b.at);
  }

  /** Takes cuts of one length, as many as wanted or as fit, off the piece that leaves least. */
  take(length: number, most: number): { readonly id: string; readonly count: number } | undefined {
    const at = this.firstWith((left) => left >= length);
    const piece = this.pieces[at];
    if (!piece) return undefined;
    const count = Math.min(most, Math.floor(piece.left / length));
    this.pieces.splice(at, 1);
    piece.left -= count * length;
    const back = this.firstWith(
      (left, order) => left > piece.left || (left === piece.left && order > piece.at),
    );
    this.pieces.splice(back, 0, piece);
    return { id: piece.id, count };
  }

  private firstWith(isPast: (left: number, order: number) => boolean): number {
    let [low, high] = [0, this.pieces.length];
    while (low < high) {
      const middle = Math.floor((low + high) / 2);
      const { left = 0, at = 0 } = this.pieces[middle] ?? {};
      if (isPast(left, at)) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}

/** The off-cuts of every spec, then its spools and coils. */
function racksOf(stock: readonly StockLength[]): Map<string, readonly [Shelf, Shelf]> {
  const bySpec = new Map<string, StockLength[]>();
  for (const piece of stock) {
    const own = bySpec.get(piece.specId);
    if (own) own.push(piece);
    else bySpec.set(piece.specId, [piece]);
  }
  const shelf = (own: readonly StockLength[], offCuts: boolean) =>
    new Shelf(own.filter(({ isOffCut }) => isOffCut === offCuts));
  return new Map([...bySpec].map(([specId, own]) => [specId, [shelf(own, true), shelf(own, false)]]));
}

function shortagesOf(
  demands: readonly CountedDemand[],
  unmet: readonly number[],
  stock: readonly StockLength[],
): Shortage[] {
  const bySpec = new Map<string, { missing: number; cuts: number; longest: number }>();
  demands.forEach(({ specId, length }, index) => {
    const count = unmet[index] ?? 0;
    if (count === 0) return;
    const { missing, cuts, longest } = bySpec.get(specId) ?? { missing: 0, cuts: 0, longest: 0 };
    bySpec.set(specId, {
      missing: missing + count * length,
      cuts: cuts + count,
      longest: Math.max(longest, length),
    });
  });
  return [...bySpec].map(([specId, { missing, cuts, longest }]) => {
    const inStock = stock.filter((piece) => piece.specId === specId).map(({ length }) => length as number);
    return {
      specId,
      missing: um(missing),
      cuts,
      longestCut: um(longest),
      longestInStock: um(inStock.reduce((a, b) => Math.max(a, b), 0)),
    };
  });
}
