import type { Solver } from '../programme/programme';
import type { Micrometres } from '../units/length';
import { fewerSpools } from './fewerSpools';
import { bestFit } from './bestFit';
import { materialBound } from './materialBound';
import { masterOf, UM, type Open } from './master';
import { nearlyAsGood, withoutRest } from './nearPatterns';
import { cutTypes, keyOf, searchPatterns, stockClasses, type Pattern, type Sorted } from './patterns';
import { cutBy, eachTypeAlone, patternsOf, timesIn } from './planPatterns';
import { objectiveOf, planOf, wasteOf, type CuttingPlan, type CuttingProblem } from './problem';
import { reducedCost, type Duals } from './pricing';
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
  if (sorted.types.length > 0) search.proveAtLeast(materialBound(problem, sorted.types));
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
    const { method } = this.best;
    const plan = fewerSpools(this.problem, this.best.plan);
    const objective = objectiveOf(this.problem, plan);
    const gap = objective > 0 ? Math.max(0, objective - this.under) / objective : 0;
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
    shouldStop: () => search.left() <= 0,
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
  pool.add([...patterns, ...withoutRest(sorted, limits)]);
  const before = search.objective;
  const told = bestOf(sorted, pool.all, patternsOf(sorted, search.plan), root.duals);
  const bound = mend(search, solver, sorted, told, search.left(), 'column generation');
  if (areAll && told.length === pool.all.length && bound !== undefined)
    search.proveAtLeast(Math.min(bound, before));
}

/** Rows times columns of an integer programme that the solver readies within a second: it looks at no clock while it does. */
const MOST_CELLS = 3_000_000;

/** The patterns that are told to the solver: all while they are few enough, else those of the plan and the most promising. */
function bestOf(
  { types, classes }: Sorted,
  patterns: readonly Pattern[],
  ofPlan: readonly Pattern[],
  duals: Duals,
): readonly Pattern[] {
  const most = Math.max(500, Math.floor(MOST_CELLS / (types.length + classes.length)));
  if (patterns.length <= most) return patterns;
  const kept = new Set(ofPlan.map(keyOf));
  const promise = (pattern: Pattern) => (kept.has(keyOf(pattern)) ? -Infinity : reducedCost(pattern, duals));
  return patterns
    .map((pattern) => ({ pattern, promise: promise(pattern) }))
    .sort((a, b) => a.promise - b.promise)
    .slice(0, Math.max(most, kept.size))
    .map(({ pattern }) => pattern);
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
