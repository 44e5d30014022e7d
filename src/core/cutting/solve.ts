import type { Solver } from '../programme/programme';
import type { Micrometres } from '../units/length';
import { bestFit } from './bestFit';
import { masterOf, UM, type Open } from './master';
import {
  cutTypes,
  keyOf,
  patternOf,
  searchPatterns,
  stockClasses,
  type Pattern,
  type SearchLimits,
  type Sorted,
  type StockClass,
} from './patterns';
import type { Duals } from './pricing';
import { objectiveOf, planOf, wasteOf, worthOf, type CuttingPlan, type CuttingProblem } from './problem';
import { fits, Pool, relax, type Relaxed } from './relax';

/** How a plan was come by. */
export type Method = 'best fit' | 'every pattern' | 'column generation';

/** A plan with its certificate. */
export interface CuttingAnswer {
  readonly plan: CuttingPlan;
  /** Wire that becomes scrap. */
  readonly waste: Micrometres;
  /** See {@link objectiveOf}. */
  readonly objective: number;
  /** No plan at all has an objective under this. */
  readonly bound: number;
  /** (objective − bound) / objective. */
  readonly gap: number;
  /** Whether no plan is better. */
  readonly optimal: boolean;
  readonly method: Method;
  /** What a careful maker would have done by eye. */
  readonly byEye: { readonly plan: CuttingPlan; readonly waste: Micrometres; readonly objective: number };
}

export interface SolveOptions {
  readonly limitMs: number;
  /** Milliseconds that have passed since some moment. */
  readonly clock: () => number;
  /** Asked now and then; when it says so, the best plan so far is given. */
  readonly shouldStop?: () => boolean;
}

/** Within this part of the objective a plan counts as the best there is. */
const SAME = 1e-7;
/** A gap that is good enough: below, more time brings nothing that a hand could cut. Small problems are solved to the end all the same. */
const GOOD_GAP = 2e-3;
/** Stock this many times as long as the longest cut is cut without patterns. */
const LONG = 20;
/** With fewer patterns than this in all, every one is told to the solver. */
const FEW = { patterns: 2_000, nodes: 40_000 };
/** Patterns without any rest, or nearly as good as the bound, that are looked for to mend a plan. */
const MORE = { patterns: 12_000, nodes: 1_500_000 };

/**
 * Cuts with the least loss from unequal stock, by column generation: a linear programme over cutting patterns gives the bound, rounding
 * it step by step gives plans, and an integer programme over the patterns that were found mends them. Small problems are told to the
 * solver whole.
 *
 * @returns the best plan that was found in the time, never worse than by eye, with a bound that no plan passes
 */
export function solveCutting(problem: CuttingProblem, solver: Solver, options: SolveOptions): CuttingAnswer {
  const eye = bestFit(problem);
  const search = new Search(problem, eye, options);
  const sorted = sort(problem);
  if (sorted.types.length > 0 && search.left() > 0 && !tellWhole(search, solver, sorted))
    searchByColumns(search, solver, sorted);
  return search.answer();
}

/** The best plan and the best bound so far. */
class Search {
  private readonly until: number;
  private readonly byEye: CuttingAnswer['byEye'];
  private best: { readonly plan: CuttingPlan; readonly objective: number; readonly method: Method };
  private under = 0;

  constructor(
    readonly problem: CuttingProblem,
    eye: CuttingPlan,
    private readonly options: SolveOptions,
  ) {
    this.until = options.clock() + options.limitMs;
    this.byEye = { plan: eye, waste: wasteOf(eye), objective: objectiveOf(problem, eye) };
    this.best = { ...this.byEye, method: 'best fit' };
  }

  get plan(): CuttingPlan {
    return this.best.plan;
  }

  get objective(): number {
    return this.best.objective;
  }

  /** What a better plan can gain at most. */
  get open(): number {
    return this.best.objective - this.under;
  }

  get isGood(): boolean {
    return this.open <= GOOD_GAP * this.objective;
  }

  /** Milliseconds that are left. */
  left(): number {
    return this.shouldStop() ? 0 : this.until - this.options.clock();
  }

  /** Whether so much of the time is still left. */
  hasLeft(part: number): boolean {
    return this.left() > this.options.limitMs * part;
  }

  shouldStop = (): boolean => this.options.shouldStop?.() ?? false;

  offer(cut: ReadonlyMap<string, readonly Micrometres[]>, method: Method): void {
    const plan = planOf(this.problem, cut);
    const objective = objectiveOf(this.problem, plan);
    if (objective <= this.best.objective) this.best = { plan, objective, method };
  }

