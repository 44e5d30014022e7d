import { Chance } from '../chance';
import { ringsToMend, standardError, stepsToMend, wiresToMend, type Logged } from './advise';
import { estimate } from './estimate';

/** So many makings about a truth. */
const logged = (
  of: string,
  truth: number,
  deviation: number,
  count: number,
  planned: number,
  seed = 5,
): Logged<string> => {
  const chance = new Chance(seed);
  return {
    of,
    planned,
    entries: Array.from({ length: count }, (_, index) => ({
      value: chance.normal(truth, deviation),
      age: index * 9,
    })),
  };
};
const named = (found: readonly { readonly of: string }[]) => found.map(({ of }) => of);

describe('what a log advises', () => {
  it('is what is off again and again, what costs most first', () => {
    const wires = [
      logged('weave', 0.08, 0.02, 12, 900),
      logged('frame', 0.002, 0.02, 12, 5000, 6),
      logged('bail', 0.08, 0.02, 12, 100, 7),
      logged('rim', -0.06, 0.02, 12, 4000, 8),
    ];
    expect(named(wiresToMend(wires, 5))).toEqual(['rim', 'weave', 'bail']);
    expect(named(wiresToMend(wires, 1))).toEqual(['rim']);
    const [rim] = wiresToMend(wires, 1);
    expect(rim?.learned.value).toBeLessThan(-0.04);
  });

  it('is nothing of what was made a few times only, or varies so much that it may be chance', () => {
    expect(wiresToMend([logged('weave', 0.08, 0.01, 3, 900)], 5)).toEqual([]);
    expect(stepsToMend([logged('twist', 0.12, 0.5, 6, 60)], 5)).toEqual([]);
  });

  it('finds the step that takes twice as long, and the ring that comes out small', () => {
    const slow = logged('weave the base', Math.log(2), 0.2, 8, 200);
    const [found] = stepsToMend([logged('cut', 0.03, 0.2, 8, 400, 9), slow], 5);
    expect(found?.of).toBe('weave the base');
    expect(Math.abs((found?.learned.value ?? 0) - Math.log(2))).toBeLessThan(
      3 * standardError(found?.learned ?? { scale: 0, deviation: 0 }),
    );
    const [ring] = ringsToMend([logged('band', -0.3, 0.15, 9, 9)], 5);
    expect(ring?.learned.value).toBeLessThan(-0.15);
  });

  it('advises hardly ever where all is as planned: less than once in fifty logs', () => {
    const chance = new Chance(3);
    let advised = 0;
    for (let studio = 0; studio < 2000; studio += 1)
      advised += wiresToMend(
        [logged('weave', 0, 0.03, 4 + (studio % 20), 100, chance.whole(1, 1e9))],
        1,
      ).length;
    expect(advised / 2000).toBeLessThan(0.02);
  });

  it('knows how far it may be from the truth: the more makings, the nearer', () => {
    const few = estimate(logged('x', 0, 0.05, 4, 1).entries, { value: 0, deviation: 0.05 });
    const many = estimate(logged('x', 0, 0.05, 60, 1).entries, { value: 0, deviation: 0.05 });
    expect(standardError(many)).toBeLessThan(standardError(few) / 2);
  });
});
