import { Chance } from '../chance';
import { learnSpoilage } from './spoilage';

describe('what is lost on the way', () => {
  it('is nothing of pieces of which nothing was lost, or that are not made yet', () => {
    expect(learnSpoilage([{ wire: 100, spoiled: 0 }])).toBe(0);
    expect(learnSpoilage([{ wire: 0, spoiled: 0 }])).toBe(0);
  });

  it('counts half while five pieces are made, and nearly all when many are', () => {
    const pieces = (count: number) => Array.from({ length: count }, () => ({ wire: 100, spoiled: 4 }));
    expect(learnSpoilage(pieces(5))).toBeCloseTo(0.02, 12);
    expect(learnSpoilage(pieces(495))).toBeCloseTo(0.0396, 12);
  });

  it('finds what a studio loses, though it loses seldom', () => {
    const chance = new Chance(11);
    // One piece in ten loses 80 % of a wire's cost: 8 % on the average.
    const pieces = Array.from({ length: 2000 }, () => ({
      wire: chance.between(50, 150),
      spoiled: chance.happens(0.1) ? 80 : 0,
    }));
    expect(Math.abs(learnSpoilage(pieces) - 0.08)).toBeLessThan(0.015);
  });
});
