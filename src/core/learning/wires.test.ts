import { Chance } from '../chance';
import { um } from '../units/length';
import type { CutCosts } from './cutLength';
import { backOf, learnWire, netEntries, proposeLength, USUAL_NET, type WireMade } from './wires';

const COSTS: CutCosts = { wire: 5, scrap: 0, offCutWorth: 0.9, usefulMinimum: 80, keeping: 40, undone: 5000 };
const CUT = { length: um(300_000), tails: [um(30_000), um(30_000)] };

/** A wire that was planned as {@link CUT}, with so much of the plan staying in the piece. */
const made = (making: string, ratio: number, { cut = 320, age = 0 } = {}): WireMade => ({
  making,
  planned: um(300_000),
  tails: um(60_000),
  cut: um(cut * 1000),
  back: um(Math.round(cut * 1000 - 240_000 * ratio)),
  age,
});

describe('what wires took', () => {
  it('is what stayed over what was planned to stay, however much was cut', () => {
    const [short, long] = netEntries([made('a', 1.05), made('b', 1.05, { cut: 600 })]);
    expect(short?.value).toBeCloseTo(Math.log(1.05), 5);
    expect(long?.value).toBeCloseTo(Math.log(1.05), 5);
  });

  it('is one entry for a making, however many wires of it are alike', () => {
    const entries = netEntries([made('a', 1), made('a', 1.2), made('b', 1)]);
    expect(entries).toHaveLength(2);
    expect(entries[0]?.value).toBeCloseTo(Math.log(1.1), 5);
  });

  it('is nothing of a wire of which nothing stayed', () => {
    expect(netEntries([{ ...made('a', 1), back: um(320_000) }])).toEqual([]);
    expect(learnWire([], [])).toBeUndefined();
  });

  it('comes back at the end that is trimmed last, when it is cut to what is learned', () => {
    // Of 240 mm that are planned to stay, 252 do; the first end stays as planned.
    expect(backOf(CUT, um(320_000), 0.05)).toEqual([30_000, 38_000]);
    expect(backOf(CUT, um(300_000), 0)).toEqual([30_000, 30_000]);
    expect(backOf(CUT, um(282_000), 0.05)).toEqual([30_000]);
    expect(backOf({ length: um(100_000), tails: [] }, um(104_000), 0.04)).toEqual([]);
    // As an entry of the log it would tell what was learned, and no more.
    const [entry] = netEntries([{ ...made('a', 1), cut: um(320_000), back: um(68_000) }]);
    expect(entry?.value).toBeCloseTo(Math.log(1.05), 9);
  });

  it('comes from one’s own makings rather than from others’, the more there are', () => {
    const others = Array.from({ length: 20 }, (_, index) => made(`o${index}`, 0.95));
    const own = (count: number) => Array.from({ length: count }, (_, index) => made(`m${index}`, 1.1));
    const values = [0, 1, 3, 10, 30].map((count) => learnWire(own(count), others)?.value ?? 0);
    expect(values).toEqual([...values].sort((one, other) => one - other));
    expect(Math.exp(values[0] ?? 0)).toBeLessThan(0.96);
    expect(Math.exp(values[4] ?? 0)).toBeGreaterThan(1.09);
  });

  it('tells a hand that takes 6 % more, within what it says of itself', () => {
    // The truth that is planted must lie within two of the stated standard errors, in nearly all of many studios.
    let within = 0;
    const studios = 300;
    for (let seed = 0; seed < studios; seed += 1) {
      const chance = new Chance(seed);
      const makings = Array.from({ length: 12 }, (_, index) =>
        made(`m${index}`, Math.exp(chance.normal(Math.log(1.06), 0.03)), { age: index * 14 }),
      );
      const learned = learnWire(makings, []);
      const error = Math.sqrt((learned?.scale ?? 0) ** 2 - (learned?.deviation ?? 0) ** 2);
      if (Math.abs((learned?.value ?? 0) - Math.log(1.06)) < 2 * error) within += 1;
    }
    expect(within / studios).toBeGreaterThan(0.9);
  });
});

describe('a proposed length', () => {
  const learned = {
    ...USUAL_NET,
    value: Math.log(1.05),
    scale: 0.02,
    deviation: 0.02,
    freedom: 20,
    count: 8,
    wild: [],
  };

  it('is what is enough for what really stays, with both tails, and says how sure the plan would have been', () => {
    const { length, sure, plannedSure, more, deviation } = proposeLength(CUT, learned, COSTS, 'mm');
    // 240 mm × 1.05 and two tails of 30 mm are 312 mm: half the time. The plan lies 2.44 scales below.
    expect(length).toBeGreaterThan(um(312_000));
    expect(length % 1000).toBe(0);
    expect(sure).toBeGreaterThan(0.95);
    expect(plannedSure).toBeLessThan(0.03);
    expect(more).toBeCloseTo(0.05, 10);
    expect(deviation).toBe(Math.round(240_000 * 1.05 * 0.02));
  });

  it('says when it is longer so that the end can be used again', () => {
    // 252 mm stay, 30 mm are trimmed at one end and 80 mm are wanted at the other: from 362 mm on.
    const kept = proposeLength(CUT, learned, { ...COSTS, wire: 100, keeping: 0 }, 'mm');
    expect(kept).toMatchObject({ leavesUseful: true });
    expect(kept.length).toBeGreaterThanOrEqual(um(362_000));
    const scrapped = proposeLength(CUT, learned, { ...COSTS, usefulMinimum: 500 }, 'mm');
    expect(scrapped).toMatchObject({ leavesUseful: false });
    expect(scrapped.length).toBeLessThan(um(362_000));
  });

  it('names lengths that are as sure as may be asked for', () => {
    const { sureLengths, curve, length } = proposeLength(CUT, learned, COSTS, 'mm');
    expect(sureLengths.map(({ sure }) => sure)).toEqual([0.9, 0.95, 0.99]);
    // The quantiles of Student's t with 20 degrees of freedom: 1.325, 1.725, 2.528 (NIST/SEMATECH e-Handbook 1.3.6.7.2, from memory).
    for (const [index, t] of [1.325, 1.725, 2.528].entries())
      expect(sureLengths[index]?.length).toBe(Math.ceil(240 * 1.05 * Math.exp(0.02 * t) + 60) * 1000);
    // The curve goes over the length that was chosen, and is lowest there among what is drawn.
    const cost = ({ short, long }: { readonly short: number; readonly long: number }) => short + long;
    const lowest = curve.reduce((one, other) => (cost(other) < cost(one) ? other : one));
    expect(Math.abs(lowest.length - length / 1000)).toBeLessThan(5);
    expect(curve[0]?.length).toBeLessThan(length / 1000);
    expect(curve.at(-1)?.length).toBeGreaterThan(length / 1000);
  });

  it('is a whole number of sixteenths for who works in inches', () => {
    const { length } = proposeLength(CUT, learned, COSTS, 'in');
    const sixteenths = length / (25_400 / 16);
    expect(Math.abs(sixteenths - Math.round(sixteenths))).toBeLessThan(0.001);
  });
});
