import fc from 'fast-check';
import { um } from '../units/length';
import { fillGrid, gridOf } from './grid';
import type { CutType } from './patterns';

/** The most that a choice of cuts for a room is worth, by trying every one. */
function bestByTrying(types: readonly CutType[], profits: readonly number[], room: number, at = 0): number {
  const type = types[at];
  if (!type) return 0;
  let best = -Infinity;
  for (let count = 0; count <= type.count && count * type.length <= room; count += 1) {
    const rest = bestByTrying(types, profits, room - count * type.length, at + 1);
    best = Math.max(best, count * (profits[at] ?? 0) + rest);
  }
  return best;
}

const sixteenths = (part: number) => um(Math.round(part * 1587.5));
const thirtySeconds = (part: number) => um(Math.round(part * 793.75));

/** Cuts and a room in one way of telling lengths. */
const asked = (lengthOf: (part: number) => ReturnType<typeof um>) =>
  fc.record({
    cuts: fc.uniqueArray(
      fc.record({
        part: fc.integer({ min: 8, max: 60 }),
        count: fc.integer({ min: 1, max: 3 }),
        profit: fc.integer({ min: 1, max: 100_000 }),
      }),
      { minLength: 1, maxLength: 5, selector: ({ part }) => lengthOf(part) },
    ),
    room: fc.oneof(
      fc.integer({ min: 20, max: 200 }).map(lengthOf),
      fc.integer({ min: 20_000, max: 300_000 }).map(um),
    ),
  });

/** A room so long, µm, that lengths without a common part need a coarser grid. */
const LONGEST = 900_000;

it.each([
  ['sixteenths of an inch', sixteenths, 1587.5, true],
  ['thirty-seconds of an inch', thirtySeconds, 793.75, true],
  ['millimetres', (part: number) => um(part * 1000), 1000, true],
  ['any micrometres', (part: number) => um(part * 1717 + 1), LONGEST / 12_000, false],
] as const)('%s: the bound holds, and what is chosen comes up to it', (_, lengthOf, unit, exact) => {
  let met = 0;
  let asks = 0;
  fc.assert(
    fc.property(asked(lengthOf), ({ cuts, room }) => {
      const types = cuts.map(({ part, count }): CutType => ({ length: lengthOf(part), count }));
      const profits = cuts.map(({ profit }) => profit);
      const grid = gridOf(types, LONGEST);
      // A grid that is coarser than the lattice is one that few cuts happen to share.
      if (grid.exact !== exact || grid.unit !== unit) return;
      const choosing = (round: (value: number) => number) => ({
        types,
        countOf: (type: number) => types[type]?.count ?? 0,
        profitOf: (type: number) => profits[type] ?? 0,
        round,
      });
      const best = bestByTrying(types, profits, room);
      const bound = fillGrid(grid, LONGEST, choosing(Math.floor)).worth(room);
      expect(bound).toBeGreaterThanOrEqual(best - 1e-6);
      const chosen = fillGrid(grid, LONGEST, choosing(Math.ceil))
        .choices(room)
        .map((counts) => ({
          used: counts.reduce((sum, [type, count]) => sum + count * (types[type]?.length ?? 0), 0),
          worth: counts.reduce((sum, [type, count]) => sum + count * (profits[type] ?? 0), 0),
          isThere: counts.every(([type, count]) => count <= (types[type]?.count ?? 0)),
        }));
      expect(chosen.every(({ isThere }) => isThere)).toBe(true);
      asks += 1;
      if (chosen.some(({ used, worth }) => used <= room && worth >= best - 1e-6)) met += 1;
      if (unit === 1587.5 || unit === 1000) expect(bound).toBeLessThanOrEqual(best + 1e-6);
    }),
    { numRuns: 1500 },
  );
  expect(asks).toBeGreaterThan(300);
  // On a coarse grid a cut may be told too long to fit.
  expect(met / asks).toBeGreaterThan(exact ? 0.995 : 0.9);
});

it('finds the lattice that lengths share: a common part, a fraction of an inch, or none', () => {
  const types = (lengths: readonly number[]) => lengths.map((length) => ({ length: um(length), count: 1 }));
  expect(gridOf(types([40_000, 65_000]), LONGEST)).toEqual({ unit: 5000, exact: true, off: 0 });
  expect(gridOf(types([50_800 + 1588, 76_200 + 4763]), LONGEST)).toEqual({
    unit: 1587.5,
    exact: true,
    off: 0.5,
  });
  expect(gridOf(types([50_800 + 794, 76_200 + 4763]), LONGEST)).toMatchObject({ unit: 793.75, exact: true });
  expect(gridOf(types([50_801, 76_317]), LONGEST)).toEqual({ unit: 75, exact: false, off: 0 });
});
