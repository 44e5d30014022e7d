import fc from 'fast-check';
import { minor } from './money';
import { shareOut } from './shareOut';

describe('sharing an amount out', () => {
  // The standard worked example of the largest remainder method, as voting textbooks give it (from memory): 10 seats by 47, 16, 15.8,
  // 12, 6.1 and 3.1 thousand votes are 5, 2, 1, 1, 1 and 0.
  it('is the largest remainder method of the textbooks', () => {
    expect(shareOut(minor(10), [47_000, 16_000, 15_800, 12_000, 6_100, 3_100])).toEqual([5, 2, 1, 1, 1, 0]);
  });

  it('gives the first the odd cent when all weigh the same', () => {
    expect(shareOut(minor(1000), [1, 1, 1])).toEqual([334, 333, 333]);
  });

  it('refuses to share something by nothing', () => {
    expect(shareOut(minor(0), [0, 0])).toEqual([0, 0]);
    expect(() => shareOut(minor(1), [0, 0])).toThrow('1 cannot be shared out by nothing');
    expect(() => shareOut(minor(1), [1, -1])).toThrow(RangeError);
  });

  const amount = fc.integer({ min: 0, max: 1_000_000_000 }).map(minor);
  const weights = fc.array(fc.integer({ min: 0, max: 1_000_000_000 }), { minLength: 1, maxLength: 60 });

  it('loses nothing, and is nowhere a whole unit off the true share', () => {
    fc.assert(
      fc.property(amount, weights, (total, of) => {
        const all = of.reduce((sum, each) => sum + each, 0);
        fc.pre(all > 0);
        const shares = shareOut(total, of);
        expect(shares.reduce((sum, each) => sum + each, 0)).toBe(total);
        shares.forEach((share, index) => {
          expect(Math.abs(share - (total * (of[index] ?? 0)) / all)).toBeLessThan(1 + 1e-6);
          if (of[index] === 0) expect(share).toBe(0);
        });
      }),
    );
  });
});
