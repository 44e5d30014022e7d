import fc from 'fast-check';
import { expectOk } from '../result';
import { cost, minor, type MinorUnits } from '../units/money';
import { costSheet, type PieceOutlay } from './costSheet';
import { priceBasis, splitPrice, type PriceBasis, type PriceRules } from './price';
import { priceBySchools, PRICE_SCHOOL_IDS, verdictOn } from './priceSchools';
import { roundToEnding, type Rounding } from './rounding';

const both = (amount: number) => ({ actual: cost(amount), replacement: cost(amount) });
const outlay: PieceOutlay = {
  wire: { actual: cost(400_000), replacement: cost(500_000) },
  scrap: both(20_000),
  spoilage: both(30_000),
  parts: both(300_000),
  supplies: both(50_000),
  minutes: 45,
  setUpMinutes: 15,
  sharedBy: 1,
};
const rates = { hourlyRate: minor(2000), overheadPerHour: minor(600) };

const rules: PriceRules = {
  feePercent: 600,
  feeFixed: minor(30),
  taxPercent: 0,
  taxIncluded: false,
  endings: [],
  rounding: 'up',
  places: 2,
  materialsFactor: 400,
  targetMargin: 3000,
  targetPerHour: minor(3000),
};
/** A worked example by hand: materials 8.00, labour 20.00, overhead 6.00, one hour. */
const worked: PriceBasis = { materials: 800, labour: 2000, overhead: 600, hours: 1 };

describe('the cost sheet', () => {
  it('adds up wire, scrap, spoilage, parts, labour and overhead', () => {
    const sheet = costSheet(outlay, rates);
    // One hour at 20.00 and 6.00; materials 4.00 + 0.20 + 0.30 + 3.00 + 0.50.
    expect(sheet.materials.actual).toBe(800_000);
    expect(sheet.total).toEqual({ actual: 3_400_000, replacement: 3_500_000 });
    expect(priceBasis(sheet, 'actual')).toEqual(worked);
  });

  it('shares setting-up among the pieces of a sitting', () => {
    const alone = costSheet(outlay, rates);
    const tray = costSheet({ ...outlay, sharedBy: 3 }, rates);
    expect(tray.minutes).toBe(50);
    expect(tray.total.actual).toBeLessThan(alone.total.actual);
    expect(() => costSheet({ ...outlay, sharedBy: 0 }, rates)).toThrow(RangeError);
  });
});

describe('price endings', () => {
  it.each<[number, number[], Rounding, number]>([
    [4312, [0, 500], 'up', 4500],
    [4312, [0, 500], 'nearest', 4500],
    [4212, [0, 500], 'nearest', 4000],
    [4501, [0, 500], 'up', 5000],
    [4500, [0, 500], 'up', 4500],
    [1204, [95], 'up', 1295],
    [1204, [95], 'nearest', 1195],
    [4312, [], 'up', 4312],
    [3, [0], 'nearest', 100], // never down to nothing
    [12_345, [800], 'up', 12_800],
    // .95 ends every unit, 9.50 every ten: each at its own period, worked out by hand.
    [1204, [95, 950], 'up', 1295],
    [1896, [95, 950], 'up', 1950],
    [1201, [0, 95], 'nearest', 1200],
    [1230, [0, 400, 800], 'up', 1400],
  ])('brings %d with endings %j %s to %d', (price, endings, rounding, expected) => {
    expect(roundToEnding(minor(price), { endings: endings.map(minor), rounding, places: 2 })).toBe(expected);
  });

  it('rounds up to within one period, and onto an ending', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000 }),
        fc.uniqueArray(fc.integer({ min: 0, max: 999 }), { minLength: 1, maxLength: 4 }),
        (price, endings) => {
          const rounded = roundToEnding(minor(price), {
            endings: endings.map(minor),
            rounding: 'up',
            places: 2,
          });
          expect(rounded).toBeGreaterThanOrEqual(price);
          expect(rounded - price).toBeLessThan(1000);
          expect(endings.some((ending) => (rounded - ending) % 100 === 0)).toBe(true);
        },
      ),
    );
  });
});

