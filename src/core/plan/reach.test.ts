import { named, planFor, planOf } from '../../../tests/support/techniques';
import { initialValues } from '../parameter/parameter';
import { askedFor, measureReached, type Asked } from './reach';
import { TECHNIQUES } from '../techniques/registry';
import type { Values } from '../parameter/readValues';
import { cutOf, takesWire } from '../technique/technique';

const askedOf = (id: string, key: string): Asked => {
  const found = askedFor(named(id)).find((each) => each.key === key);
  if (!found) throw new Error(`${id} cannot be asked for ${key}`);
  return found;
};
const reachedBy = (id: string, key: string, wire: string, length: number, values: Values = {}) =>
  measureReached(
    named(id),
    { ...initialValues(named(id).parameters), ...values } as Values,
    askedOf(id, key),
    wire,
    length,
  );

describe('what a wire in hand makes', () => {
  it('is as many jump rings as their circles go into it', () => {
    // A ring of 4 mm inside of 0.8 mm wire is a turn of π × 4.8 that climbs by 0.8; besides, what is held at the ends is cut.
    const plan = planOf('jump-rings', {
      wire: { profile: 'round', width: 0.8, height: 0.8 },
      inside: 4,
      rings: 1,
      cutter: 0,
    });
    const turn = Math.hypot(Math.PI * 4.8, 0.8);
    const besides = cutOf(plan.cuts[0] ?? { terms: [] }) - turn;
    const reached = reachedBy('jump-rings', 'rings', plan.cuts[0]?.name ?? '', 300, {
      wire: { profile: 'round', width: 0.8, height: 0.8 },
      inside: 4,
      cutter: 0,
    });
    expect(reached.ok && reached.value.value).toBe(Math.floor((300 - besides) / turn));
    expect(reached.ok && 300 - reached.value.cut).toBeLessThan(turn);
  });

  it('is no more than it is enough for, and the next of it would be too much, for everything that can be asked', () => {
    let looked = 0;
    for (const technique of TECHNIQUES.filter(takesWire)) {
      const values = initialValues(technique.parameters) as Values;
      const plan = planOf(technique.id);
      const [cut] = plan.cuts;
      // Of those with a wire or two: each is planned some twenty times.
      if (!cut || plan.run === undefined || plan.run.wires.length > 2) continue;
      for (const asked of askedFor(technique).slice(0, 2)) {
        const length = 1.35 * cutOf(cut);
        const reached = measureReached(technique, values, asked, cut.name, length);
        if (!reached.ok) {
          expect(reached.error).toMatch(/does not depend on|not enough|Nothing can be made/);
          continue;
        }
        looked += 1;
        const { value, cut: takes, isMost } = reached.value;
        expect([technique.id, asked.key, takes <= length]).toEqual([technique.id, asked.key, true]);
        if (isMost) continue;
        const step = asked.parameter.kind === 'count' ? 1 : 0.2;
        const more = planFor(technique, { [asked.key]: value + step });
        const same = more.ok ? more.value.cuts.filter(({ name }) => name === cut.name) : [];
        const needs = same.length > 0 ? Math.max(...same.map(cutOf)) : Infinity;
        expect([technique.id, asked.key, needs > length]).toEqual([technique.id, asked.key, true]);
      }
    }
    expect(looked).toBeGreaterThan(25);
  });

  it('says when it is enough for nothing, and when the wire does not depend on it', () => {
    const short = reachedBy('flat-spiral', 'across', planOf('flat-spiral').cuts[0]?.name ?? '', 3);
    expect(short.ok ? '' : short.error).toMatch(/3 mm are not enough: [\d.]+ mm are the least/);
    const apart = reachedBy('straight-weave', 'repeats', 'frame wire', 5000);
    expect(apart.ok ? '' : apart.error).toMatch(/does not depend on “Repeats”/);
  });

  it('asks for nothing that is trimmed, bored or left open, nor for a ring’s inside, which has sizes', () => {
    for (const technique of TECHNIQUES)
      for (const { key, parameter } of askedFor(technique)) {
        expect([technique.id, key]).toEqual([
          technique.id,
          expect.not.stringMatching(/tail|trim|drilled|hole/i),
        ]);
        expect(parameter.kind === 'length' && parameter.as === 'ring').toBe(false);
      }
  });
});
