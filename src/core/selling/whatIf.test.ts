import fc from 'fast-check';
import { cost, minor } from '../units/money';
import { BASIS } from '../units/percent';
import { asToday, outcomeOf, whatIf, type CostedPiece, type OfToday, type Supposed } from './whatIf';

const TODAY: OfToday = {
  ...{ hourlyRate: minor(2400), overheadPerHour: minor(600), feePercent: 300, feeFixed: minor(30) },
  ...{ taxPercent: 2000, taxIncluded: true, endings: [], rounding: 'up', places: 2 },
};
const NOW = asToday(TODAY);

const piece = (number: number, given: Partial<CostedPiece> = {}): CostedPiece => ({
  ...{
    number,
    pattern: 100 + number,
    wire: { sterling: cost(600_000), copper: cost(50_000) },
    stones: cost(250_000),
  },
  ...{ rest: cost(100_000), minutes: 45, price: minor(6000) },
  ...given,
});

const suppose = (given: Partial<Supposed>): Supposed => ({ ...NOW, ...given });

describe('what a piece comes to', () => {
  it('is the price without tax and fees, less materials, hours and overhead, as worked by hand', () => {
    // 60.00 contains 10.00 of tax; 3 % and 0.30 are 2.10. Wire 6.50, stones 2.50, the rest 1.00; three quarters of an hour at 24 and 6.
    const { materials, cost: all, profit, perHour } = outcomeOf(piece(1), NOW, TODAY);
    expect(materials).toBeCloseTo(1000, 9);
    expect(all).toBeCloseTo(1000 + 1800 + 450, 9);
    expect(profit).toBeCloseTo(6000 / 1.2 - 210 - 3250, 9);
    expect(perHour).toBeCloseTo((6000 / 1.2 - 210 - 1000 - 450) / 0.75, 9);
  });

  it('knows which metal is dearer, and what a cheaper stone, a faster step and other rates do', () => {
    const profit = (given: Partial<Supposed>) => outcomeOf(piece(1), suppose(given), TODAY).profit;
    const before = profit({});
    // Silver up a fifth: a fifth of 6.00.
    expect(profit({ metals: { ...NOW.metals, sterling: 12_000 } })).toBeCloseTo(before - 120, 9);
    expect(profit({ metals: { ...NOW.metals, brass: 20_000 } })).toBe(before);
    expect(profit({ stones: 5000 })).toBeCloseTo(before + 125, 9);
    expect(profit({ minutes: 8000 })).toBeCloseTo(before + 0.2 * 2250, 9);
    expect(profit({ hourlyRate: minor(3000), overheadPerHour: minor(0) })).toBeCloseTo(before - 450 + 450, 9);
    expect(profit({ feePercent: 1000 })).toBeCloseTo(before - 420, 9);
  });

  it('takes as much less for a step that is faster as that step takes of it, and nothing where a pattern has no such step', () => {
    const shares = { 101: { 'weave the bars': 0.6, trim: 0.4 } };
    const faster = suppose({ step: { name: 'weave the bars', part: 7500 } });
    const profit = (number: number, supposed: Supposed) =>
      outcomeOf(piece(number), supposed, TODAY, shares).profit;
    // A quarter of six tenths of 45 min are 6.75 min, at 24 and 6 an hour: 3.375.
    expect(profit(1, faster) - profit(1, NOW)).toBeCloseTo(337.5, 9);
    expect(profit(2, faster)).toBe(profit(2, NOW));
    // With all work in half the time, half of that.
    const both = suppose({ ...faster, minutes: 5000 });
    expect(profit(1, both) - profit(1, suppose({ minutes: 5000 }))).toBeCloseTo(337.5 / 2, 9);
    expect(profit(1, suppose({ step: { name: 'solder', part: 0 } }))).toBe(profit(1, NOW));
  });

  it('has prices that end as the studio’s do when all are changed, and untouched ones otherwise', () => {
    const endings = { ...TODAY, endings: [minor(0), minor(500)] };
    expect(outcomeOf(piece(1, { price: minor(6100) }), NOW, endings).price).toBe(6100);
    expect(outcomeOf(piece(1, { price: minor(6100) }), suppose({ prices: 10_500 }), endings).price).toBe(
      6500,
    );
  });
});

