import { proposeCuts } from '../cuttingStock/propose';
import { USUAL_WORTH } from '../cuttingStock/problem';
import { solveCutting } from '../cuttingStock/solve';
import type { Solver } from '../programme/programme';
import { um, UM_PER_METRE, type Micrometres } from '../units/length';
import { cutsOfBatch, minutesOfBatch, partsOfBatch, type BatchCut, type BatchLine } from './batch';
import { partKey } from '../part/partKey';
import type { AgedLength, Candidate, MakeableProblem } from './makeableProblem';
import { makeableProgramme } from './makeableProgramme';

/** What keeps more from being made. */
export type StoppedBy = 'hours' | 'stock' | 'off-cuts' | 'most of each' | 'nothing pays';

/** What could be made. */
export interface Makeable {
  /** How many of which pattern, by its number; patterns of which none is made are left out. */
  readonly counts: ReadonlyMap<number, number>;
  readonly minutes: number;
  readonly margin: number;
  /** Off-cuts that are cut from, by eye. */
  readonly offCuts: readonly string[];
  /** What is reached of the aim, and what nothing passes: no choice of pieces can do better than that. */
  readonly reached: number;
  readonly bound: number;
  readonly stoppedBy: StoppedBy;
}

export interface MakeableOptions {
  readonly limitMs: number;
  readonly clock: () => number;
}

/** Times that the programme is solved again when its pieces could not all be cut after all. */
const ROUNDS = 25;
/** How long it is tried to cut what by eye cannot be cut. */
const CUTTING_MS = 250;

/** How many of each candidate, in their order. */
type Counts = readonly number[];

/**
 * Which pieces to make of what is free, in the hours that are left: a small integer programme over the number of pieces of each
 * pattern. It goes by the length of each wire and by how many cuts of a length or longer there is room for, which no choice can pass;
 * what it chooses is then really cut, by eye and by the cutting planner, and where that fails it chooses again with less.
 */
export function whatCouldBeMade(asked: MakeableProblem, solver: Solver, options: MakeableOptions): Makeable {
  const problem = sorted(asked);
  const { clock, limitMs } = options;
  const until = clock() + limitMs;
  const limits = new Map<string, number>();
  let bound: number | undefined;
  let best = filledUp(
    problem,
    problem.candidates.map(() => 0),
  );
  for (let round = 0; round < ROUNDS && clock() < until; round += 1) {
    const { rows, variables, unit } = makeableProgramme(problem, limits);
    const answer = solver.integer(rows, variables, { limitMs: Math.max(50, until - clock()), gap: 1e-6 });
    if (!answer) break;
    bound ??= -answer.bound * unit;
    const chosen = problem.candidates.map((_, index) => Math.round(answer.values[index] ?? 0));
    const cuts = cutsOfBatch(linesOf(problem, chosen));
    const short = shortByPlan(problem, cuts, solver, clock);
    best = better(problem, best, filledUp(problem, short.size === 0 ? chosen : fewer(problem, chosen)));
    if (short.size === 0) break;
    for (const [specId, missing] of short) limits.set(specId, lengthOf(cuts, specId) - missing);
  }
  return answerOf(problem, best, bound);
}

/** A problem with its wires sorted by spec, since most questions are about one or two of many. */
interface Sorted extends MakeableProblem {
  readonly bySpec: ReadonlyMap<string, readonly AgedLength[]>;
}

function sorted(problem: MakeableProblem): Sorted {
  const bySpec = new Map<string, AgedLength[]>();
  for (const wire of problem.wires) {
    const known = bySpec.get(wire.specId);
    if (known) known.push(wire);
    else bySpec.set(wire.specId, [wire]);
  }
  return { ...problem, bySpec };
}

const linesOf = ({ candidates }: Pick<MakeableProblem, 'candidates'>, counts: Counts): BatchLine[] =>
  candidates.flatMap(({ body }, index) =>
    (counts[index] ?? 0) > 0 ? [{ line: index + 1, count: counts[index] ?? 0, body }] : [],
  );

const lengthOf = (cuts: readonly BatchCut[], specId: string): number =>
  cuts.reduce((sum, cut) => sum + (cut.specId === specId ? cut.length : 0), 0);

/** Where some wires would be cut from by eye, spec by spec. */
const byEye = ({ bySpec }: Sorted, cuts: readonly BatchCut[]) =>
  [...new Set(cuts.map(({ specId }) => specId))].map((specId) => {
    const own = cuts.filter((cut) => cut.specId === specId);
    return { specId, own, ...proposeCuts(own, bySpec.get(specId) ?? []) };
  });

/** What is missing of each spec to cut some wires by eye. */
const shortByEye = (problem: Sorted, cuts: readonly BatchCut[]): Map<string, Micrometres> =>
  new Map(
    byEye(problem, cuts).flatMap(({ shortages }) =>
      shortages.map(({ specId, missing }) => [specId, missing] as const),
    ),
  );

/** What is missing of each spec to cut some wires; what fails by eye is left to the cutting planner. */
function shortByPlan(
  problem: Sorted,
  cuts: readonly BatchCut[],
  solver: Solver,
  clock: () => number,
): Map<string, Micrometres> {
  const short = shortByEye(problem, cuts);
  for (const specId of short.keys()) {
    const stock = problem.bySpec.get(specId) ?? [];
    const own = cuts.filter((cut) => cut.specId === specId).map(({ length }) => ({ length, count: 1 }));
    const { plan } = solveCutting({ cuts: own, stock, usefulMinimum: um(1), worth: USUAL_WORTH }, solver, {
      limitMs: CUTTING_MS,
      clock,
    });
    const unmet = plan.unmet.reduce((sum, { length, count }) => sum + length * count, 0);
    if (unmet > 0) short.set(specId, um(unmet));
    else short.delete(specId);
  }
  return short;
}

