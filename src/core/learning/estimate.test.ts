import fc from 'fast-check';
import { Chance } from '../chance';
import { estimate, HALF_LIFE, quantile, type Entry, type Prior } from './estimate';

const NONE: Prior = { value: 0, deviation: 0.04 };
const today = (values: readonly number[]): Entry[] => values.map((value) => ({ value, age: 0 }));

describe('what is learned', () => {
  it('is the default while nothing is logged, and says how far makings may lie from it', () => {
    const { value, deviation, count } = estimate([], { value: 12, deviation: 3 });
    expect([value, deviation, count]).toEqual([12, 3, 0]);
  });

  it('moves from the default toward the middle of the entries, the further the more there are', () => {
    const values = [1, 2, 3, 5, 10, 30, 100].map(
      (count) => estimate(today(Array.from({ length: count }, () => 10)), { value: 0, deviation: 5 }).value,
    );
    expect(values).toEqual([...values].sort((one, other) => one - other));
    // One median tells 2/π of what a mean would: the default counts as much as one making.
    expect(values[0]).toBeCloseTo((10 * (2 / Math.PI)) / (1 + 2 / Math.PI), 10);
    expect(values.at(-1)).toBeGreaterThan(9.8);
  });

  it('takes the middle one of entries, not their mean', () => {
    const many = Array.from({ length: 200 }, (_, index) => [9, 10, 11, 10, 60][index % 5] as number);
    expect(estimate(today(many), { value: 10, deviation: 1 }).value).toBeCloseTo(10, 5);
  });

  it('finds the deviation of normal errors (1.4826 × the median absolute deviation)', () => {
    const chance = new Chance(5);
    const values = Array.from({ length: 4000 }, () => chance.normal(3, 0.4));
    const { value, deviation } = estimate(today(values), { value: 0, deviation: 1 });
    expect(value).toBeCloseTo(3, 1);
    expect(deviation).toBeGreaterThan(0.38);
    expect(deviation).toBeLessThan(0.42);
  });

  it('says that it lies somewhere in between when entries and default disagree', () => {
    const alike = today([10, 10.1]);
    const near = estimate(alike, { value: 10, deviation: 0.1 });
    const far = estimate(alike, { value: 8, deviation: 0.1 });
    expect(far.deviation).toBeGreaterThan(5 * near.deviation);
  });

  it('lets an entry count half after a year, so that a hand that has changed is followed', () => {
    const before = Array.from({ length: 6 }, () => ({ value: 0, age: 2 * HALF_LIFE }));
    const lately = Array.from({ length: 3 }, () => ({ value: 1, age: 0 }));
    // Six that count a quarter each are less than three.
    expect(estimate([...before, ...lately], { value: 0, deviation: 0.1 }).value).toBeGreaterThan(0.6);
    const one = estimate([{ value: 1, age: HALF_LIFE }], { value: 0, deviation: 1 });
    const whole = estimate([{ value: 1, age: 0 }], { value: 0, deviation: 1 });
    expect(one.value / (1 - one.value)).toBeCloseTo(whole.value / (1 - whole.value) / 2, 10);
  });

  it('does not depend on the order of the entries, and moves and stretches with its unit', () => {
    const someEntries = fc.array(
      fc.record({ value: fc.integer({ min: -40, max: 40 }), age: fc.integer({ min: 0, max: 900 }) }),
      { minLength: 1, maxLength: 12 },
    );
    const priors = fc.record({
      value: fc.integer({ min: -5, max: 5 }),
      deviation: fc.integer({ min: 1, max: 9 }),
    });
    fc.assert(
      fc.property(
        someEntries,
        priors,
        fc.integer({ min: 1, max: 50 }),
        fc.integer(),
        (entries, prior, by, seed) => {
          const { value, scale } = estimate(entries, prior);
          const shuffled = [...entries].sort(
            (one, other) => ((one.value * 7 + one.age) ^ seed) - ((other.value * 7 + other.age) ^ seed),
          );
          expect(estimate(shuffled, prior).value).toBeCloseTo(value, 9);
          const inOtherUnit = estimate(
            entries.map((each) => ({ ...each, value: by * each.value + 100 })),
            { value: by * prior.value + 100, deviation: by * prior.deviation },
          );
          expect(inOtherUnit.value).toBeCloseTo(by * value + 100, 6);
          expect(inOtherUnit.scale).toBeCloseTo(by * scale, 6);
          const low = Math.min(prior.value, ...entries.map((each) => each.value));
          const high = Math.max(prior.value, ...entries.map((each) => each.value));
          expect(value).toBeGreaterThanOrEqual(low - 1e-9);
          expect(value).toBeLessThanOrEqual(high + 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('a wild entry', () => {
  it('in seven moves what is proposed by less than a quarter of its own deviation', () => {
    const chance = new Chance(11);
    for (let studio = 0; studio < 3000; studio += 1) {
      const lies = chance.between(-0.08, 0.08);
      const hand = chance.between(0.015, 0.06);
      const usual = Array.from({ length: 6 }, () => chance.normal(lies, hand));
      const before = estimate(today(usual), NONE);
      const wild = before.value + (chance.happens(0.5) ? 1 : -1) * before.deviation * chance.between(6, 40);
      const after = estimate(today([...usual, wild]), NONE);
      const deviation = Math.abs(wild - before.value);
      for (const sure of [0.5, 0.8, 0.95])
        expect(Math.abs(quantile(after, sure) - quantile(before, sure))).toBeLessThan(deviation / 4);
    }
  });

  it('is named, and no other is', () => {
    const { wild } = estimate(today([0.01, -0.02, 0.03, 0.9, 0, 0.02]), NONE);
    expect(wild).toEqual([3]);
    expect(estimate(today([0.01, 0.9]), NONE).wild).toEqual([]);
  });
});

describe('a stated spread', () => {
  // A studio's hand: how far it lies from the default, how steady it is, and how its errors fall.
  const ERRORS: Readonly<Record<string, (chance: Chance) => number>> = {
    normal: (chance) => chance.normal(0, 1),
    'with wild ones': (chance) => chance.normal(0, 1) * (chance.happens(0.05) ? 6 : 1),
    skewed: (chance) => Math.exp(chance.normal(0, 0.6)) - 1.2,
  };

  it.each(Object.keys(ERRORS).flatMap((errors) => [5, 20, 100].map((count) => [errors, count] as const)))(
    'of 80 %% holds the next of a studio 70 to 90 %% of the time: %s errors, %i makings',
    (errors, count) => {
      const chance = new Chance(17 + count);
      const error = ERRORS[errors] as (chance: Chance) => number;
      let held = 0;
      const studios = 1500;
      for (let studio = 0; studio < studios; studio += 1) {
        const lies = chance.between(-0.1, 0.1);
        const hand = chance.between(0.02, 0.08);
        const make = () => lies + hand * error(chance);
        const learned = estimate(
          Array.from({ length: count }, (_, index) => ({ value: make(), age: index * 7 })),
          NONE,
        );
        const next = make();
        if (next >= quantile(learned, 0.1) && next <= quantile(learned, 0.9)) held += 1;
      }
      expect(held / studios).toBeGreaterThan(0.7);
      expect(held / studios).toBeLessThan(0.9);
    },
  );
});
