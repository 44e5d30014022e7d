import fc from 'fast-check';
import { mm } from '../units/length';
import { beadKey, describeBead, type BeadKind } from './bead';
import { seedSize } from './seedSize';
import { leastHole, thickestThrough } from './holeFit';
import { countOut, trimShades } from './symmetricalSet';

const GARNET: BeadKind = { material: 'garnet', shape: 'round', min: mm(4), max: mm(4), hole: mm(0.8) };

it('says a bead, and tells two kinds apart', () => {
  expect(describeBead(GARNET)).toBe('garnet round, 4 mm');
  expect(describeBead({ ...GARNET, min: mm(3), max: mm(6) })).toBe('garnet round, 3–6 mm graded');
  expect(beadKey(GARNET)).toBe(beadKey({ ...GARNET, material: ' Garnet ' }));
  expect(beadKey(GARNET)).not.toBe(beadKey({ ...GARNET, hole: mm(0.7) }));
});

// Common practice, from memory: 11/0 are about 2 mm, and the larger number is the smaller bead.
it('reads the number that seed beads are sold under', () => {
  expect(seedSize('11/0')).toBe(2100);
  expect(Number(seedSize('15/0'))).toBeLessThan(Number(seedSize('8/0')));
  expect(['11', '9/0', '11/1', ''].map(seedSize)).toEqual([undefined, undefined, undefined, undefined]);
});

describe('hole fit', () => {
  // Common practice: 26 ga (0.405) is usual for a briolette; its hole of 0.5 mm does not take 24 ga (0.511).
  it('a hole of 0.5 mm takes 26 ga once, and nothing of it doubled', () => {
    const single = thickestThrough(mm(0.5), 1);
    expect(single).toBeGreaterThanOrEqual(405);
    expect(single).toBeLessThan(511);
    expect(thickestThrough(mm(0.5), 2)).toBeLessThan(255);
  });

  it('a hole takes exactly the wires whose least hole it is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 5000 }),
        fc.integer({ min: 50, max: 3000 }),
        fc.constantFrom<1 | 2>(1, 2),
        fc.constantFrom('smooth' as const, 'rough' as const),
        (hole, width, strands, finish) => {
          const passes = width <= thickestThrough(hole as never, strands, finish);
          expect(leastHole(width as never, strands, finish) <= hole).toBe(passes);
        },
      ),
    );
  });
});

describe('a symmetrical set', () => {
  const strand = [
    { name: 'pale', count: 9 },
    { name: 'middle', count: 12 },
    { name: 'deep', count: 5 },
  ];

  it('counts eight a side, light to dark, and says what is left', () => {
    // ⌊9/2⌋ + ⌊12/2⌋ + ⌊5/2⌋ = 12 a side at most; eight of them in proportion 4 : 6 : 2.
    const set = countOut(strand, 8);
    expect(set).toMatchObject({ enough: true, most: 12, centre: null });
    expect(set.shades).toEqual([
      { name: 'pale', aSide: 3, left: 3 },
      { name: 'middle', aSide: 4, left: 4 },
      { name: 'deep', aSide: 1, left: 3 },
    ]);
  });

  it('says when the strand does not yield it', () => {
    expect(countOut(strand, 13)).toMatchObject({ enough: false, most: 12 });
    expect(countOut([{ name: 'one', count: 4 }], 2, true)).toMatchObject({ enough: false, centre: null });
    expect(countOut([{ name: 'one', count: 5 }], 2, true)).toMatchObject({ enough: true, centre: 'one' });
    expect(countOut([], 1)).toMatchObject({ enough: false, most: 0 });
  });

  it('never uses a bead twice, never leaves one out, and is even on both sides', () => {
    const group = fc.record({ name: fc.string(), count: fc.integer({ min: 0, max: 40 }) });
    fc.assert(
      fc.property(
        fc.array(group, { maxLength: 6 }),
        fc.integer({ min: 0, max: 80 }),
        fc.boolean(),
        (groups, aSide, centre) => {
          const set = countOut(groups, aSide, centre);
          const sides = set.shades.reduce((sum, shade) => sum + shade.aSide, 0);
          expect(sides).toBe(Math.min(aSide, set.most));
          const left = set.shades.reduce((sum, shade) => sum + shade.left, 0);
          const all = groups.reduce((sum, { count }) => sum + count, 0);
          expect(left + 2 * sides + (set.centre === null ? 0 : 1)).toBe(all);
          for (const [index, shade] of set.shades.entries()) {
            expect(shade.left).toBeGreaterThanOrEqual(0);
            expect(2 * shade.aSide).toBeLessThanOrEqual(groups[index]?.count ?? 0);
          }
        },
      ),
    );
  });
});

describe('shades of a strand that beads were taken from', () => {
  it('come off the largest groups', () => {
    const strand = [
      { name: 'pale', count: 9 },
      { name: 'middle', count: 12 },
      { name: 'deep', count: 2 },
    ];
    expect(trimShades(strand, 30)).toEqual(strand);
    expect(trimShades(strand, 20).map(({ count }) => count)).toEqual([9, 9, 2]);
    expect(trimShades(strand, 5).reduce((sum, { count }) => sum + count, 0)).toBe(5);
    expect(trimShades(strand, 0)).toEqual([]);
  });

  it('never name more beads than there are, nor fewer than they must', () => {
    const group = fc.record({ name: fc.string(), count: fc.integer({ min: 1, max: 50 }) });
    fc.assert(
      fc.property(fc.array(group, { maxLength: 6 }), fc.integer({ min: 0, max: 400 }), (groups, quantity) => {
        const sum = (of: readonly { count: number }[]) => of.reduce((total, { count }) => total + count, 0);
        expect(sum(trimShades(groups, quantity))).toBe(Math.min(quantity, sum(groups)));
      }),
    );
  });
});
