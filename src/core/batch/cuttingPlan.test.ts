import fc from 'fast-check';
import { mm, um } from '../units/length';
import { cutKey, piecesReady } from './batch';
import {
  afterCut,
  afterUndo,
  plannedFrom,
  takenOf,
  type CuttingPlanKept,
  type PlannedStock,
} from './cuttingPlan';

const cut = (piece: number, length: number) => ({
  line: 1,
  piece,
  cutIndex: 0,
  copy: 0,
  name: 'frame',
  length: mm(length),
});

const stock = (
  id: string,
  length: number,
  lengths: readonly number[],
  more: Partial<PlannedStock> = {},
): PlannedStock => {
  const left = length - lengths.reduce((sum, each) => sum + each, 0);
  return {
    id,
    number: 1,
    form: 'spool',
    place: null,
    length: mm(length),
    cuts: lengths.map((each, index) => cut(index, each)),
    left: mm(left),
    leftIs: left < 50 ? 'scrap' : 'spool',
    ...more,
  };
};

const planOf = (...pieces: readonly PlannedStock[]): CuttingPlanKept => ({
  pieces,
  unmet: [],
  waste: um(0),
  objective: 0,
  gap: 0,
  optimal: true,
  method: 'best fit',
  byEye: { waste: um(0), objective: 0, pieces: 1 },
});

const MINIMUM = mm(50);

describe('a plan at the cutting table', () => {
  it('loses the wire that is cut, and keeps the rest of its stock piece aside', () => {
    const plan = planOf(stock('a', 1_000, [300, 200]));
    const after = afterCut(plan, cut(0, 300), mm(700), MINIMUM);
    expect(after).toMatchObject({ fits: true, stock: { length: mm(700), left: mm(500), leftIs: 'spool' } });
    expect(after.stock && takenOf(after.stock)).toBe(mm(200));
    expect(plannedFrom(after.plan, cut(0, 300))).toBeUndefined();
    expect(plannedFrom(after.plan, cut(1, 200))?.id).toBe('a');
  });

  it('lets a stock piece go with its last cut', () => {
    const after = afterCut(planOf(stock('a', 1_000, [300])), cut(0, 300), mm(700), MINIMUM);
    expect(after).toMatchObject({ fits: true, stock: undefined, plan: { pieces: [] } });
  });

  it('says when too much was cut for the rest', () => {
    const plan = planOf(stock('a', 520, [300, 200]));
    expect(afterCut(plan, cut(0, 300), mm(199), MINIMUM)).toEqual({ plan, stock: undefined, fits: false });
    // A little more turns what would have been scrap into less scrap; all of it is set aside.
    const tight = afterCut(plan, cut(0, 300), mm(210), MINIMUM);
    expect(tight.stock).toMatchObject({ left: mm(10), leftIs: 'scrap' });
    expect(tight.stock && takenOf(tight.stock)).toBe(mm(210));
  });

  it('refuses a wire that is not in it', () => {
    expect(() => afterCut(planOf(stock('a', 1_000, [300])), cut(7, 300), mm(700), MINIMUM)).toThrow(
      RangeError,
    );
  });

  it('is what it was when the cuts are undone, the last first', () => {
    const lengths = fc.array(fc.integer({ min: 10, max: 200 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(lengths, fc.integer({ min: 0, max: 300 }), (cuts, spare) => {
        const length = cuts.reduce((sum, each) => sum + each, 0) + spare;
        const before = planOf(stock('a', length, cuts), stock('b', 500, [100]));
        let [now, free] = [before, mm(length)];
        const done = before.pieces[0]?.cuts ?? [];
        for (const each of done) {
          free = um(free - each.length);
          now = afterCut(now, each, free, MINIMUM).plan;
        }
        expect(now.pieces.map(({ id }) => id)).toEqual(['b']);
        for (const each of [...done].reverse()) {
          free = um(free + each.length);
          const { id, number, form, place } = stock('a', length, []);
          now = afterUndo(now, each, { id, number, form, place, length: free }, MINIMUM).plan;
        }
        expect(now).toEqual(before);
      }),
    );
  });
});

describe('the pieces that can be made', () => {
  it('are those whose wires are all cut, and that are not made', () => {
    const cuts = [{ name: 'frame', specId: 'a', count: 2, net: mm(50), allowances: [] }];
    const line = { line: 1, count: 3, body: { name: 'Weir', cuts, parts: [], steps: [] } };
    const key = (piece: number, copy: number) => cutKey({ line: 1, piece, cutIndex: 0, copy });
    const all = new Set([key(0, 0), key(0, 1), key(1, 0), key(2, 0), key(2, 1)]);
    expect(piecesReady(line, all, new Set())).toEqual([0, 2]);
    expect(piecesReady(line, all, new Set([0]))).toEqual([2]);
    expect(piecesReady(line, new Set(), new Set())).toEqual([]);
  });
});
