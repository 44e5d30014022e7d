import fc from 'fast-check';
import { proposeCuts } from '../cuttingStock/propose';
import { loadSolver, type Solver } from '../programme/programme';
import { mm } from '../units/length';
import { cost } from '../units/money';
import { cutsOfBatch, minutesOfBatch, partsOfBatch } from './batch';
import { partKey } from '../part/partKey';
import { whatCouldBeMade } from './makeable';
import { type AgedLength, type Candidate, type MakeableProblem } from './makeableProblem';

let solver: Solver;
beforeAll(async () => {
  solver = await loadSolver();
});

const solve = (problem: MakeableProblem) =>
  whatCouldBeMade(problem, solver, { limitMs: 5_000, clock: () => performance.now() });

/** A pattern of cuts of whole millimetres of one spec or more, with beads and minutes. */
function candidate(
  pattern: number,
  margin: number,
  {
    cuts,
    beads = 0,
    minutes = 10,
    setUp = 0,
  }: {
    readonly cuts: readonly (readonly [spec: string, length: number])[];
    readonly beads?: number;
    readonly minutes?: number;
    readonly setUp?: number;
  },
): Candidate {
  return {
    pattern,
    margin,
    body: {
      name: `Pattern ${pattern}`,
      cuts: cuts.map(([specId, length]) => ({
        name: 'wire',
        specId,
        count: 1,
        net: mm(length),
        allowances: [],
      })),
      parts: beads > 0 ? [{ name: 'Bead', count: beads, unitCost: cost(0) }] : [],
      steps: [
        { name: 'make', minutes, perSitting: false },
        ...(setUp > 0 ? [{ name: 'antique', minutes: setUp, perSitting: true }] : []),
      ],
    },
  };
}

const wire = (id: string, length: number, more: Partial<AgedLength> = {}): AgedLength => ({
  id,
  specId: 'copper',
  length: mm(length),
  isOffCut: false,
  days: 0,
  ...more,
});

const studio = (more: Partial<MakeableProblem>): MakeableProblem => ({
  candidates: [],
  wires: [],
  parts: new Map(),
  minutes: 1_000,
  mostOfEach: 6,
  aim: 'margin',
  ...more,
});

/** Every choice of pieces, one after the other. */
function* choices(kinds: number, most: number): Generator<number[]> {
  if (kinds === 0) {
    yield [];
    return;
  }
  for (const rest of choices(kinds - 1, most))
    for (let count = 0; count <= most; count += 1) yield [count, ...rest];
}

/** Whether cuts go into lengths, by trying every place for every cut. */
function fits(cuts: readonly number[], lengths: readonly number[]): boolean {
  const [first, ...rest] = cuts;
  if (first === undefined) return true;
  const tried = new Set<number>();
  return lengths.some((length, at) => {
    if (length < first || tried.has(length)) return false;
    tried.add(length);
    return fits(
      rest,
      lengths.map((each, index) => (index === at ? each - first : each)),
    );
  });
}

/** The best that can be reached, by trying every choice of pieces. */
function bestByTrying(problem: MakeableProblem): number {
  let best = 0;
  for (const counts of choices(problem.candidates.length, problem.mostOfEach)) {
    const lines = problem.candidates.map(({ body }, index) => ({
      line: index,
      count: counts[index] ?? 0,
      body,
    }));
    if (minutesOfBatch(lines) > problem.minutes) continue;
    if (partsOfBatch(lines).some(({ name, count }) => count > (problem.parts.get(partKey(name)) ?? Infinity)))
      continue;
    const cuts = cutsOfBatch(lines);
    const bySpec = new Set(cuts.map(({ specId }) => specId));
    const feasible = [...bySpec].every((specId) =>
      fits(
        cuts
          .filter((cut) => cut.specId === specId)
          .map(({ length }) => length as number)
          .sort((a, b) => b - a),
        problem.wires.filter((each) => each.specId === specId).map(({ length }) => length as number),
      ),
    );
    if (!feasible) continue;
    const value = problem.candidates.reduce(
      (sum, { margin }, index) => sum + (counts[index] ?? 0) * (problem.aim === 'margin' ? margin : 1),
      0,
    );
    best = Math.max(best, value);
  }
  return best;
}