describe('the price schools', () => {
  const priceOf = (
    id: string,
    changed: Partial<PriceRules> = {},
    market: MinorUnits | null = minor(6000),
  ) => {
    const school = priceBySchools(worked, { ...rules, ...changed }, market).find((each) => each.id === id);
    if (!school) throw new Error(`no school ${id}`);
    return expectOk(school.outcome);
  };

  // Worked by hand from the rules as the trade states them (common practice).
  it('doubles cost for wholesale and again for retail', () => expect(priceOf('doubled').price).toBe(13_600));
  it('takes materials times a factor, plus labour', () => expect(priceOf('materials').price).toBe(5200));
  it('keeps the target margin after fees', () => {
    const split = priceOf('margin'); // (34.00 + 0.30) / (1 − 0.06 − 0.30) = 53.59375
    expect(split.price).toBe(5360);
    expect(split.margin).toBeCloseTo(0.3, 3);
  });
  it('reaches the target per hour', () => {
    const split = priceOf('hourly'); // (8.00 + 6.00 + 0.30 + 30.00) / 0.94 = 47.1277
    expect(split.price).toBe(4713);
    expect(split.perHour).toBeCloseTo(3000, -1);
  });
  it('takes the market’s price as given and says what the hour earned', () => {
    const split = priceOf('market', { endings: [minor(95)] }); // not moved to an ending
    expect(split.price).toBe(6000);
    expect(split.perHour).toBeCloseTo(6000 - 390 - 800 - 600, 6);
  });

  it('offers all five, and says why one has no answer', () => {
    const schools = priceBySchools(worked, { ...rules, targetMargin: 9500 }, null);
    expect(schools.map(({ id }) => id)).toEqual([...PRICE_SCHOOL_IDS]);
    expect(schools).toHaveLength(5);
    expect(schools.filter(({ outcome }) => !outcome.ok).map(({ id }) => id)).toEqual(['margin', 'market']);
  });

  it('puts tax on the tag only where the rule is so', () => {
    expect(priceOf('doubled', { taxPercent: 2000, taxIncluded: true }).price).toBe(16_320);
    expect(priceOf('doubled', { taxPercent: 2000, taxIncluded: false }).price).toBe(13_600);
    const split = priceOf('hourly', { taxPercent: 2000, taxIncluded: true });
    expect(split.perHour).toBeCloseTo(3000, -1);
  });

  it('splits every price into parts that sum to it', () => {
    const amount = fc.integer({ min: 0, max: 100_000 });
    fc.assert(
      fc.property(
        amount,
        amount,
        amount,
        fc.integer({ min: 1, max: 5000 }),
        fc.boolean(),
        (materials, labour, price, tax, taxIncluded) => {
          const basis = { materials, labour, overhead: 100, hours: 2 };
          const s = splitPrice(minor(price), basis, { ...rules, taxPercent: tax, taxIncluded });
          expect(s.tax + s.fees + s.materials + s.overhead + s.labour + s.profit).toBeCloseTo(price, 6);
        },
      ),
    );
  });

  it('never prices lower when materials cost more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50_000 }),
        fc.integer({ min: 0, max: 10_000 }),
        (materials, more) => {
          const price = (m: number) =>
            priceBySchools({ ...worked, materials: m }, rules, null).flatMap(({ outcome }) =>
              outcome.ok ? [outcome.value.price] : [],
            );
          const before = price(materials);
          price(materials + more).forEach((after, index) =>
            expect(after).toBeGreaterThanOrEqual(before[index] ?? 0),
          );
        },
      ),
    );
  });

  it('says whether a piece is worth making', () => {
    const say = (price: number) =>
      verdictOn(splitPrice(minor(price), worked, rules), { ...rules, hourlyRate: minor(2000) }, 'USD');
    expect([1000, 2500, 4000, 9000].map(say)).toEqual([
      'does not even pay its materials',
      'under your rate of $20.00',
      'over your rate, under your target',
      'worth making',
    ]);
  });
});
