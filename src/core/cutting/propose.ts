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

/**
 * Best-fit decreasing, as a careful maker does it by eye: longest cuts first; each from the off-cut that leaves least;
 * where no off-cut will do, from the spool or coil with least left on it, so that open spools are finished first.
 *
 * @param demands wires wanted; zero-length demands are not allowed
 * @param stock lengths on the rack; pieces of other specs are ignored
 */
export function proposeCuts(demands: readonly Demand[], stock: readonly StockLength[]): Proposal {
  const left = new Map(stock.map(({ id, length }) => [id, length as number]));
  const from: (string | null)[] = demands.map(() => null);
  const longestFirst = demands
    .map((_, index) => index)
    .sort((a, b) => lengthAt(demands, b) - lengthAt(demands, a) || a - b);

  for (const index of longestFirst) {
    const demand = demands[index];
    if (!demand) continue;
    const chosen = bestFit(demand, stock, left);
    if (!chosen) continue;
    from[index] = chosen.id;
    left.set(chosen.id, (left.get(chosen.id) ?? 0) - demand.length);
  }
  return { from, shortages: shortagesOf(demands, from, stock) };
}

const lengthAt = (demands: readonly Demand[], index: number): number => demands[index]?.length ?? 0;

function bestFit(
  demand: Demand,
  stock: readonly StockLength[],
  left: ReadonlyMap<string, number>,
): StockLength | undefined {
  let best: StockLength | undefined;
  for (const piece of stock) {
    const remaining = left.get(piece.id) ?? 0;
    if (piece.specId !== demand.specId || remaining < demand.length) continue;
    if (!best || comesBefore(piece, remaining, best, left.get(best.id) ?? 0)) best = piece;
  }
  return best;
}

function comesBefore(a: StockLength, leftOfA: number, b: StockLength, leftOfB: number): boolean {
  if (a.isOffCut !== b.isOffCut) return a.isOffCut;
  return leftOfA < leftOfB;
}

function shortagesOf(
  demands: readonly Demand[],
  from: readonly (string | null)[],
  stock: readonly StockLength[],
): Shortage[] {
  const unmet = demands.filter((_, index) => from[index] === null);
  const specs = [...new Set(unmet.map(({ specId }) => specId))];
  return specs.map((specId) => {
    const lengths = unmet.filter((demand) => demand.specId === specId).map(({ length }) => length);
    const inStock = stock.filter((piece) => piece.specId === specId).map(({ length }) => length);
    return {
      specId,
      missing: um(lengths.reduce<number>((sum, length) => sum + length, 0)),
      cuts: lengths.length,
      longestCut: um(Math.max(...lengths)),
      longestInStock: um(Math.max(0, ...inStock)),
    };
  });
}
