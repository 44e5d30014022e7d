import fc from 'fast-check';
import { expectOk } from '../result';
import { mm, um } from '../units/length';
import { grams, ug } from '../units/mass';
import { massOfLength } from '../wire/mass';
import type { WireSpec } from '../wire/spec';
import {
  formatAmountOf,
  parseAmountOf,
  parseCount,
  plainAmountOf,
  SUPPLY_UNITS,
  type Measure,
} from './amount';
import { toBuy } from './toBuy';
import { FORMS, WARES } from './ware';
import { weighSpool } from './weighIn';

const STERLING: WireSpec = {
  metal: 'sterling',
  profile: 'round',
  width: um(812),
  height: um(812),
  temper: 'half hard',
  finish: 'bare',
  finishName: '',
  label: { system: 'AWG', number: '20' },
};

describe('amounts', () => {
  // A dozen is 12 and a gross 144 in every dictionary; 1 US fluid ounce = 29.5735295625 ml (NIST Handbook 44, appendix C).
  it.each<[Measure, string, number]>([
    [{ ware: 'bead' }, '24', 24],
    [{ ware: 'finding' }, '2 dozen', 24],
    [{ ware: 'finding' }, '1 gross', 144],
    [{ ware: 'finding' }, '1 gross 1/2 dozen', 150],
    [{ ware: 'finding' }, '1 doz 3', 15],
    [{ ware: 'supply', unit: 'ml' }, '1 fl', 29_574],
    [{ ware: 'supply', unit: 'ml' }, '250', 250_000],
    [{ ware: 'supply', unit: 'g' }, '1 oz', 28_350],
    [{ ware: 'supply', unit: 'g' }, '12.5', 12_500],
    [{ ware: 'supply', unit: 'piece' }, '0.5', 500],
    [{ ware: 'wire' }, '26 cm', 260_000],
    [{ ware: 'scrap' }, '1 oz t', 31_103_477],
  ])('reads %p %s as %d', (measure, text, base) => {
    expect(expectOk(parseAmountOf(measure, text))).toBe(base);
  });

  it.each(['', '-3', '2.5', 'ten', '1/3 dozen 1/2', '3 dozen 2 gross', '99999999'])(
    'refuses the count “%s”',
    (text) => {
      expect(parseCount(text).ok).toBe(false);
    },
  );

  it('writes every quantity so that it reads back as the same', () => {
    const measures: Measure[] = WARES.flatMap((ware): Measure[] =>
      ware === 'supply' ? SUPPLY_UNITS.map((unit) => ({ ware, unit })) : [{ ware }],
    );
    fc.assert(
      fc.property(fc.constantFrom(...measures), fc.integer({ min: 0, max: 900_000_000 }), (measure, raw) => {
        const quantity = ['bead', 'stone', 'finding'].includes(measure.ware) ? raw % 10_000_000 : raw;
        expect(expectOk(parseAmountOf(measure, plainAmountOf(measure, quantity)))).toBe(quantity);
      }),
    );
    expect(formatAmountOf({ ware: 'supply', unit: 'ml' }, 1500, 'mm')).toBe('1.5 ml');
    expect(formatAmountOf({ ware: 'bead' }, 1234, 'mm')).toBe('1,234');
  });

  it('has a form for every ware', () => {
    for (const ware of WARES) expect(FORMS[ware].length).toBeGreaterThan(0);
  });
});

