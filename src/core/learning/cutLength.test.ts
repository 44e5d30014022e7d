import { Chance } from '../chance';
import { decideCut, lengthFor, likelyNeeds, weigh, type CutCosts, type CutNeed } from './cutLength';
import { estimate, type Entry } from './estimate';

/** A hand that errs normally: so many degrees of freedom are as good as that. */
const NORMAL = 1e6;
const NEED: CutNeed = { net: 240, tail: 30, fixed: 35, ratio: { value: 0.02, scale: 0.04, freedom: NORMAL } };
const COSTS: CutCosts = {
  wire: 12,
  scrap: 7,
  offCutWorth: 0.9,
  usefulMinimum: 90,
  keeping: 100,
  undone: 6000,
};

const total = ({ short, long }: { readonly short: number; readonly long: number }) => short + long;

describe('how long to cut', () => {
  it('costs what it costs on the average of many makings', () => {
    const chance = new Chance(3);
    const needs = likelyNeeds(NEED);
    for (const length of [300, 312, 325, 350, 410]) {
      let [short, long, enough] = [0, 0, 0];
      const makings = 60_000;
      for (let making = 0; making < makings; making += 1) {
        const need = 240 * Math.exp(chance.normal(0.02, 0.04)) + 30 + 35;
        const left = 30 + length - need;
        if (length < need) short += length * (12 - 7) + 6000;
        else if (left >= 90) long += left * 12 * 0.1 + 100;
        else long += left * (12 - 7);
        if (length >= need) enough += 1;
      }
      const weighed = weigh(length, needs, 30, COSTS);
      // Four standard errors of a share of so many makings.
      const error = 4 * Math.sqrt((weighed.sure * (1 - weighed.sure)) / makings) + 1e-4;
      expect(Math.abs(weighed.sure - enough / makings)).toBeLessThan(error);
      expect(Math.abs(weighed.short - short / makings)).toBeLessThan(error * (length * 5 + 6000));
      expect(Math.abs(weighed.long / (long / makings) - 1)).toBeLessThan(0.02);
    }
  });

  it('is where one more millimetre costs as much as it saves', () => {
    // Where everything left over is scrap, the derivative of the expected cost is nothing: f(L) · (k (L − tail) + undone) = k, for a need
    // that is lognormal and shifted, and k lost for a millimetre.
    const costs = { ...COSTS, usefulMinimum: 1000 };
    const k = costs.wire - costs.scrap;
    const density = (length: number) => {
      const stays = length - 65;
      return (
        Math.exp(-(((Math.log(stays / 240) - 0.02) / 0.04) ** 2) / 2) /
        (stays * 0.04 * Math.sqrt(2 * Math.PI))
      );
    };
    let [low, high] = [240 * Math.exp(0.02) + 65, 500];
    for (let step = 0; step < 60; step += 1) {
      const middle = (low + high) / 2;
      if (density(middle) * (k * (middle - 30) + costs.undone) > k) low = middle;
      else high = middle;
    }
    expect(Math.abs(decideCut(NEED, costs, 0.5).best.length - low)).toBeLessThan(1.5);
  });

  it('is longer where the wire is cheap and closer where it is dear', () => {
    const lengths = [0.2, 2, 20, 200].map(
      (wire) => decideCut(NEED, { ...COSTS, usefulMinimum: 1000, wire, scrap: wire / 2 }, 1).best.length,
    );
    expect(lengths).toEqual([...lengths].sort((one, other) => other - one));
    expect(new Set(lengths).size).toBe(4);
  });

  it('is longer the more would have to be undone, and the less steady the hand is', () => {
    const scrapped = { ...COSTS, usefulMinimum: 1000 };
    const byUndone = [100, 1000, 10_000].map((undone) => decideCut(NEED, { ...scrapped, undone }, 1).best);
    expect(byUndone[0]?.length).toBeLessThan(byUndone[1]?.length ?? 0);
    expect(byUndone[1]?.length).toBeLessThan(byUndone[2]?.length ?? 0);
    const byHand = [0.01, 0.03, 0.06].map(
      (scale) => decideCut({ ...NEED, ratio: { ...NEED.ratio, scale } }, scrapped, 1).best.length,
    );
    expect(byHand[0]).toBeLessThan(byHand[1] ?? 0);
    expect(byHand[1]).toBeLessThan(byHand[2] ?? 0);
  });

  it('lets what is long enough to keep cost less, and cuts longer for it', () => {
    const kept = decideCut(NEED, { ...COSTS, scrap: 0, keeping: 0, usefulMinimum: 25 }, 1).best;
    const lost = decideCut(NEED, { ...COSTS, scrap: 0, usefulMinimum: 1000 }, 1).best;
    expect(kept.length).toBeGreaterThan(lost.length);
    expect(total(kept)).toBeLessThan(total(lost));
  });

  it('is the cheapest of all lengths, and a whole multiple of the step', () => {
    for (const step of [1, 2.54 / 1.6, 5]) {
      const { best, curve } = decideCut(NEED, COSTS, step);
      expect(best.length / step).toBeCloseTo(Math.round(best.length / step), 9);
      const needs = likelyNeeds(NEED);
      for (let steps = Math.ceil(250 / step); steps * step < 500; steps += 1)
        expect(total(best)).toBeLessThanOrEqual(total(weigh(steps * step, needs, 30, COSTS)) + 1e-9);
      expect(curve.every((each, index) => index === 0 || each.sure >= (curve[index - 1]?.sure ?? 0))).toBe(
        true,
      );
    }
  });

  it('is longer than any need where what is left over is lost otherwise and can be used so', () => {
    const dear = { ...COSTS, wire: 200, scrap: 0, keeping: 0, undone: 0 };
    const { best } = decideCut(NEED, { ...dear, usefulMinimum: 60, offCutWorth: 1 }, 1);
    expect(best.sure).toBeCloseTo(1, 6);
    expect(best.length - 65 - 240 * Math.exp(0.02)).toBeGreaterThan(30);
    expect(decideCut(NEED, { ...dear, usefulMinimum: 1000 }, 1).best.length).toBeLessThan(340);
  });

  it('can be asked for a certainty instead', () => {
    const length = lengthFor(NEED, 0.95);
    // The normal quantile of 0.95 is 1.6449 (from memory).
    expect(length).toBeCloseTo(240 * Math.exp(0.02 + 1.6449 * 0.04) + 65, 2);
    expect(weigh(length, likelyNeeds(NEED), 30, COSTS).sure).toBeCloseTo(0.95, 1);
  });
});

