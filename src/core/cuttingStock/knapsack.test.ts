import fc from 'fast-check';
import { fillKnapsack, type Item } from './knapsack';

/** The best choice by trying every one. */
function byTryingAll(items: readonly Item[], room: number): number {
  const [first, ...rest] = items;
  if (!first) return 0;
  let best = 0;
  for (let take = 0; take <= first.most && take * first.size <= room; take += 1)
    best = Math.max(best, take * first.profit + byTryingAll(rest, room - take * first.size));
  return best;
}

it('is as good as trying every choice, for every room; and the choice is worth what it says and fits', () => {
  const items = fc.array(
    fc.record({
      size: fc.integer({ min: 1, max: 9 }),
      most: fc.integer({ min: 0, max: 5 }),
      profit: fc.integer({ min: -3, max: 20 }),
    }),
    { maxLength: 5 },
  );
  fc.assert(
    fc.property(items, fc.integer({ min: 0, max: 30 }), (all, room) => {
      const filled = fillKnapsack(all, room);
      for (let part = 0; part <= room; part += 1) {
        expect(filled.worth(part)).toBeCloseTo(byTryingAll(all, part), 9);
        const choice = filled.choice(part).map(([item, count]) => ({ ...(all[item] as Item), count }));
        expect(choice.reduce((sum, { size, count }) => sum + size * count, 0)).toBeLessThanOrEqual(part);
        expect(choice.reduce((sum, { profit, count }) => sum + profit * count, 0)).toBeCloseTo(
          filled.worth(part),
          9,
        );
        expect(choice.every(({ count, most }) => count <= most)).toBe(true);
      }
      expect(filled.worth(-1)).toBe(-Infinity);
    }),
  );
});
