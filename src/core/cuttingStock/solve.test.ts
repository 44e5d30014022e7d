import fc from 'fast-check';
import { mixedProblem } from '../../../tests/support/cuttingProblems';
import { Chance } from '../chance';
import { loadSolver, type Solver } from '../programme/programme';
import { mm, um, type Micrometres } from '../units/length';
import { materialBound } from './materialBound';
import { cutTypes } from './patterns';
import { USUAL_WORTH, type CuttingPlan, type CuttingProblem, type PieceToCut } from './problem';
import { solveCutting, type CuttingAnswer } from './solve';

let solver: Solver;
beforeAll(async () => {
  solver = await loadSolver();
});

const solve = (problem: CuttingProblem, limitMs = 20_000): CuttingAnswer =>
  solveCutting(problem, solver, { limitMs, clock: () => performance.now() });

const spool = (id: string, length: number): PieceToCut => ({ id, length: mm(length), isOffCut: false });
const offCut = (id: string, length: number): PieceToCut => ({ id, length: mm(length), isOffCut: true });
const problemOf = (
  cuts: readonly (readonly [length: number, count: number])[],
  stock: readonly PieceToCut[],
  more: Partial<CuttingProblem> = {},
): CuttingProblem => ({
  cuts: cuts.map(([length, count]) => ({ length: mm(length), count })),
  stock,
  usefulMinimum: mm(50),
  worth: USUAL_WORTH,
  ...more,
});

const tally = (lengths: readonly Micrometres[]): Record<number, number> => {
  const counts: Record<number, number> = {};
  for (const length of lengths) counts[length] = (counts[length] ?? 0) + 1;
  return counts;
};

/** Everything that makes a plan valid, worked out from the plan and the problem alone; a list of what is wrong. */
function faultsOf({ cuts, stock, usefulMinimum }: CuttingProblem, { pieces, unmet }: CuttingPlan): string[] {
  const faults: string[] = [];
  const ids = pieces.map(({ id }) => id);
  if (new Set(ids).size < ids.length) faults.push('a stock piece is named twice');
  for (const { id, cuts: from, left, leftIs } of pieces) {
    const piece = stock.find((each) => each.id === id);
    if (!piece) {
      faults.push(`${id} is not in stock`);
      continue;
    }
    const rest = from.reduce<number>((room, cut) => room - cut, piece.length);
    if (rest < 0) faults.push(`${id} is overrun by ${-rest}`);
    if (rest !== left) faults.push(`${id} has ${rest} left, not ${left}`);
    const should = rest < usefulMinimum ? 'scrap' : piece.isOffCut ? 'off-cut' : 'spool';
    if (leftIs !== should) faults.push(`what is left of ${id} is ${should}, not ${leftIs}`);
    if (from.length === 0) faults.push(`nothing is cut from ${id}`);
  }
  const wanted = tally(cuts.flatMap(({ length, count }) => Array.from({ length: count }, () => length)));
  const given = tally([
    ...pieces.flatMap((piece) => piece.cuts),
    ...unmet.flatMap(({ length, count }) => Array.from({ length: count }, () => length)),
  ]);
  for (const length of new Set([...Object.keys(wanted), ...Object.keys(given)]))
    if (wanted[Number(length)] !== given[Number(length)])
      faults.push(`cuts of ${length} are not what was wanted`);
  return faults;
}

/** What a length is worth, told anew: off-cuts nine tenths but for keeping them, scrap nothing. */
const worth = (length: number, isOffCut: boolean, minimum: number): number =>
  length < minimum ? 0 : isOffCut ? 0.9 * length - 0.1 * minimum : length;

/** The best objective of all plans, by trying every one. */
function byTryingAll({ cuts, stock, usefulMinimum }: CuttingProblem): number {
  const all = cuts.flatMap(({ length, count }) => Array.from({ length: count }, () => length as number));
  const rooms = stock.map(({ length }) => length as number);
  let best = Infinity;
  const visit = (at: number, missing: number): void => {
    if (at === all.length) {
      const lost = stock.reduce(
        (sum, { length, isOffCut }, index) =>
          rooms[index] === length
            ? sum
            : sum +
              worth(length, isOffCut, usefulMinimum) -
              worth(rooms[index] ?? 0, isOffCut, usefulMinimum),
        0,
      );
      best = Math.min(best, lost + missing);
      return;
    }
    const cut = all[at] ?? 0;
    rooms.forEach((room, index) => {
      if (room < cut) return;
      rooms[index] = room - cut;
      visit(at + 1, missing);
      rooms[index] = room;
    });
    visit(at + 1, missing + 100 * (cut + usefulMinimum));
  };
  visit(0, 0);
  return best;
}

const stockOf = (kinds: fc.Arbitrary<boolean>, lengths: fc.Arbitrary<number>, most: number) =>
  fc.array(fc.tuple(lengths, kinds), { maxLength: most }).map((pieces) =>
    pieces.map(([length, isOffCut], index): PieceToCut => ({
      id: `p${index}`,
      length: um(length),
      isOffCut,
    })),
  );