/**
 * Whether some pieces can all be made, by eye.
 * @param at the candidate that was added last: only its wires can have become too few
 */
function canMake(problem: Sorted, counts: Counts, at: number): boolean {
  const lines = linesOf(problem, counts);
  const added = new Set(problem.candidates[at]?.body.cuts.map(({ specId }) => specId));
  return (
    minutesOfBatch(lines) <= problem.minutes &&
    partsOfBatch(lines).every(({ name, count }) => count <= (problem.parts.get(partKey(name)) ?? Infinity)) &&
    shortByEye(
      problem,
      cutsOfBatch(lines).filter(({ specId }) => added.has(specId)),
    ).size === 0
  );
}

/** What a choice of pieces reaches of the aim: money, pieces, or days by the metre that its off-cuts had lain there. */
function reachedBy(problem: Sorted, counts: Counts): number {
  const { aim, candidates } = problem;
  const total = (of: (candidate: Candidate) => number) =>
    candidates.reduce((sum, candidate, index) => sum + of(candidate) * (counts[index] ?? 0), 0);
  if (aim === 'margin') return total(({ margin }) => margin);
  if (aim === 'pieces') return total(() => 1);
  const days = new Map(problem.wires.map(({ id, isOffCut, days: lain }) => [id, isOffCut ? lain : 0]));
  return byEye(problem, cutsOfBatch(linesOf(problem, counts)))
    .flatMap(({ own, from }) =>
      own.map(({ length }, index) => (length / UM_PER_METRE) * (days.get(from[index] ?? '') ?? 0)),
    )
    .reduce((sum, each) => sum + each, 0);
}

const better = (problem: Sorted, a: Counts, b: Counts): Counts =>
  reachedBy(problem, b) > reachedBy(problem, a) ? b : a;

/** Takes pieces away, those first that leave least, until the others can all be cut by eye. */
function fewer(problem: Sorted, counts: Counts): Counts {
  const left = [...counts];
  for (;;) {
    const short = shortByEye(problem, cutsOfBatch(linesOf(problem, left)));
    if (short.size === 0) return left;
    const [worst] = problem.candidates
      .map(({ margin, body }, index) => ({ margin, body, index }))
      .filter(({ body, index }) => (left[index] ?? 0) > 0 && body.cuts.some((cut) => short.has(cut.specId)))
      .sort((a, b) => a.margin - b.margin || b.index - a.index);
    if (!worst) return left.map(() => 0);
    left[worst.index] = (left[worst.index] ?? 0) - 1;
  }
}

/** Adds piece after piece that brings the aim nearer, those first that bring most for the time they take, as long as they can be made. */
function filledUp(problem: Sorted, begun: Counts): Counts {
  const counts = [...begun];
  const rates = problem.candidates.map(({ margin, body }) => {
    const minutes = Math.max(1, minutesOfBatch([{ line: 1, count: 1, body }]));
    return (problem.aim === 'margin' ? margin : 1) / minutes;
  });
  const order = rates
    .map((rate, index) => ({ rate, index }))
    .sort((a, b) => b.rate - a.rate || a.index - b.index);
  for (const { index } of order) {
    while ((counts[index] ?? 0) < problem.mostOfEach) {
      const more = oneMore(counts, index);
      if (!canMake(problem, more, index) || reachedBy(problem, more) <= reachedBy(problem, counts)) break;
      counts[index] = more[index] ?? 0;
    }
  }
  return counts;
}

const oneMore = (counts: Counts, at: number): number[] =>
  counts.map((count, index) => (index === at ? count + 1 : count));

function answerOf(problem: Sorted, counts: Counts, bound: number | undefined): Makeable {
  const lines = linesOf(problem, counts);
  const from = new Set(byEye(problem, cutsOfBatch(lines)).flatMap((each) => each.from));
  const offCuts = problem.wires.filter(({ id, isOffCut }) => isOffCut && from.has(id));
  const reached = reachedBy(problem, counts);
  return {
    counts: new Map(
      problem.candidates.flatMap(({ pattern }, index): [number, number][] =>
        (counts[index] ?? 0) > 0 ? [[pattern, counts[index] ?? 0]] : [],
      ),
    ),
    minutes: minutesOfBatch(lines),
    margin: reachedBy({ ...problem, aim: 'margin' }, counts),
    offCuts: offCuts.map(({ id }) => id),
    reached,
    bound: Math.max(reached, bound ?? Infinity),
    stoppedBy: whatStops(problem, counts),
  };
}

function whatStops(problem: Sorted, counts: Counts): StoppedBy {
  const { aim, candidates, mostOfEach } = problem;
  const wanted = candidates.map(({ margin }) => aim !== 'margin' || margin > 0);
  if (!wanted.some(Boolean)) return 'nothing pays';
  const open = counts.map((count, index) => wanted[index] === true && count < mostOfEach);
  if (!open.some(Boolean)) return 'most of each';
  const unhurried = { ...problem, minutes: Infinity };
  const isShort = counts.some((_, index) => {
    const more = oneMore(counts, index);
    return (
      open[index] && canMake(unhurried, more, index) && reachedBy(problem, more) > reachedBy(problem, counts)
    );
  });
  if (isShort) return 'hours';
  return aim === 'off-cuts' ? 'off-cuts' : 'stock';
}
