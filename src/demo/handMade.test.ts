import { Chance } from '@/core/chance';
import { standardError, stepsToMend } from '@/core/learning/advise';
import { learnDrift } from '@/core/learning/ringSizes';
import { learnMinutes } from '@/core/learning/minutes';
import { learnWire, type WireMade } from '@/core/learning/wires';
import { diameterOfUs } from '@/core/ring/ringSize';
import { expectOk } from '@/core/result';
import { mm, parseLength, parseLengths, sumLengths, um } from '@/core/units/length';
import { handMade, HELPERS_HAND, OWNERS_HAND, SLOW_STEP, timedSteps, type Hand } from './handMade';

const TAILS = [um(30_000), um(30_000)];
const cut = (cutIndex: number, specId: string, from: string, length: number) => ({
  cutIndex,
  copy: 0,
  name: specId,
  specId,
  length: um(length),
  tails: TAILS,
  from,
});
const choice = (id: string, specId: string, length: number) => ({
  id,
  number: 1,
  specId,
  form: 'spool' as const,
  length: um(length),
});

/** A piece of a thick wire and a thin one, each from a spool of its own. */
const PROPOSAL = {
  cuts: [cut(0, 'thick', 'a', 300_000), cut(1, 'thin', 'b', 700_000)],
  choices: [choice('a', 'thick', 5_000_000), choice('b', 'thin', 5_000_000)],
  parts: [],
  ring: 'US 7½ · UK P · ISO 55.7',
  minutes: { each: 50, setUp: 10 },
  pattern: { specs: { thick: { width: 812 }, thin: { width: 321 } } },
};

const MAKINGS = 24;

/** What a hand makes of the proposal again and again, a week between each. */
function log(hand: Hand, seed: number) {
  return Array.from({ length: MAKINGS }, (_, index) => ({
    age: (MAKINGS - index) * 7,
    told: handMade(PROPOSAL, new Chance(seed * 1000 + index), hand),
  }));
}

const wiresOf = (logged: ReturnType<typeof log>, cutIndex: number): WireMade[] =>
  logged.flatMap(({ told, age }, index) =>
    told.cuts
      .filter((each) => each.cutIndex === cutIndex)
      .map(({ cut: really, back }) => ({
        making: String(index),
        planned: um(PROPOSAL.cuts[cutIndex]?.length ?? 0),
        tails: sumLengths(TAILS),
        cut: expectOk(parseLength(really)),
        back: sumLengths(expectOk(parseLengths(back))),
        age,
      })),
  );

describe.each([
  ['owner', OWNERS_HAND],
  ['helper', HELPERS_HAND],
])('the log of the %s of the demonstration studio', (_, hand) => {
  it('tells what their hand takes of thick and of thin wire, within what it says of itself', () => {
    for (const [cutIndex, truth] of [
      [0, hand.thick],
      [1, hand.thin],
    ] as const) {
      let within = 0;
      const studios = 60;
      for (let seed = 1; seed <= studios; seed += 1) {
        const learned = learnWire(wiresOf(log(hand, seed), cutIndex), []);
        const error = Math.sqrt((learned?.scale ?? 0) ** 2 - (learned?.deviation ?? 0) ** 2);
        if (Math.abs((learned?.value ?? 0) - Math.log(truth)) < 2 * error) within += 1;
      }
      expect([cutIndex, within / studios > 0.9]).toEqual([cutIndex, true]);
    }
  });

  it('tells how long they take', () => {
    const times = log(hand, 5).map(({ told: { minutes }, age }) => ({
      minutes: Number(minutes),
      planned: 50,
      age,
    }));
    const learned = learnMinutes(times, 50);
    expect(Math.abs((learned?.minutes ?? 0) - 50 * hand.time)).toBeLessThan((learned?.spread ?? 0) / 2);
  });

  it('tells the step that takes twice as long as planned from those that do not', () => {
    const steps = [
      { name: 'form the frame', minutes: 6, perSitting: false },
      { name: 'weave the base', minutes: 9, perSitting: false },
      { name: 'antique', minutes: 5, perSitting: true },
    ];
    const taken = Array.from({ length: MAKINGS }, (_, index) => timedSteps(steps, new Chance(index), hand));
    const learnedOf = (step: number) =>
      learnMinutes(
        taken.map((each, index) => ({
          minutes: each.find((timed) => timed.step === step)?.minutes ?? 0,
          planned: steps[step]?.minutes ?? 0,
          age: (MAKINGS - index) * 7,
        })),
        1,
      );
    const [formed, woven] = [learnedOf(0), learnedOf(1)];
    if (!formed || !woven) throw new Error('both were timed');
    for (const [learned, truth] of [
      [formed, hand.time],
      [woven, SLOW_STEP.times * hand.time],
    ] as const)
      expect(Math.abs(learned.value - Math.log(truth))).toBeLessThan(3 * standardError(learned));
    expect(learnedOf(2)).toBeUndefined();
    const asked = (step: number) => ({
      of: step,
      planned: 100,
      entries: taken.flatMap((each) => {
        const timed = each.find((one) => one.step === step);
        return timed ? [{ value: Math.log(timed.minutes / (steps[step]?.minutes ?? 1)), age: 7 }] : [];
      }),
    });
    expect(stepsToMend([asked(0), asked(1)], 1).map(({ of }) => of)).toEqual([1]);
  });

  it('tells how their rings come out', () => {
    const inside = (us: number) => mm(diameterOfUs(us));
    const rings = log(hand, 3).map(({ told: { finished }, age }) => ({
      wanted: inside(7.5),
      finished: inside(Number(finished?.replace('US ', ''))),
      age,
    }));
    const drift = learnDrift(rings);
    const error = Math.sqrt((drift?.scale ?? 0) ** 2 - (drift?.deviation ?? 0) ** 2);
    expect(Math.abs((drift?.value ?? 0) - hand.rings)).toBeLessThan(2 * error);
  });

  it('shows how much longer they cut than they need to', () => {
    const cuts = wiresOf(log(hand, 9), 1)
      .map(({ cut: really }) => really / 700_000)
      .sort((one, other) => one - other);
    expect(cuts[MAKINGS / 2]).toBeGreaterThanOrEqual(hand.cutsLong - 0.01);
    expect(cuts[0]).toBeGreaterThanOrEqual(hand.cutsLong - 0.01);
  });
});

it('no hand takes more than there is, or gives back more than it cut', () => {
  const little = {
    ...PROPOSAL,
    cuts: [cut(0, 'thin', 'a', 300_000), cut(1, 'thin', 'a', 500_000)],
    choices: [choice('a', 'thin', 810_000)],
  };
  for (let seed = 0; seed < 400; seed += 1) {
    const { cuts, spoiled } = handMade(little, new Chance(seed), HELPERS_HAND);
    const lengths = [...cuts.map((each) => each.cut), ...spoiled.map(({ length }) => length)];
    expect(lengths.reduce((sum, text) => sum + expectOk(parseLength(text)), 0)).toBeLessThanOrEqual(810_000);
    for (const each of cuts)
      expect(sumLengths(expectOk(parseLengths(each.back)))).toBeLessThanOrEqual(
        expectOk(parseLength(each.cut)),
      );
  }
});
