import { searchPatterns, type Pattern, type SearchLimits, type Sorted, type StockClass } from './patterns';
import type { Duals } from './pricing';
import { worthOf } from './problem';

/** Patterns that leave nothing of their piece; none when they are too many. */
export const withoutRest = (sorted: Sorted, limits: SearchLimits): readonly Pattern[] => {
  const shortest = Math.min(...sorted.types.map(({ length }) => length));
  return (
    searchPatterns(
      sorted,
      limits,
      (_, rest) => rest === 0,
      (_, rest) => rest > 0 && rest < shortest,
    ) ?? []
  );
};

/** Parts of the gap that are searched, until the patterns within are few enough. */
const PARTS = [1, 1 / 4, 1 / 16, 1 / 64];

/**
 * Patterns whose reduced cost is within the gap: a plan that is better than the one that is known has no others, so that with all of
 * them the solver’s own bound holds.
 */
export function nearlyAsGood(
  sorted: Sorted,
  duals: Duals,
  gap: number,
  limits: SearchLimits,
): { readonly patterns: readonly Pattern[]; readonly areAll: boolean } {
  const { problem, types, classes } = sorted;
  const { worth } = problem;
  // The most that a micrometre of room can still bring, by the types from one on, when what is left is worth so much.
  const bringing = (worthLeft: number) => {
    const most = types.map(({ length }, type) => Math.max(0, duals.ofType(type) / length - worthLeft));
    for (let type = most.length - 2; type >= 0; type -= 1)
      most[type] = Math.max(most[type] as number, most[type + 1] as number);
    return most;
  };
  const kept = { offCut: bringing(worth.offCut), spool: bringing(1) };
  const scrap = bringing(worth.scrap);
  const dualsOf = (counts: Pattern['counts']) =>
    counts.reduce((sum, [type, count]) => sum + duals.ofType(type) * count, 0);
  const lossOf = (from: number, rest: number) => {
    const { length, isOffCut } = classes[from] as StockClass;
    return worthOf(length, isOffCut, problem) - worthOf(rest, isOffCut, problem);
  };
  for (const part of PARTS) {
    const within = gap * part;
    const patterns = searchPatterns(
      sorted,
      limits,
      (counts, rest, from) => lossOf(from, rest) - dualsOf(counts) - duals.ofClass(from) <= within,
      (counts, rest, type, from) => {
        const { length, isOffCut } = classes[from] as StockClass;
        const soFar = dualsOf(counts) + duals.ofClass(from);
        const used = length - rest;
        const asScrap =
          worthOf(length, isOffCut, problem) - worth.scrap * rest - rest * (scrap[type] ?? 0) - soFar;
        const ofKept = (isOffCut ? kept.offCut : kept.spool)[type] ?? 0;
        const asKept = (isOffCut ? worth.offCut : 1) * used - rest * ofKept - soFar;
        return Math.min(asScrap, asKept) > within;
      },
    );
    if (patterns) return { patterns, areAll: part === 1 };
  }
  return { patterns: [], areAll: false };
}