describe('weighing in', () => {
  const reading = { spec: STERLING, empty: grams(12), resolution: grams(0.01), initial: mm(10_000) };

  it('tells the length from the weight less the empty spool', () => {
    // 20 ga sterling: π/4 · 0.812² mm² · 10.36 g/cm³ = 5.365 g a metre (plane geometry, density as in the handbook).
    const { length, difference, warning, differs } = weighSpool({
      ...reading,
      gross: grams(12 + 5.365 * 4),
      expected: mm(4_000),
    });
    expect(length / 1e6).toBeCloseTo(4, 3);
    expect(Math.abs(difference)).toBeLessThan(1500);
    expect(differs).toBe(false);
    expect(warning).toBe('');
  });

  it('is as uncertain as the scale for a short wire and as the wire for a long one', () => {
    const at = (length: number, resolution: number, empty = 12) =>
      weighSpool({
        ...reading,
        empty: grams(empty),
        resolution: grams(resolution),
        gross: ug(grams(empty) + massOfLength(STERLING, mm(length))),
        expected: mm(length),
      }).uncertainty / 1000;
    // Half a division of 1 g on each of two readings is 0.707 g: 132 mm of this wire.
    expect(at(0.001, 1)).toBeCloseTo(0.5 * Math.SQRT2 * (1000 / 5.365), 0);
    // 2 % of ten metres.
    expect(at(10_000, 0.01)).toBeCloseTo(200, 0);
    // A coil needs one weighing only.
    expect(at(0.001, 1, 0)).toBeCloseTo(0.5 * (1000 / 5.365), 0);
  });

  it('says what cannot be', () => {
    expect(weighSpool({ ...reading, gross: grams(11), expected: mm(1) })).toMatchObject({
      length: 0,
      warning: expect.stringMatching(/less than the empty spool/),
    });
    expect(weighSpool({ ...reading, gross: grams(90), expected: mm(10_000) }).warning).toMatch(
      /more than there was/,
    );
    // A little over, within what the wire may deviate, is believed.
    expect(weighSpool({ ...reading, gross: grams(12 + 54), expected: mm(10_000) }).warning).toBe('');
  });

  it('agrees with the books to within its own uncertainty, whatever is weighed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000_000 }),
        fc.constantFrom(1000, 10_000, 100_000, 1_000_000),
        (left, resolution) => {
          const true_ = massOfLength(STERLING, um(left)) + grams(12);
          const shown = ug(Math.round(true_ / resolution) * resolution);
          const { length, uncertainty } = weighSpool({
            ...reading,
            gross: shown,
            resolution: ug(resolution),
            expected: um(left),
          });
          expect(Math.abs(length - left)).toBeLessThanOrEqual(uncertainty + 1);
        },
      ),
    );
  });
});

describe('what to buy', () => {
  const level = {
    minimumBy: 'typed' as const,
    minimum: 100,
    quantity: 30,
    used: 0,
    soldBy: 24,
    lastBought: 50,
  };

  it('is rounded up to how it is sold', () => {
    expect(toBuy(level)).toEqual({ minimum: 100, short: 70, packs: 3, packOf: 24, quantity: 72 });
    expect(toBuy({ ...level, soldBy: 0 })).toMatchObject({ packs: 2, packOf: 50 });
    expect(toBuy({ ...level, soldBy: 0, lastBought: 0 })).toMatchObject({ packs: 1, quantity: 70 });
  });

  it('is nothing when there is enough, or nobody asked', () => {
    expect(toBuy({ ...level, quantity: 100 })).toBeUndefined();
    expect(toBuy({ ...level, minimumBy: 'none' })).toBeUndefined();
  });

  it('follows use: a third of what 90 days took', () => {
    expect(toBuy({ ...level, minimumBy: 'use', used: 181, quantity: 0 })?.minimum).toBe(61);
    expect(toBuy({ ...level, minimumBy: 'use', used: 0, quantity: 0 })).toBeUndefined();
  });

  it('always covers what is short, by less than a pack too much', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 0, max: 1e6 }),
        fc.integer({ min: 1, max: 1e4 }),
        (minimum, quantity, soldBy) => {
          const buy = toBuy({ ...level, minimum, quantity, soldBy });
          if (!buy) return expect(quantity).toBeGreaterThanOrEqual(minimum);
          expect(quantity + buy.quantity).toBeGreaterThanOrEqual(minimum);
          expect(quantity + buy.quantity - soldBy).toBeLessThan(minimum);
        },
      ),
    );
  });
});
