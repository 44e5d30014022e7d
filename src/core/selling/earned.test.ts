import fc from 'fast-check';
import { cost, minor } from '../units/money';
import { earnedBy, losing, makeMoreOf, type EarnedLine } from './earned';

const line = (name: string, given: Partial<EarnedLine> = {}): EarnedLine => ({
  name,
  pieces: 1,
  takings: minor(5000),
  fees: minor(500),
  sending: minor(100),
  standing: cost(0),
  materials: cost(900_000),
  replaced: cost(1_000_000),
  minutes: 90,
  labour: cost(3_300_000),
  overhead: cost(600_000),
  days: 30,
  ...given,
});

describe('what pieces really earned', () => {
  it('is what was paid, less fees and sending, materials and overhead, over the hours (by hand)', () => {
    // 50.00 − 5.00 − 1.00 = 44.00; − 9.00 − 6.00 = 29.00 for an hour and a half; − 33.00 of labour.
    expect(earnedBy(line('ring'))).toEqual({
      left: 4400,
      forHours: 2900,
      anHour: 1933,
      profit: -400,
      daysEach: 30,
    });
  });

  it('is told of no hour where nobody worked, and of no days where none is sold', () => {
    expect(earnedBy(line('bought', { minutes: 0, labour: cost(0) })).anHour).toBeNull();
    expect(earnedBy(line('all back', { pieces: 0 })).daysEach).toBeNull();
  });

  it('of what was sold and all came back is what fees and sending cost', () => {
    const back = line('back', {
      ...{ pieces: 0, takings: minor(0), fees: minor(150), sending: minor(80) },
      ...{ materials: cost(0), labour: cost(0), overhead: cost(0), minutes: 0, days: 0 },
    });
    expect(earnedBy(back)).toMatchObject({ left: -230, forHours: -230, profit: -230 });
  });

  it('adds up: what two earned together is what each did, to a minor unit of rounding', () => {
    const amount = fc.integer({ min: 0, max: 50_000 });
    const anyLine = fc.record({
      takings: amount.map(minor),
      fees: amount.map(minor),
      sending: amount.map(minor),
      materials: amount.map((each) => cost(each * 700)),
      overhead: amount.map((each) => cost(each * 300)),
      labour: amount.map((each) => cost(each * 900)),
      minutes: fc.integer({ min: 1, max: 300 }),
    });
    fc.assert(
      fc.property(anyLine, anyLine, (one, other) => {
        const [first, second] = [line('a', one), line('b', other)];
        const both = line('both', {
          pieces: 2,
          takings: minor(first.takings + second.takings),
          fees: minor(first.fees + second.fees),
          sending: minor(first.sending + second.sending),
          materials: cost(first.materials + second.materials),
          overhead: cost(first.overhead + second.overhead),
          labour: cost(first.labour + second.labour),
          minutes: first.minutes + second.minutes,
        });
        const parts = [earnedBy(first), earnedBy(second)];
        const sum = (of: 'left' | 'forHours' | 'profit') => parts.reduce((all, each) => all + each[of], 0);
        expect(earnedBy(both).left).toBe(sum('left'));
        expect(Math.abs(earnedBy(both).forHours - sum('forHours'))).toBeLessThanOrEqual(1);
        expect(Math.abs(earnedBy(both).profit - sum('profit'))).toBeLessThanOrEqual(1);
      }),
    );
  });
});

describe('what does not pay', () => {
  it('is told with the largest loss first; what pays, and what nobody bought, is not', () => {
    const lines = [
      line('a little', { takings: minor(5300) }),
      line('a lot'),
      line('pays', { takings: minor(9000) }),
      line('came back', { pieces: 0 }),
    ];
    expect(losing(lines).map(({ name }) => name)).toEqual(['a lot', 'a little']);
  });
});

describe('what is worth making more of', () => {
  it('earns more for an hour than the rest, and does not stand about', () => {
    const many = { pieces: 10, minutes: 600, days: 300 };
    const lines = [
      line('slow earner', { ...many, takings: minor(60_000), days: 2400 }),
      line('quick earner', { ...many, takings: minor(58_000) }),
      line('cheap and quick', { ...many, takings: minor(30_000), days: 70 }),
      line('plain', { ...many, takings: minor(40_000) }),
    ].map((each) => ({
      ...each,
      fees: minor(0),
      sending: minor(0),
      materials: cost(9_000_000),
      overhead: cost(5_000_000),
    }));
    expect(makeMoreOf(lines).map(({ name }) => name)).toEqual(['quick earner']);
  });

  it('is not told by one lucky sale as loudly as by many', () => {
    const base = { fees: minor(0), sending: minor(0) };
    const lines = [
      line('once', { ...base, pieces: 1, takings: minor(9000), minutes: 60, days: 20 }),
      line('often', {
        ...base,
        ...{ pieces: 20, takings: minor(150_000), minutes: 1200, days: 400 },
        ...{ materials: cost(18_000_000), overhead: cost(12_000_000) },
      }),
      line('rest', {
        ...base,
        ...{ pieces: 20, takings: minor(60_000), minutes: 1200, days: 900 },
        ...{ materials: cost(18_000_000), overhead: cost(12_000_000) },
      }),
    ];
    expect(makeMoreOf(lines).map(({ name }) => name)).toEqual(['often', 'once']);
  });

  it('is nothing where nothing is sold', () => {
    expect(makeMoreOf([])).toEqual([]);
    expect(makeMoreOf([line('none', { pieces: 0 })])).toEqual([]);
  });
});
