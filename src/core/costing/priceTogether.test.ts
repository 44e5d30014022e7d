import fc from 'fast-check';
import { minor } from '../units/money';
import type { PriceBasis, PriceRules } from './price';
import { priceBySchools } from './priceSchools';
import { atOnePrice, schoolsTogether, variantsOf, type PricedVariant } from './priceTogether';

/** 20.00 an hour and 5.00 of overhead; a tenth of fees, no tax; prices stay as they come. */
const RULES: PriceRules & {
  hourlyRate: ReturnType<typeof minor>;
  overheadPerHour: ReturnType<typeof minor>;
} = {
  feePercent: 1000,
  feeFixed: minor(0),
  taxPercent: 0,
  taxIncluded: false,
  materialsFactor: 300,
  targetMargin: 2500,
  targetPerHour: minor(3000),
  endings: [],
  rounding: 'nearest',
  places: 2,
  hourlyRate: minor(2000),
  overheadPerHour: minor(500),
};

const basisOf = (materials: number, minutes: number): PriceBasis => ({
  materials,
  labour: (minutes / 60) * RULES.hourlyRate,
  overhead: (minutes / 60) * RULES.overheadPerHour,
  hours: minutes / 60,
});

const variant = (materials: number, minutes: number, more: Partial<PricedVariant> = {}): PricedVariant => ({
  count: 1,
  basis: basisOf(materials, minutes),
  going: null,
  ...more,
});

/** Twelve plain rings of 4.00 and half an hour, and three with a stone: 9.00 and a whole one. */
const TRAY = [
  variant(400, 30, { count: 12, going: minor(2800) }),
  variant(900, 60, { count: 3, going: minor(4500) }),
];

const school = (id: string, variants = TRAY) => {
  const found = schoolsTogether(variants, RULES).find((each) => each.id === id);
  if (!found) throw new Error(`${id} is a school`);
  return found;
};

describe('schools over a tray', () => {
  it('ask each variant its own price, and sum what all of them bring', () => {
    // Worked by hand. Materials × 3 and labour: 12.00 + 10.00 = 22.00, and 27.00 + 20.00 = 47.00.
    const materials = school('materials');
    expect(materials.prices.map((split) => split?.price)).toEqual([2200, 4700]);
    expect(materials.together).toBe(12 * 2200 + 3 * 4700);
    // The plain ring leaves 22.00 − 2.20 − 4.00 − 2.50 = 13.30 for half an hour, the other 47.00 − 4.70 − 9.00 − 5.00 = 28.30
    // for a whole: 12 × 13.30 + 3 × 28.30 = 244.50 for nine hours.
    expect(materials.perHour).toBeCloseTo(24_450 / 9, 6);
    expect(materials.under).toBe(0);
    // At the going price: 28.00 leaves 18.70 for its half hour, 45.00 leaves 26.50 for its hour.
    const going = school('market');
    expect(going.together).toBe(12 * 2800 + 3 * 4500);
    expect(going.perHour).toBeCloseTo((12 * 1870 + 3 * 2650) / 9, 6);
  });

  it('count the pieces that sell under cost, and leave out those that a school has no answer for', () => {
    // 20.00 − 2.00 of fees − 4.00 − 10.00 − 2.50 leave 1.50; 30.00 − 3.00 − 9.00 − 20.00 − 5.00 are 7.00 too little.
    const cheap = [
      variant(400, 30, { count: 12, going: minor(2000) }),
      variant(900, 60, { count: 3, going: minor(3000) }),
      variant(100, 10, { count: 5 }),
    ];
    const { together, answered, under, prices } = school('market', cheap);
    expect(together).toBe(12 * 2000 + 3 * 3000);
    expect([answered, under]).toEqual([15, 3]);
    expect(prices[2]).toBeNull();
    expect(school('market', [variant(100, 10)])).toMatchObject({ answered: 0, together: 0, perHour: null });
  });

  it('say of one variant what they say of a piece by itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20_000 }),
        fc.integer({ min: 1, max: 600 }),
        fc.integer({ min: 1, max: 40 }),
        fc.option(fc.integer({ min: 1, max: 50_000 })),
        (materials, minutes, count, going) => {
          const of = variant(materials, minutes, { count, going: going === null ? null : minor(going) });
          const alone = priceBySchools(of.basis, RULES, of.going);
          const together = schoolsTogether([of], RULES);
          expect(together.map(({ id }) => id)).toEqual(alone.map(({ id }) => id));
          alone.forEach(({ outcome }, index) => {
            const said = together[index];
            expect(said?.prices[0]?.price ?? null).toBe(outcome.ok ? outcome.value.price : null);
            if (outcome.ok) {
              expect(said?.together).toBe(outcome.value.price * count);
              expect(said?.perHour).toBeCloseTo(outcome.value.perHour ?? NaN, 6);
            }
          });
        },
      ),
    );
  });
});

describe('one price for a tray', () => {
  it('says what an hour of each variant earns, and the minutes that it may take at most', () => {
    // 30.00 less 3.00 of fees: the plain ring has 23.00 for its time and overhead, which at 25.00 an hour are 55.2 min; the other
    // 18.00, which are 43.2 min: it takes longer than it may.
    const [plain, stone] = atOnePrice(TRAY, minor(3000), RULES);
    expect(plain?.split.perHour).toBeCloseTo((2300 - 250) / 0.5, 6);
    expect(plain?.mostMinutes).toBeCloseTo(55.2, 6);
    expect(stone?.split.perHour).toBeCloseTo(1300, 6);
    expect(stone?.mostMinutes).toBeCloseTo(43.2, 6);
    expect(atOnePrice(TRAY, minor(400), RULES)[1]?.mostMinutes).toBe(0);
  });

  it('at those minutes an hour earns the rate exactly, whatever the price, the fees and the tax', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 50_000 }),
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 2500 }),
        fc.boolean(),
        (price, materials, feePercent, taxPercent, taxIncluded) => {
          const rules = { ...RULES, feePercent, taxPercent, taxIncluded };
          const [at] = atOnePrice([variant(materials, 30)], minor(price), rules);
          const minutes = at?.mostMinutes ?? 0;
          const [then] = atOnePrice([variant(materials, minutes)], minor(price), rules);
          if (minutes > 0) expect(then?.split.perHour).toBeCloseTo(RULES.hourlyRate, 4);
        },
      ),
    );
  });
});

describe('pieces alike', () => {
  it('are one variant: what one takes on the average, and the mean of their tags', () => {
    const ring = (materials: number, minutes: number, going: number | null) => ({
      name: 'Reed ring',
      basis: basisOf(materials, minutes),
      going: going === null ? null : minor(going),
    });
    const [rings, drop, ...more] = variantsOf([
      ring(400, 30, 2800),
      { name: 'Weir drop', basis: basisOf(900, 60), going: null },
      ring(500, 50, 3001),
      ring(600, 40, null),
    ]);
    expect(more).toEqual([]);
    expect(rings).toMatchObject({ name: 'Reed ring', count: 3, going: 2901 });
    expect(rings?.basis.materials).toBeCloseTo(500, 9);
    expect(rings?.basis.hours).toBeCloseTo(40 / 60, 9);
    expect(drop).toMatchObject({ name: 'Weir drop', count: 1, going: null });
  });
});