describe('what would be if something were otherwise', () => {
  const shelf = [
    piece(1),
    piece(2, { price: minor(4200) }),
    piece(3, { price: minor(3600) }),
    piece(4, { price: minor(900) }),
  ];
  const looked = { shelf, sold: shelf.slice(0, 2), months: 2, patterns: [], shares: {} };

  it('tells of which patterns a new piece would sell under cost', () => {
    const patterns = [piece(7, { price: minor(4600) }), piece(8), piece(9, { price: minor(1000) })];
    const dearer = suppose({ metals: { ...NOW.metals, sterling: 15_000 } });
    // 46.00 leaves 38.33 − 1.68 − 32.50 = 4.15; half as much again for 6.00 of silver is 3.00: it pays still. Twice as much is not.
    expect(whatIf({ ...looked, patterns }, NOW, TODAY)).toMatchObject({
      patternsUnder: [9],
      patternsFall: [],
    });
    expect(whatIf({ ...looked, patterns }, dearer, TODAY)).toMatchObject({ patternsFall: [] });
    const twice = suppose({ metals: { ...NOW.metals, sterling: 20_000 } });
    expect(whatIf({ ...looked, patterns }, twice, TODAY)).toMatchObject({
      patternsUnder: [9, 7],
      patternsFall: [7],
    });
  });

  it('tells what sells under cost, and what of it falls there by the change', () => {
    const now = whatIf(looked, NOW, TODAY);
    // 36.00 leaves 28.62 of 32.50; 42.00 leaves 33.44.
    expect(now.under).toEqual([4, 3]);
    expect(now.falls).toEqual([]);
    expect(now.underMaterials).toEqual([4]);
    const dearer = whatIf(looked, suppose({ metals: { ...NOW.metals, sterling: 12_000 } }), TODAY);
    expect(dearer.under).toEqual([4, 3, 2]);
    expect(dearer.falls).toEqual([2]);
    const faster = whatIf(looked, suppose({ minutes: 7000 }), TODAY);
    expect(faster.rises).toEqual([3]);
    expect(faster.under).toEqual([4]);
  });

  it('tells what a month sells', () => {
    const [now, dearer] = [
      whatIf(looked, NOW, TODAY),
      whatIf(looked, suppose({ metals: { ...NOW.metals, sterling: 12_000 } }), TODAY),
    ];
    // Two pieces in two months: one of them bears 1.20 more each month.
    expect(now.month - dearer.month).toBeCloseTo(120, 9);
    expect(whatIf({ ...looked, months: 0 }, NOW, TODAY).month).toBe(0);
  });

  it('never leaves more when anything that is paid for is dearer, and never less when all is cheaper', () => {
    const anyPart = fc.integer({ min: 2000, max: 30_000 });
    const anyPiece = fc.record({
      wire: fc.integer({ min: 0, max: 9_000_000 }),
      stones: fc.integer({ min: 0, max: 9_000_000 }),
      minutes: fc.integer({ min: 0, max: 600 }),
      price: fc.integer({ min: 1, max: 90_000 }),
    });
    fc.assert(
      fc.property(
        fc.array(anyPiece, { maxLength: 8 }),
        anyPart,
        anyPart,
        anyPart,
        (all, wire, stones, minutes) => {
          const some = all.map((each, index) =>
            piece(index, {
              wire: { sterling: cost(each.wire) },
              stones: cost(each.stones),
              minutes: each.minutes,
              price: minor(each.price),
            }),
          );
          const of = { shelf: some, sold: some, months: 1, patterns: [], shares: {} };
          const cheap = whatIf(
            of,
            suppose({
              metals: { ...NOW.metals, sterling: Math.min(wire, BASIS) },
              stones: Math.min(stones, BASIS),
              minutes: Math.min(minutes, BASIS),
            }),
            TODAY,
          );
          const dear = whatIf(
            of,
            suppose({
              metals: { ...NOW.metals, sterling: Math.max(wire, BASIS) },
              stones: Math.max(stones, BASIS),
              minutes: Math.max(minutes, BASIS),
            }),
            TODAY,
          );
          const now = whatIf(of, NOW, TODAY);
          const slack = 1e-6;
          expect(cheap.shelf).toBeGreaterThanOrEqual(now.shelf - slack);
          expect(dear.shelf).toBeLessThanOrEqual(now.shelf + slack);
          expect(dear.month).toBeCloseTo(dear.shelf, 6);
          expect(cheap.falls).toEqual([]);
          expect(dear.rises).toEqual([]);
          expect(new Set([...now.under, ...dear.falls])).toEqual(new Set(dear.under));
        },
      ),
    );
  });
});