describe('what could be made', () => {
  it('takes the choice that leaves most in the hours, not the piece that leaves most', () => {
    // One for 50 in 100 minutes, or two for 30 each in 45: 100 minutes are enough for either.
    const answer = solve(
      studio({
        candidates: [
          candidate(1, 50, { cuts: [['copper', 100]], minutes: 100 }),
          candidate(2, 30, { cuts: [['copper', 100]], minutes: 45 }),
        ],
        wires: [wire('s', 1_000)],
        minutes: 100,
      }),
    );
    expect([...answer.counts]).toEqual([[2, 2]]);
    expect(answer).toMatchObject({ margin: 60, reached: 60, bound: 60, minutes: 90, stoppedBy: 'hours' });
  });

  it('does what is done once a sitting once, for all patterns that have it', () => {
    const cuts = [['copper', 10]] as const;
    const answer = solve(
      studio({
        candidates: [
          candidate(1, 10, { cuts, minutes: 10, setUp: 30 }),
          candidate(2, 10, { cuts, minutes: 10, setUp: 30 }),
        ],
        wires: [wire('s', 1_000)],
        minutes: 90,
        mostOfEach: 3,
      }),
    );
    expect([...answer.counts]).toEqual([
      [1, 3],
      [2, 3],
    ]);
    expect(answer).toMatchObject({ minutes: 90, stoppedBy: 'most of each' });
  });

  it('knows that two short lengths are not a long one', () => {
    const answer = solve(
      studio({
        candidates: [
          candidate(1, 100, { cuts: [['copper', 150]] }),
          candidate(2, 10, { cuts: [['copper', 60]] }),
        ],
        wires: [wire('a', 100), wire('b', 100)],
        aim: 'margin',
      }),
    );
    expect([...answer.counts]).toEqual([[2, 2]]);
    expect(answer).toMatchObject({ stoppedBy: 'stock', bound: 20 });
  });

  it('counts the parts that are counted', () => {
    const problem = studio({
      candidates: [candidate(1, 5, { cuts: [['copper', 10]], beads: 2 })],
      wires: [wire('s', 1_000)],
      parts: new Map([['bead', 5]]),
    });
    expect([...solve(problem).counts]).toEqual([[1, 2]]);
    expect([...solve({ ...problem, parts: new Map() }).counts]).toEqual([[1, 6]]);
  });

  it('uses up the oldest off-cuts, and makes nothing that uses none', () => {
    const answer = solve(
      studio({
        candidates: [
          candidate(1, 1, { cuts: [['copper', 90]] }),
          candidate(2, 100, { cuts: [['brass', 90]] }),
          candidate(3, 50, { cuts: [['silver', 90]] }),
        ],
        wires: [
          wire('old', 95, { isOffCut: true, days: 400 }),
          wire('new', 95, { specId: 'brass', isOffCut: true, days: 10 }),
          wire('spool', 5_000, { specId: 'silver' }),
        ],
        minutes: 10,
        aim: 'off-cuts',
      }),
    );
    expect([...answer.counts]).toEqual([[1, 1]]);
    expect(answer).toMatchObject({ offCuts: ['old'], stoppedBy: 'hours' });
    expect(answer.reached).toBeCloseTo(0.09 * 400, 9);
    expect(answer.bound).toBeGreaterThanOrEqual(answer.reached);
  });

  it('says when no pattern uses up more of the off-cuts', () => {
    const answer = solve(
      studio({
        candidates: [candidate(1, 1, { cuts: [['copper', 90]] })],
        wires: [wire('old', 95, { isOffCut: true, days: 400 }), wire('spool', 5_000)],
        aim: 'off-cuts',
      }),
    );
    expect([...answer.counts]).toEqual([[1, 1]]);
    expect(answer.stoppedBy).toBe('off-cuts');
  });

  it('makes nothing at a loss, and nothing of nothing', () => {
    const losing = [candidate(1, -5, { cuts: [['copper', 10]] })];
    expect(solve(studio({ candidates: losing, wires: [wire('s', 1_000)] }))).toMatchObject({
      reached: 0,
      stoppedBy: 'nothing pays',
    });
    expect(solve(studio({}))).toMatchObject({ reached: 0, minutes: 0 });
    expect(solve(studio({ candidates: [candidate(1, 5, { cuts: [['copper', 10]] })] })).stoppedBy).toBe(
      'stock',
    );
  });

  const piece = fc.record({
    margin: fc.integer({ min: -5, max: 40 }),
    cuts: fc.array(fc.tuple(fc.constantFrom('copper', 'brass'), fc.integer({ min: 20, max: 120 })), {
      minLength: 1,
      maxLength: 2,
    }),
    beads: fc.integer({ min: 0, max: 2 }),
    minutes: fc.integer({ min: 5, max: 40 }),
    setUp: fc.constantFrom(0, 15),
  });
  const problems = fc
    .record({
      pieces: fc.array(piece, { minLength: 1, maxLength: 3 }),
      lengths: fc.array(
        fc.tuple(fc.constantFrom('copper', 'brass'), fc.integer({ min: 20, max: 400 }), fc.boolean()),
        { minLength: 1, maxLength: 4 },
      ),
      beads: fc.integer({ min: 0, max: 8 }),
      minutes: fc.integer({ min: 0, max: 200 }),
      aim: fc.constantFrom('margin' as const, 'pieces' as const),
    })
    .map(({ pieces, lengths, beads, minutes, aim }) =>
      studio({
        candidates: pieces.map(({ margin, ...how }, index) => candidate(index + 1, margin, how)),
        wires: lengths.map(([specId, length, isOffCut], index) =>
          wire(`w${index}`, length, { specId, isOffCut, days: index }),
        ),
        parts: new Map([['bead', beads]]),
        minutes,
        mostOfEach: 3,
        aim,
      }),
    );

  it('is never more than can be made, nor more than the bound; and nearly always the best there is', () => {
    let [best, all] = [0, 0];
    fc.assert(
      fc.property(problems, (problem) => {
        const { counts, reached, bound, minutes } = solve(problem);
        const lines = problem.candidates.map(({ pattern, body }) => ({
          line: pattern,
          count: counts.get(pattern) ?? 0,
          body,
        }));
        expect(minutesOfBatch(lines)).toBe(minutes);
        expect(minutes).toBeLessThanOrEqual(problem.minutes);
        const optimum = bestByTrying(problem);
        expect(reached).toBeLessThanOrEqual(optimum + 1e-6);
        expect(bound).toBeGreaterThanOrEqual(optimum - 1e-3);
        // Never worse than filling the hours by eye, piece after piece.
        expect(reached).toBeGreaterThanOrEqual(byEye(problem) - 1e-6);
        all += 1;
        if (reached >= optimum - 1e-6) best += 1;
      }),
      { numRuns: 300 },
    );
    expect(best / all).toBeGreaterThan(0.97);
  });
});

