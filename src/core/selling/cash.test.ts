import fc from 'fast-check';
import { minor } from '../units/money';
import { likelyCash } from './cash';

describe('what is likely to be handed over', () => {
  it('is the amount, or the next in notes', () => {
    expect(likelyCash(minor(2700))).toEqual([2700, 3000, 4000, 5000, 10_000]);
    expect(likelyCash(minor(8400))).toEqual([8400, 9000, 10_000, 20_000]);
    expect(likelyCash(minor(850))).toEqual([850, 900, 1000, 2000]);
    // Yen have no smaller units.
    expect(likelyCash(minor(3400))).toContain(5000);
    expect(likelyCash(minor(5000))[0]).toBe(5000);
  });

  it('is nothing where nothing is due', () => {
    expect(likelyCash(minor(0))).toEqual([]);
    expect(likelyCash(minor(-300))).toEqual([]);
  });

  it('is always enough, told once each from the smallest, and never a handful of coins more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50_000_000 }), (due) => {
        const amounts = likelyCash(minor(due));
        expect(amounts[0]).toBe(due);
        expect(amounts.length).toBeLessThanOrEqual(5);
        expect(new Set(amounts).size).toBe(amounts.length);
        expect([...amounts]).toEqual(amounts.toSorted((one, other) => one - other));
        for (const amount of amounts) expect(amount).toBeLessThanOrEqual(due * 4 + 1);
      }),
    );
  });
});
