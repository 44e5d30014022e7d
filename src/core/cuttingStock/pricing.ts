import { fillGrid, gridOf, type Filling } from './grid';
import { patternOf, type CutType, type Pattern, type Sorted, type StockClass } from './patterns';
import type { Open } from './master';
import { worthOf } from './problem';

/** What one more of each cut is worth, and what one more piece of each class, by the linear programme. */
export interface Duals {
  readonly ofType: (type: number) => number;
  readonly ofClass: (from: number) => number;
}

/** What a plan costs more for one more of a pattern, under what its cuts and its piece are worth. */
export const reducedCost = ({ counts, cost, from }: Pattern, duals: Duals): number =>
  cost - counts.reduce((sum, [type, count]) => sum + duals.ofType(type) * count, 0) - duals.ofClass(from);

/** What pricing found. */
export interface Priced {
  /** Patterns that would make the plan better, the best of a class first. */
  readonly patterns: readonly Pattern[];
  /** For each class, a bound below which no pattern’s reduced cost lies. */
  readonly least: readonly number[];
}

/** Finds patterns that make a plan better. */
export interface Pricing {
  /** Whether lengths fit the grid, so that patterns and bound are exact. */
  readonly exact: boolean;
  readonly price: (duals: Duals, each: number) => Priced;
  /** Bounds on the reduced cost of each class, when the grid is not exact. */
  readonly leastOf: (duals: Duals) => readonly number[];
}

/**
 * Pricing by bounded knapsacks over whole units. What is left of a piece is worth so much a micrometre when it is kept and so
 * much when it is scrap, so the best pattern is the better of two knapsacks: of the room that leaves a useful rest, and of all of
 * it. One knapsack answers every class.
 */
export function pricingOf(sorted: Sorted, { counts: open, pieces }: Open): Pricing {
  const { problem, types, classes } = sorted;
  const longest = Math.max(...classes.map(({ length }, from) => ((pieces[from] ?? 0) > 0 ? length : 0)));
  const countOf = (type: number) => open[type] ?? 0;
  const grid = gridOf(types, longest);
  const { exact } = grid;
  const { usefulMinimum, worth } = problem;

  /** The three knapsacks: what is left stays an off-cut, stays on its spool, or is scrap. */
  const fillAll = (duals: Duals, round: (value: number) => number) => {
    const fill = (worthLeft: number): Filling =>
      fillGrid(grid, longest, {
        types,
        countOf,
        profitOf: (type) => duals.ofType(type) - worthLeft * (types[type]?.length ?? 0),
        round,
      });
    return { offCut: fill(worth.offCut), spool: fill(1), scrap: fill(worth.scrap) };
  };
  const roomsOf = ({ length, isOffCut }: StockClass) => ({
    kept: isOffCut ? ('offCut' as const) : ('spool' as const),
    keeping: length - usefulMinimum,
    all: length,
    // What the piece is worth beyond so much a micrometre of it, when it all ends as scrap.
    scrapBase: worthOf(length, isOffCut, problem) - worth.scrap * length,
  });
  const leastBy = (filled: ReturnType<typeof fillAll>, duals: Duals) =>
    classes.map((each, from) => {
      const { kept, keeping, all, scrapBase } = roomsOf(each);
      return (
        Math.min(-filled[kept].worth(keeping), scrapBase - filled.scrap.worth(all)) - duals.ofClass(from)
      );
    });

  return {
    exact,
    leastOf: (duals) => leastBy(fillAll(duals, Math.floor), duals),
    price: (duals, each) => {
      const filled = fillAll(duals, Math.ceil);
      const patterns = classes.flatMap((stockClass, from) => {
        if ((pieces[from] ?? 0) === 0) return [];
        const { kept, keeping, all } = roomsOf(stockClass);
        const choices = [
          ...(keeping > 0 ? filled[kept].choices(keeping) : []),
          ...filled.scrap.choices(all),
          ...withEachType(types, countOf, filled.scrap, all, each - 2),
        ];
        const priced = choices.flatMap((counts) => {
          const pattern = patternOf(sorted, from, counts);
          if (!pattern || counts.length === 0) return [];
          const cost = reducedCost(pattern, duals);
          return cost < -BETTER ? [{ pattern, cost }] : [];
        });
        return priced
          .sort((a, b) => a.cost - b.cost)
          .slice(0, each)
          .map(({ pattern }) => pattern);
      });
      return { patterns, least: leastBy(filled, duals) };
    },
  };
}

/** A reduced cost has to be better than nothing by so much, µm. */
const BETTER = 1e-3;

/** The best choice that has one of each type: where few classes share many types, one pattern a round would take for ever. */
function withEachType(
  types: readonly CutType[],
  countOf: (type: number) => number,
  filled: Filling,
  room: number,
  most: number,
): [number, number][][] {
  if (most <= 0) return [];
  return types.flatMap(({ length }, type): [number, number][][] => {
    const left = room - length;
    if (left < 0) return [];
    const counts = new Map(filled.choices(left)[0]);
    const taken = counts.get(type) ?? 0;
    if (taken >= countOf(type)) return [];
    counts.set(type, taken + 1);
    return [[...counts].sort(([a], [b]) => a - b)];
  });
}