const lengthsUm = (most: number) =>
  fc.oneof(
    fc.integer({ min: 1, max: most }).map((whole) => whole * 1000),
    // Sixteenths of an inch, and lengths that were read off a scale.
    fc.integer({ min: 1, max: Math.floor(most / 1.5875) }).map((parts) => Math.round(parts * 1587.5)),
    fc.integer({ min: 1, max: most * 1000 }),
  );

describe('a plan from any input', () => {
  const problems = fc.record({
    cuts: fc.array(
      fc.record({
        length: lengthsUm(400).map(um),
        count: fc.oneof(
          { weight: 6, arbitrary: fc.integer({ min: 1, max: 4 }) },
          { weight: 1, arbitrary: fc.integer({ min: 0, max: 40 }) },
        ),
      }),
      { maxLength: 8 },
    ),
    stock: stockOf(fc.boolean(), fc.oneof(lengthsUm(900), lengthsUm(9000)), 9),
    usefulMinimum: fc.oneof(fc.constant(um(0)), fc.integer({ min: 0, max: 150_000 }).map(um)),
    worth: fc.record({
      offCut: fc.constantFrom(0.85, 0.9, 1),
      scrap: fc.constantFrom(0, 0.4, 0.7),
      keeping: fc.constantFrom(0, 0.1),
    }),
  });

  it('is valid, is never worse than by eye, and never better than its own bound', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const answer = solve(problem, 20);
        expect(faultsOf(problem, answer.plan)).toEqual([]);
        expect(faultsOf(problem, answer.byEye.plan)).toEqual([]);
        expect(answer.objective).toBeLessThanOrEqual(answer.byEye.objective);
        expect(answer.bound).toBeLessThanOrEqual(answer.objective);
        expect(answer.gap).toBeGreaterThanOrEqual(0);
        if (answer.optimal) expect(answer.bound).toBe(answer.objective);
      }),
      { numRuns: 2000 },
    );
  });

  it('is the best of all plans, where every one can be tried', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            length: fc.integer({ min: 5, max: 120 }).map((each) => mm(each)),
            count: fc.constant(1),
          }),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        stockOf(
          fc.boolean(),
          fc.integer({ min: 20, max: 260 }).map((each) => each * 1000),
          4,
        ),
        fc.constantFrom(0, 20, 50).map((each) => mm(each)),
        (cuts, stock, usefulMinimum) => {
          const problem = { cuts, stock, usefulMinimum, worth: USUAL_WORTH };
          const answer = solve(problem);
          const best = byTryingAll(problem);
          expect(Math.abs(answer.objective - best)).toBeLessThanOrEqual(1e-6 * best + 1);
          expect(answer.optimal).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('at the edges', () => {
  it('a cut as long as a piece takes it whole', () => {
    const { plan, waste } = solve(problemOf([[98.425, 1]], [offCut('long', 120), offCut('same', 98.425)]));
    expect(plan.pieces).toEqual([{ id: 'same', cuts: [mm(98.425)], left: 0, leftIs: 'scrap' }]);
    expect(waste).toBe(0);
  });

  it('a cut longer than every piece stays unmet, and the others are cut', () => {
    const { plan } = solve(
      problemOf(
        [
          [500, 2],
          [40, 1],
        ],
        [offCut('a', 120), spool('b', 400)],
      ),
    );
    expect(plan.unmet).toEqual([{ length: mm(500), count: 2 }]);
    expect(plan.pieces.flatMap(({ cuts }) => cuts)).toEqual([mm(40)]);
  });

  it('without stock everything is unmet; without cuts nothing is done', () => {
    expect(solve(problemOf([[40, 3]], [])).plan).toEqual({
      pieces: [],
      unmet: [{ length: mm(40), count: 3 }],
    });
    expect(solve(problemOf([], [spool('a', 400)]))).toMatchObject({
      plan: { pieces: [], unmet: [] },
      objective: 0,
      gap: 0,
      optimal: true,
    });
  });

  it('10,000 equal cuts come from one huge spool', () => {
    const problem = problemOf([[33, 10_000]], [spool('huge', 1_000_000), offCut('a', 99), offCut('b', 70)]);
    const answer = solve(problem);
    expect(faultsOf(problem, answer.plan)).toEqual([]);
    expect(answer.plan.unmet).toEqual([]);
    expect(answer.optimal).toBe(true);
    expect(answer.plan.pieces.find(({ id }) => id === 'a')?.cuts).toHaveLength(3);
  });

  it('when stock runs short, as much of it is used as there is', () => {
    const { plan } = solve(
      problemOf(
        [
          [100, 5],
          [60, 5],
        ],
        [spool('a', 320), offCut('b', 160)],
      ),
    );
    expect(plan.unmet.reduce((sum, { length, count }) => sum + length * count, 0)).toBe(mm(800 - 320 - 160));
  });

  it('without time the plan by eye is given, and says so', () => {
    const problem = problemOf(
      Array.from({ length: 40 }, (_, index) => [50 + 7 * index, 3] as const),
      Array.from({ length: 60 }, (_, index) => offCut(`o${index}`, 90 + 13 * index)),
    );
    const { method, plan, byEye } = solveCutting(problem, solver, { limitMs: 0, clock: () => 0 });
    expect(method).toBe('best fit');
    expect(plan).toEqual(byEye.plan);
  });

  it('is left when told to, with what it has', () => {
    const problem = problemOf(
      Array.from({ length: 40 }, (_, index) => [50 + 7 * index, 3] as const),
      Array.from({ length: 60 }, (_, index) => offCut(`o${index}`, 90 + 13 * index)),
    );
    let asked = 0;
    const answer = solveCutting(problem, solver, {
      limitMs: 60_000,
      clock: () => 0,
      shouldStop: () => (asked += 1) > 3,
    });
    expect(faultsOf(problem, answer.plan)).toEqual([]);
    expect(answer.bound).toBeLessThanOrEqual(answer.objective);
  });
});

it('has a bound however short the time, and one that scrap worth its melt does not lift too high', () => {
  const few = fc.array(
    fc.integer({ min: 20, max: 120 }).map((length) => mm(length)),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(
      few,
      stockOf(fc.boolean(), lengthsUm(250), 4),
      fc.integer({ min: 0, max: 95 }),
      (cuts, stock, melt) => {
        const problem: CuttingProblem = {
          cuts: cuts.map((length) => ({ length, count: 1 })),
          stock,
          usefulMinimum: mm(50),
          worth: { ...USUAL_WORTH, scrap: melt / 100 },
        };
        const best = solve(problem);
        if (!best.optimal) return;
        expect(materialBound(problem, cutTypes(problem))).toBeLessThanOrEqual(best.objective + 1e-6);
      },
    ),
    { numRuns: 150 },
  );
  const { gap } = solve(mixedProblem(3, { cuts: 300, lengths: 300, offCuts: 200, spools: 3 }), 0);
  expect(gap).toBeLessThan(0.1);
});

describe('preferences', () => {
  it('uses an off-cut before a spool, and the one that leaves a useful rest', () => {
    const { plan } = solve(
      problemOf([[100, 1]], [spool('s', 5000), offCut('snug', 149), offCut('roomy', 150)]),
    );
    expect(plan.pieces).toEqual([{ id: 'roomy', cuts: [mm(100)], left: mm(50), leftIs: 'off-cut' }]);
  });

  it('does not ruin a long off-cut for a short cut when a spool is there', () => {
    const { plan } = solve(problemOf([[60, 1]], [spool('s', 5000), offCut('o', 105)]));
    expect(plan.pieces.map(({ id }) => id)).toEqual(['s']);
  });

  it('scrap that is worth its melt changes what is cut from', () => {
    const stock = [spool('s', 5000), offCut('o', 105)];
    const { plan } = solve(problemOf([[60, 1]], stock, { worth: { ...USUAL_WORTH, scrap: 0.7 } }));
    expect(plan.pieces.map(({ id }) => id)).toEqual(['o']);
  });
});

describe('quality', () => {
  // Triplets in the manner of Falkenauer (1996), “A hybrid grouping genetic algorithm for bin packing”: three items fill each bin
  // of 1000 to the end, so that the best packing is known.
  it.each([60, 120, 249])('packs %i triplet items perfectly', (items) => {
    const chance = new Chance(items);
    const cuts = Array.from({ length: items / 3 }, () => {
      const first = chance.whole(380, 490);
      const second = chance.whole(250, Math.floor((1000 - first) / 2));
      return [first, second, 1000 - first - second];
    }).flat();
    const problem = problemOf(
      cuts.map((length) => [length, 1]),
      Array.from({ length: items / 3 }, (_, index) => spool(`bin ${index}`, 1000)),
    );
    const answer = solve(problem, 60_000);
    expect(faultsOf(problem, answer.plan)).toEqual([]);
    expect(answer.plan.unmet).toEqual([]);
    expect(answer.waste).toBe(0);
    expect(answer.optimal).toBe(true);
  });

  it.each([1, 2, 3, 4])(
    'a studio’s mixed stock is cut with a gap of at most 0.5 %%, and less waste than by eye (%i)',
    (seed) => {
      const problem = mixedProblem(seed, { cuts: 60, lengths: 14, offCuts: 40, spools: 3 });
      const answer = solve(problem);
      expect(faultsOf(problem, answer.plan)).toEqual([]);
      expect(answer.gap).toBeLessThanOrEqual(0.005);
      expect(answer.waste).toBeLessThan(answer.byEye.waste);
      expect(answer.objective).toBeLessThan(answer.byEye.objective);
    },
  );
});
