import type { Micrometres } from '../units/length';
import { worthOf, type CuttingProblem, type PieceToCut } from './problem';

/** Cuts of one length. */
export interface CutType {
  readonly length: Micrometres;
  readonly count: number;
}

/** Stock pieces that are alike: any pattern that can be cut from one can be cut from each. */
export interface StockClass {
  readonly length: Micrometres;
  readonly isOffCut: boolean;
  readonly ids: readonly string[];
}

/** A problem as it is solved: cuts by type, stock by class, and stock so long that it is cut without patterns. */
export interface Sorted {
  readonly problem: CuttingProblem;
  readonly types: readonly CutType[];
  readonly classes: readonly StockClass[];
  readonly long: readonly PieceToCut[];
}

/** What is cut from one piece of a class: how many of which type. */
export interface Pattern {
  readonly from: number;
  readonly counts: readonly (readonly [type: number, count: number])[];
  /** What the piece is worth less for it, in micrometres of wire on a spool. */
  readonly cost: number;
}

/** The cuts by length, longest first. */
export function cutTypes({ cuts }: CuttingProblem): CutType[] {
  const counts = new Map<Micrometres, number>();
  for (const { length, count } of cuts) if (count > 0) counts.set(length, (counts.get(length) ?? 0) + count);
  return [...counts].map(([length, count]) => ({ length, count })).sort((a, b) => b.length - a.length);
}

/** The stock in classes; pieces that no cut fits are left out. */
export function stockClasses(stock: readonly PieceToCut[], shortest: number): StockClass[] {
  const classes = new Map<string, { length: Micrometres; isOffCut: boolean; ids: string[] }>();
  for (const { id, length, isOffCut } of stock) {
    if (length < shortest) continue;
    const key = `${length} ${isOffCut}`;
    const known = classes.get(key);
    if (known) known.ids.push(id);
    else classes.set(key, { length, isOffCut, ids: [id] });
  }
  return [...classes.values()].sort((a, b) => a.length - b.length);
}

/** A pattern with its cost; undefined when it does not fit. */
export function patternOf(
  { problem, types, classes }: Sorted,
  from: number,
  counts: Pattern['counts'],
): Pattern | undefined {
  const { length, isOffCut } = classes[from] as StockClass;
  const used = counts.reduce((sum, [type, count]) => sum + (types[type] as CutType).length * count, 0);
  if (used > length) return undefined;
  return {
    from,
    counts,
    cost: worthOf(length, isOffCut, problem) - worthOf(length - used, isOffCut, problem),
  };
}

export const keyOf = ({ from, counts }: Pattern): string =>
  `${from}:${counts.map(([type, count]) => `${type}x${count}`).join(' ')}`;

/** What a search for patterns may use up. */
export interface SearchLimits {
  readonly patterns: number;
  readonly nodes: number;
  /** Asked now and then whether there is still time. */
  readonly goOn?: () => boolean;
}

/** Nodes between two looks at the clock. */
const ASK_EVERY = 8192;

/**
 * Finds patterns by depth-first search through the types, longest first.
 * @param wanted whether a pattern that uses so much of its piece is wanted
 * @param hopeless whether nothing can come of so much room left for the types from one on
 * @returns undefined when there are more than the limits allow
 */
export function searchPatterns(
  sorted: Sorted,
  limits: SearchLimits,
  wanted: (counts: Pattern['counts'], left: number, from: number) => boolean,
  hopeless: (counts: Pattern['counts'], left: number, type: number, from: number) => boolean = () => false,
): Pattern[] | undefined {
  const { types, classes } = sorted;
  const found: Pattern[] = [];
  let nodes = 0;
  const visit = (from: number, type: number, left: number, counts: Pattern['counts']): boolean => {
    nodes += 1;
    if (nodes > limits.nodes || found.length > limits.patterns) return false;
    if (nodes % ASK_EVERY === 0 && limits.goOn && !limits.goOn()) return false;
    if (type === types.length) {
      if (counts.length > 0 && wanted(counts, left, from)) {
        const pattern = patternOf(sorted, from, counts);
        if (pattern) found.push(pattern);
      }
      return true;
    }
    if (hopeless(counts, left, type, from)) return true;
    const { length, count } = types[type] as CutType;
    for (let take = Math.min(count, Math.floor(left / length)); take >= 0; take -= 1) {
      const next = take > 0 ? [...counts, [type, take] as const] : counts;
      if (!visit(from, type + 1, left - take * length, next)) return false;
    }
    return true;
  };
  const all = classes.every((each, from) => visit(from, 0, each.length, []));
  return all && found.length <= limits.patterns ? found : undefined;
}