/** What somebody reaches who takes the pieces in the order of what they leave for the time. */
function byEye(problem: MakeableProblem): number {
  const counts = problem.candidates.map(() => 0);
  const value = ({ margin }: Candidate) => (problem.aim === 'margin' ? margin : 1);
  const order = problem.candidates
    .map((each, index) => ({ each, index }))
    .sort(
      (a, b) =>
        value(b.each) / minutesOfBatch([{ line: 1, count: 1, body: b.each.body }]) -
        value(a.each) / minutesOfBatch([{ line: 1, count: 1, body: a.each.body }]),
    );
  for (const { each, index } of order)
    for (;;) {
      const more = counts.map((count, at) => (at === index ? count + 1 : count));
      const lines = problem.candidates.map(({ body }, at) => ({ line: at, count: more[at] ?? 0, body }));
      const isFine =
        value(each) > 0 &&
        (more[index] ?? 0) <= problem.mostOfEach &&
        minutesOfBatch(lines) <= problem.minutes &&
        partsOfBatch(lines).every(({ count }) => count <= (problem.parts.get('bead') ?? Infinity)) &&
        proposeCuts(cutsOfBatch(lines), problem.wires).shortages.length === 0;
      if (!isFine) break;
      counts[index] = more[index] ?? 0;
    }
  return problem.candidates.reduce((sum, each, index) => sum + value(each) * (counts[index] ?? 0), 0);
}