describe('cutting by what was learned, against cutting a tenth longer than planned', () => {
  /** A studio: how far its hand lies from the plan, how steady it is, its wire and what running short costs it. */
  function costsOf(seed: number, makings: number): { readonly ours: number; readonly aTenth: number } {
    const chance = new Chance(seed);
    const [lies, hand] = [chance.between(-0.1, 0.12), chance.between(0.015, 0.07)];
    const wire = chance.pick([0.0008, 0.004, 0.012, 0.06, 0.2]);
    const costs: CutCosts = {
      wire,
      scrap: wire * chance.pick([0, 0.4, 0.8]),
      offCutWorth: 0.9,
      usefulMinimum: chance.pick([40, 80, 150]),
      keeping: 4 * wire,
      undone: chance.between(1, 15),
    };
    const planned = {
      net: chance.between(80, 600),
      tail: chance.pick([0, 15, 60]),
      fixed: chance.pick([0, 2, 60]),
    };
    const draw = () => lies + chance.normal(0, hand) * (chance.happens(0.04) ? 4 : 1);
    const needOf = (ratio: number) => planned.net * Math.exp(ratio) + planned.tail + planned.fixed;
    const really = Array.from({ length: 1000 }, () => needOf(draw()));
    // What a length costs this studio on the average: its wire, less what it gets back, and what running short comes to.
    const costOf = (length: number) => {
      const each = really.map((need) => {
        const isShort = length < need;
        const cut = isShort ? need : length;
        const left = planned.tail + cut - need;
        const back =
          left >= costs.usefulMinimum ? left * wire * costs.offCutWorth - costs.keeping : left * costs.scrap;
        return cut * wire - back + (isShort ? length * (wire - costs.scrap) + costs.undone : 0);
      });
      return each.reduce((sum, one) => sum + one, 0) / really.length;
    };
    const log: Entry[] = [];
    let ours = 0;
    for (let making = 0; making < makings; making += 1) {
      const aged = log.map(({ value }, index) => ({ value, age: (making - index) * 7 }));
      const ratio = estimate(aged, { value: 0, deviation: 0.04 });
      ours += costOf(decideCut({ ...planned, ratio }, costs, 1).best.length);
      log.push({ value: draw(), age: 0 });
    }
    return { ours, aTenth: makings * costOf(1.1 * (planned.net + planned.tail + planned.fixed)) };
  }

  it('costs less in all, and never more than 3 % more in any studio', () => {
    const studios = Array.from({ length: 60 }, (_, index) => costsOf(index + 1, 30));
    const ratios = studios.map(({ ours, aTenth }) => ours / aTenth);
    expect(Math.max(...ratios)).toBeLessThan(1.03);
    expect(ratios.reduce((sum, each) => sum + each, 0) / ratios.length).toBeLessThan(0.9);
    const sum = (key: 'ours' | 'aTenth') => studios.reduce((all, each) => all + each[key], 0);
    expect(sum('ours')).toBeLessThan(sum('aTenth'));
  });
});