  proveAtLeast(bound: number): void {
    this.under = Math.max(this.under, Math.min(bound, this.best.objective));
  }

  answer(): CuttingAnswer {
    const { plan, objective, method } = this.best;
    const gap = objective > 0 ? this.open / objective : 0;
    const optimal = gap <= SAME;
    return {
      plan,
      waste: wasteOf(plan),
      objective,
      bound: optimal ? objective : this.under,
      gap: optimal ? 0 : gap,
      optimal,
      method,
      byEye: this.byEye,
    };
  }
}

function sort(problem: CuttingProblem): Sorted {
  const types = cutTypes(problem);
  const lengths = types.map(({ length }) => length);
  const [shortest, longest] = [Math.min(...lengths), Math.max(...lengths)];
  const total = types.reduce((sum, { length, count }) => sum + length * count, 0);
  const isLong = (length: number) =>
    length > LONG * longest || (length > 3 * longest && length >= total + problem.usefulMinimum);
  return {
    problem,
    types,
    classes: stockClasses(
      problem.stock.filter(({ length }) => !isLong(length)),
      shortest,
    ),
    long: problem.stock.filter(({ length }) => isLong(length)),
  };
}

const allOpen = ({ types, classes }: Sorted): Open => ({
  counts: types.map(({ count }) => count),
  pieces: classes.map(({ ids }) => ids.length),
});

/** Asks the solver for the best plan over patterns, beginning from the best that is known. @returns its own bound */
function mend(
  search: Search,
  solver: Solver,
  sorted: Sorted,
  patterns: readonly Pattern[],
  limitMs: number,
  method: Method,
): number | undefined {
  const master = masterOf(sorted, allOpen(sorted));
  const found = solver.integer(master.rows, [...master.fixed, ...patterns.map(master.variableOf)], {
    limitMs,
    gap: SAME,
    shouldStop: search.shouldStop,
    start: [...master.valuesOf(search.plan), ...timesIn(sorted, search.plan, patterns)],
  });
  if (!found) return undefined;
  const times = patterns.map((pattern, index) => ({
    pattern,
    times: Math.round(found.values[master.fixed.length + index] ?? 0),
  }));
  search.offer(new Map([...master.readLong(found.values), ...cutBy(sorted, times)]), method);
  return found.bound * UM;
}

/** Tells the solver every pattern there is, when they are few. @returns whether it did */
function tellWhole(search: Search, solver: Solver, sorted: Sorted): boolean {
  const every = searchPatterns(sorted, FEW, () => true);
  if (!every) return false;
  const bound = mend(search, solver, sorted, every, search.left(), 'every pattern');
  if (bound !== undefined) search.proveAtLeast(bound);
  return bound !== undefined;
}

function searchByColumns(search: Search, solver: Solver, sorted: Sorted): void {
  const pool = new Pool();
  pool.add([...patternsOf(sorted, search.plan), ...eachTypeAlone(sorted)]);
  const root = relax(solver, sorted, allOpen(sorted), pool, () => search.hasLeft(0.5));
  search.proveAtLeast(root.bound);
  for (const taking of TAKING) {
    if (search.isGood || !search.hasLeft(0.4)) break;
    dive(search, solver, sorted, pool, root, taking);
  }
  pool.add(patternsOf(sorted, search.plan));
  if (search.isGood || !search.hasLeft(0.05)) return;
  const limits = { ...MORE, goOn: () => search.hasLeft(0.2) };
  const { patterns, areAll } = nearlyAsGood(sorted, root.duals, search.open, limits);
  const exactly = searchPatterns(
    sorted,
    limits,
    (_, rest) => rest === 0,
    cannotFill(Math.min(...sorted.types.map(({ length }) => length))),
  );
  pool.add([...patterns, ...(exactly ?? [])]);
  const before = search.objective;
  const bound = mend(search, solver, sorted, pool.all, search.left(), 'column generation');
  if (areAll && bound !== undefined) search.proveAtLeast(Math.min(bound, before));
}

/**
 * Rounds the relaxation to a plan: patterns that are used whole, or nearly, are cut; then the relaxation of what is left is solved
 * again, with patterns of its own.
 * @param taking how much of a pattern has to be used to be cut
 */
