import fc from 'fast-check';
import { cost, minor } from '../units/money';
import { payingPrice, reviewPrices, type PatternSold, type ShelvedPiece } from './review';
import { asToday, outcomeOf, type OfToday } from './whatIf';

const TODAY: OfToday = {
  ...{ hourlyRate: minor(2400), overheadPerHour: minor(600), feePercent: 500, feeFixed: minor(50) },
  ...{ taxPercent: 0, taxIncluded: false, endings: [minor(0), minor(500)], rounding: 'up', places: 2 },
};

/** It costs 10.00 of material and, for half an hour, 15.00. */
const piece = (number: number, given: Partial<ShelvedPiece> = {}): ShelvedPiece => ({
  ...{ number, pattern: 1, days: 20, wire: { copper: cost(700_000) }, stones: cost(200_000) },
  ...{ rest: cost(100_000), minutes: 30, price: minor(4000) },
  ...given,
});
/** Pieces of a pattern were sold so many times, after so many days each. */
const sold = (pattern: number, count: number, each: number): PatternSold => ({
  pattern,
  sold: count,
  days: count * each,
});

describe('the lowest price that pays', () => {
  it('covers cost and fees, at an ending', () => {
    // 25.00 and 0.50 are 95 % of 26.84, so 30.00.
    expect(payingPrice(piece(1), { ...TODAY, endings: [] })).toBe(2685);
    expect(payingPrice(piece(1), TODAY)).toBe(3000);
    expect(payingPrice(piece(1), { ...TODAY, taxPercent: 2000, taxIncluded: true, endings: [] })).toBe(3256);
  });

  it('is none where fees and tax take all', () => {
    expect(payingPrice(piece(1), { ...TODAY, feePercent: 10_000 })).toBeNull();
  });

  it('pays, and a minor unit less does not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5_000_000 }),
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 0, max: 5000 }),
        (material, minutes, feePercent) => {
          const rules = { ...TODAY, feePercent, endings: [] };
          const some = piece(1, { stones: cost(material), minutes });
          const price = payingPrice(some, rules) ?? minor(0);
          const at = (of: number) => outcomeOf({ ...some, price: minor(of) }, asToday(rules), rules).profit;
          expect(at(price)).toBeGreaterThanOrEqual(-1e-5);
          if (price > 1) expect(at(price - 1)).toBeLessThan(1e-5);
        },
      ),
    );
  });
});

describe('prices that are worth looking at', () => {
  it('are those under cost first: at least what pays', () => {
    const [first, second, ...others] = reviewPrices(
      [piece(1, { price: minor(2500) }), piece(2), piece(3, { price: minor(1500) })],
      [],
      TODAY,
    );
    expect(first).toMatchObject({ number: 3, reason: 'under cost', price: 1500, proposed: 3000 });
    expect(first?.leaves).toBeCloseTo(1500 * 0.95 - 50 - 2500, 9);
    expect(first?.wouldLeave).toBeCloseTo(3000 * 0.95 - 50 - 2500, 9);
    expect(second).toMatchObject({ number: 1, proposed: 3000 });
    expect(others).toEqual([]);
  });

  it('are those that go at once: a tenth dearer, when enough were sold to know', () => {
    const shelf = [piece(1, { pattern: 1 }), piece(2, { pattern: 2 }), piece(3, { pattern: 3 })];
    const proposals = reviewPrices(shelf, [sold(1, 6, 10), sold(2, 2, 3), sold(3, 8, 60)], TODAY);
    expect(proposals).toMatchObject([
      { number: 1, reason: 'goes at once', price: 4000, proposed: 4500, sold: 6 },
    ]);
  });

  it('are those that stand twice as long as is usual: a tenth cheaper, and never under cost', () => {
    const usual = [sold(1, 10, 40)];
    const stands = (days: number, price = 6000) =>
      reviewPrices([piece(1, { days, price: minor(price) })], usual, TODAY);
    expect(stands(89)).toEqual([]);
    expect(stands(200)).toMatchObject([{ reason: 'stands', price: 6000, proposed: 5500, days: 200 }]);
    // 31.00 less a tenth is 28.00, but nothing under 30.00 pays.
    expect(stands(200, 3100)).toMatchObject([{ proposed: 3000 }]);
    expect(stands(200, 3000)).toEqual([]);
    // What usually takes long does not stand about yet.
    expect(reviewPrices([piece(1, { days: 200 })], [sold(1, 10, 150)], TODAY)).toEqual([]);
    // Those that stand longest come first.
    const two = reviewPrices([piece(1, { days: 120 }), piece(2, { days: 300 })], usual, TODAY);
    expect(two.map(({ number }) => number)).toEqual([2, 1]);
  });

  it('are never moved below what pays, nor told twice', () => {
    const anyPiece = fc.record({
      pattern: fc.integer({ min: 1, max: 4 }),
      days: fc.integer({ min: 0, max: 700 }),
      price: fc.integer({ min: 1, max: 20_000 }).map(minor),
      minutes: fc.integer({ min: 0, max: 200 }),
    });
    const anySold = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 300 }));
    fc.assert(
      fc.property(
        fc.array(anyPiece, { maxLength: 20 }),
        fc.array(anySold, { maxLength: 4 }),
        (some, before) => {
          const shelf = some.map((each, index) => piece(index, each));
          const proposals = reviewPrices(
            shelf,
            before.map(([count, each], index) => sold(index + 1, count, each)),
            TODAY,
          );
          expect(new Set(proposals.map(({ number }) => number)).size).toBe(proposals.length);
          for (const { number, price, proposed, reason, wouldLeave } of proposals) {
            const least = payingPrice(shelf[number] ?? piece(number), TODAY) ?? 0;
            if (reason === 'stands') expect(proposed).toBeLessThan(price);
            else expect(proposed).toBeGreaterThan(price);
            if (reason !== 'goes at once') expect(proposed).toBeGreaterThanOrEqual(least);
            expect(wouldLeave).toBeGreaterThanOrEqual(reason === 'under cost' ? -1e-5 : -Infinity);
          }
        },
      ),
    );
  });
});
