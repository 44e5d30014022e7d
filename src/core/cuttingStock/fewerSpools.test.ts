import fc from 'fast-check';
import { mm, um, type Micrometres } from '../units/length';
import { fewerSpools } from './fewerSpools';
import { objectiveOf, planOf, USUAL_WORTH, type CuttingPlan, type CuttingProblem } from './problem';

const spool = (id: string, length: number, isOffCut = false) => ({ id, length: mm(length), isOffCut });
const problemOf = (cuts: readonly number[], stock: CuttingProblem['stock']): CuttingProblem => ({
  cuts: cuts.map((length) => ({ length: mm(length), count: 1 })),
  stock,
  usefulMinimum: mm(50),
  worth: USUAL_WORTH,
});
const planFrom = (problem: CuttingProblem, cut: Readonly<Record<string, readonly number[]>>): CuttingPlan =>
  planOf(problem, new Map(Object.entries(cut).map(([id, cuts]) => [id, cuts.map(mm)])));
const cutFrom = ({ pieces }: CuttingPlan) =>
  Object.fromEntries(pieces.map(({ id, cuts }) => [id, cuts.map((cut) => cut / 1000)]));

describe('the same cuts from fewer spools', () => {
  it('begins one coil where three were begun, and that with the least left on it', () => {
    const problem = problemOf([300, 200, 100], [spool('a', 5_000), spool('b', 2_000), spool('c', 9_000)]);
    const plan = planFrom(problem, { a: [300], b: [200], c: [100] });
    expect(cutFrom(fewerSpools(problem, plan))).toEqual({ b: [300, 200, 100] });
  });

  it('leaves off-cuts alone, and a spool whose cuts fit on no other', () => {
    const problem = problemOf([900, 900, 80], [spool('a', 1_000), spool('b', 1_000), spool('o', 100, true)]);
    const plan = planFrom(problem, { a: [900], b: [900], o: [80] });
    expect(fewerSpools(problem, plan)).toEqual(plan);
  });

  it('does not turn what stays on a spool into scrap to spare another', () => {
    const problem = problemOf([960, 20], [spool('a', 1_000), spool('b', 1_000)]);
    // 960 and 20 from one would leave 20 mm, too short to keep.
    const plan = planFrom(problem, { a: [920], b: [20] });
    expect(objectiveOf(problem, fewerSpools(problem, plan))).toBeLessThanOrEqual(objectiveOf(problem, plan));
  });

  it('never costs more, loses a cut or begins a spool more', () => {
    const asked = fc.record({
      spools: fc.array(fc.integer({ min: 300, max: 3_000 }), { minLength: 1, maxLength: 6 }),
      cuts: fc.array(fc.tuple(fc.integer({ min: 20, max: 280 }), fc.nat()), { maxLength: 20 }),
    });
    fc.assert(
      fc.property(asked, ({ spools, cuts }) => {
        const problem = problemOf(
          cuts.map(([length]) => length),
          spools.map((length, index) => spool(`s${index}`, length)),
        );
        const room = new Map(problem.stock.map(({ id, length }) => [id, length as number]));
        const from = new Map<string, Micrometres[]>();
        for (const [length, at] of cuts) {
          const { id } = problem.stock[at % spools.length] ?? { id: '' };
          if ((room.get(id) ?? 0) < mm(length)) continue;
          room.set(id, (room.get(id) ?? 0) - mm(length));
          from.set(id, [...(from.get(id) ?? []), um(mm(length))]);
        }
        const plan = planOf(problem, from);
        const after = fewerSpools(problem, plan);
        const all = (of: CuttingPlan) => of.pieces.flatMap((piece) => piece.cuts).sort((a, b) => a - b);
        expect(all(after)).toEqual(all(plan));
        expect(after.pieces.length).toBeLessThanOrEqual(plan.pieces.length);
        expect(after.pieces.every(({ left }) => left >= 0)).toBe(true);
        expect(objectiveOf(problem, after)).toBeLessThanOrEqual(objectiveOf(problem, plan));
      }),
    );
  });
});