function dive(
  search: Search,
  solver: Solver,
  sorted: Sorted,
  pool: Pool,
  root: Relaxed,
  taking: number,
): void {
  let open = allOpen(sorted);
  let relaxed = root;
  const taken: { pattern: Pattern; times: number }[] = [];
  while (relaxed.used.length > 0 && search.hasLeft(0.2)) {
    const byUse = [...relaxed.used].sort((a, b) => b.times - a.times);
    const before = taken.length;
    for (const { pattern, times } of byUse) {
      const whole = Math.max(Math.floor(times + (1 - taking)), taken.length === before ? 1 : 0);
      for (let time = 0; time < whole && fits(pattern, open); time += 1) {
        taken.push({ pattern, times: 1 });
        open = without(open, pattern);
      }
    }
    if (taken.length === before) break;
    relaxed = relax(solver, sorted, open, pool, () => search.hasLeft(0.2));
  }
  const cut = cutBy(sorted, taken);
  search.offer(new Map([...cut, ...restByEye(sorted.problem, cut)]), 'column generation');
}

/** How much of a pattern is used before it is cut, one rounding after the other. */
const TAKING = [0.6, 0.9, 0.4];

const without = ({ counts, pieces }: Open, { from, counts: taken }: Pattern): Open => {
  const left = [...counts];
  for (const [type, count] of taken) left[type] = (left[type] ?? 0) - count;
  return { counts: left, pieces: pieces.map((each, index) => (index === from ? each - 1 : each)) };
};

/** What is not cut yet, cut by eye from the stock that is whole. */
function restByEye(
  problem: CuttingProblem,
  cut: ReadonlyMap<string, readonly Micrometres[]>,
): [string, readonly Micrometres[]][] {
  const { unmet } = planOf(problem, cut);
  const rest = bestFit({ ...problem, cuts: unmet, stock: problem.stock.filter(({ id }) => !cut.has(id)) });
  return rest.pieces.map(({ id, cuts }) => [id, cuts]);
}

/** What is cut from which piece, when patterns are cut so often. */
function cutBy(
  { types, classes }: Sorted,
  used: readonly { readonly pattern: Pattern; readonly times: number }[],
): Map<string, Micrometres[]> {
  const cut = new Map<string, Micrometres[]>();
  const next = classes.map(() => 0);
  for (const { pattern, times } of used) {
    const lengths = pattern.counts.flatMap(([type, count]) =>
      Array.from({ length: count }, () => types[type]?.length as Micrometres),
    );
    for (let time = 0; time < times; time += 1) {
      const at = next[pattern.from] ?? 0;
      const id = classes[pattern.from]?.ids[at];
      if (id === undefined) break;
      next[pattern.from] = at + 1;
      cut.set(id, lengths);
    }
  }
  return cut;
}

/** The patterns that a plan cuts, one for each piece that is not long. */
function patternsOf(sorted: Sorted, { pieces }: CuttingPlan): Pattern[] {
  const classOf = new Map(sorted.classes.flatMap(({ ids }, from) => ids.map((id) => [id, from] as const)));
  const typeOf = new Map(sorted.types.map(({ length }, type) => [length, type]));
  return pieces.flatMap(({ id, cuts }) => {
    const from = classOf.get(id);
    if (from === undefined) return [];
    const counts = new Map<number, number>();
    for (const cut of cuts) {
      const type = typeOf.get(cut) ?? 0;
      counts.set(type, (counts.get(type) ?? 0) + 1);
    }
    return (
      patternOf(
        sorted,
        from,
        [...counts].sort(([a], [b]) => a - b),
      ) ?? []
    );
  });
}

/** How often a plan cuts each of the patterns. */
function timesIn(sorted: Sorted, plan: CuttingPlan, patterns: readonly Pattern[]): number[] {
  const times = new Map<string, number>();
  for (const pattern of patternsOf(sorted, plan)) {
    const key = keyOf(pattern);
    times.set(key, (times.get(key) ?? 0) + 1);
  }
  return patterns.map((pattern) => times.get(keyOf(pattern)) ?? 0);
}

/** Each type alone, as often as it fits. */
const eachTypeAlone = (sorted: Sorted): Pattern[] =>
  sorted.classes.flatMap((each, from) =>
    sorted.types.flatMap(({ length, count }, type) => {
      const times = Math.min(count, Math.floor(each.length / length));
      return times > 0 ? (patternOf(sorted, from, [[type, times]]) ?? []) : [];
    }),
  );

/** Whether the types that are left cannot fill so little room to the end. */
const cannotFill =
  (shortest: number) =>
  (_: Pattern['counts'], left: number): boolean =>
    left > 0 && left < shortest;

/** Parts of the gap that are searched, until the patterns within are few enough. */
const PARTS = [1, 1 / 4, 1 / 16, 1 / 64];

/**
 * Patterns whose reduced cost is within the gap: a plan that is better than the one that is known has no others, so that with all of
 * them the solver’s own bound holds.
 */
function nearlyAsGood(
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
