import fc from 'fast-check';
import { Chance } from '../chance';
import { minor } from '../units/money';
import { FEW_TRIED, priceTried, spearman, type SoldAfter } from './priceSpeed';

const sold = (pattern: number, price: number, days: number): SoldAfter => ({
  pattern,
  price: minor(price),
  days,
});

describe('Spearman’s rank correlation', () => {
  it('is what a published example has', () => {
    // IQ and hours of television of ten people: ρ = −29/165 (Wikipedia, “Spearman’s rank correlation coefficient”, from memory).
    const iq = [106, 100, 86, 101, 99, 103, 97, 113, 112, 110];
    const hours = [7, 27, 2, 50, 28, 29, 20, 12, 6, 17];
    expect(spearman(iq, hours)).toBeCloseTo(-29 / 165, 12);
  });

  it('knows ties, and what does not move tells nothing', () => {
    expect(spearman([1, 2, 2, 3], [1, 2, 2, 3])).toBeCloseTo(1, 12);
    expect(spearman([1, 2, 3], [5, 5, 5])).toBe(0);
  });

  it('is between −1 and 1, turns with one side, and knows only the order', () => {
    const pair = fc.tuple(fc.integer({ min: -99, max: 99 }), fc.integer({ min: -99, max: 99 }));
    fc.assert(
      fc.property(fc.array(pair, { minLength: 2, maxLength: 30 }), (pairs) => {
        const [one, other] = [pairs.map(([a]) => a), pairs.map(([, b]) => b)];
        const rho = spearman(one, other);
        expect(Math.abs(rho)).toBeLessThanOrEqual(1 + 1e-12);
        expect(
          spearman(
            one.map((each) => -each),
            other,
          ),
        ).toBeCloseTo(-rho, 12);
        expect(
          spearman(
            one.map((each) => each ** 3),
            other,
          ),
        ).toBeCloseTo(rho, 12);
      }),
    );
  });
});

describe('prices that were tried', () => {
  it('tell nothing where each pattern had one price, or little was sold', () => {
    const flat = priceTried([sold(1, 2000, 5), sold(1, 2000, 90), sold(2, 9000, 300)]);
    expect(flat).toEqual({ points: [], tells: 0, isKnown: false, halves: null });
    const few = priceTried([sold(1, 2000, 5), sold(1, 2500, 40), sold(1, 3000, 90)]);
    expect(few).toMatchObject({ tells: 1, isKnown: false });
  });

  it('do not take a dear pattern for a slow one', () => {
    // Within each pattern the price makes no difference; the dear one is slow.
    const all = [10, 11].flatMap((days) => [
      ...[2000, 2200].map((price) => sold(1, price, days)),
      ...[9000, 9900].map((price) => sold(2, price, days * 10)),
    ]);
    expect(Math.abs(priceTried(all).tells)).toBeLessThan(0.2);
  });

  it('find what was planted, and seldom what was not', () => {
    const chance = new Chance(7);
    const year = (effect: number): readonly SoldAfter[] =>
      Array.from({ length: 40 }, (_, index) => {
        const dear = chance.between(0.8, 1.2);
        const days = 20 * Math.exp(effect * (dear - 1) * 5) * chance.between(0.4, 2);
        return sold(index % 5, Math.round(3000 * (1 + (index % 5)) * dear), Math.round(days));
      });
    const told = (effect: number): number =>
      Array.from({ length: 200 }, () => priceTried(year(effect))).filter(
        ({ isKnown, tells }) => isKnown && Math.sign(tells) === Math.sign(effect || tells),
      ).length;
    expect(told(1)).toBeGreaterThan(180);
    expect(told(-1)).toBeGreaterThan(180);
    // At 5 % of chance, some ten of two hundred.
    expect(told(0)).toBeLessThan(24);
    const { halves } = priceTried(year(1));
    expect(halves?.cheaper).toBeLessThan(halves?.dearer ?? 0);
  });

  it('wait for enough to be sold', () => {
    const some = Array.from({ length: FEW_TRIED }, (_, index) => sold(1, 2000 + index * 100, 5 + index * 9));
    expect(priceTried(some.slice(1)).isKnown).toBe(false);
    expect(priceTried(some).isKnown).toBe(true);
  });
});
