import { goingOnOf, takesFor } from '../plan/takesFor';
import { plainSpec } from '../plan/totals';
import { named } from '../../../tests/support/techniques';
import { roundWire } from '../parameter/parameter';
import { techniqueOf } from '../techniques/registry';
import { cutOf, netOf } from '../technique/technique';
import { withTechnique } from './addTechnique';
import { withUse } from './changes';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn, type AtHand } from './goneOn';
import { resolve } from './resolve';
import { shorterCourses, type ShortWire } from './shorterCourse';

const AT_HAND: AtHand = {
  specs: { thick: plainSpec(roundWire(0.8), 'copper'), thin: plainSpec(roundWire(0.321), 'copper') },
  techniques: techniqueOf,
};
const resolved = (composition: Composition) => resolve(composition, AT_HAND.specs, techniqueOf);

const frame = withUse(
  withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, AT_HAND.specs),
  'a',
  {
    wires: { wire: 'thick', binding: 'thin' },
  },
);
const curled = (() => {
  const end = resolved(frame).left.find(({ label }) => label === 'frame wire 2, right end');
  if (!end) throw new Error('the frame leaves ends');
  return goneOn(frame, named('flat-spiral'), takesFor(goingOnOf(named('flat-spiral')), [end]), AT_HAND);
})();

const found = (composition: Composition, cutIndex: number, length: number): ShortWire | null =>
  shorterCourses(composition, AT_HAND, { cutIndex, length, system: 'mm' });

const { cuts } = resolved(curled);
const curledAt = cuts.findIndex(({ name }) => name === 'frame wire 2');
const lengths = (composition: Composition) =>
  new Map(resolved(composition).cuts.map((cut) => [`${cut.use.name}: ${cut.name}`, cutOf(cut)]));

describe('a wire of a pattern that was cut too short', () => {
  const cut = cuts[curledAt];
  if (!cut) throw new Error('its curled wire is cut');

  it('has what stays in the piece told apart from the ends that are held', () => {
    expect(found(curled, curledAt, cutOf(cut) - 10)?.stays).toBe(Math.round(netOf(cut) * 1000));
    expect(netOf(cut)).toBeLessThan(cutOf(cut));
  });

  it('does with a smaller curl: nothing else of the frame is cut otherwise then, and of that wire no more than there is', () => {
    const short = cutOf(cut) - 12;
    const curl = found(curled, curledAt, short)?.courses.find(({ label }) => label === 'Across, outside');
    expect(curl).toMatchObject({ name: 'Flat spiral', kind: 'length', others: [] });
    const [, use] = curled.uses;
    const smaller = withUse(curled, use?.id ?? '', {
      texts: { ...use?.texts, across: `${curl?.value ?? 0} mm` },
    });
    const after = lengths(smaller).get('Bundle frame round a stone: frame wire 2') ?? Infinity;
    expect(after).toBeLessThanOrEqual(short + 0.01);
    expect(after).toBeGreaterThan(short - 3);
    expect(curl?.cut).toBeCloseTo(after, 1);
  });

  it('has every other wire told that is cut otherwise with it, and by how much', () => {
    const before = lengths(curled);
    const courses = found(curled, curledAt, cutOf(cut) - 3)?.courses ?? [];
    const shared = courses.filter(({ label }) => label === 'Ends upright at the top, each');
    expect(shared.length).toBeGreaterThan(0);
    for (const { others } of shared)
      for (const { name, was, cut: then } of others) {
        expect(name).not.toBe('Bundle frame round a stone: frame wire 2');
        expect(was).toBe(before.get(name));
        expect(then).not.toBeCloseTo(was, 1);
      }
    // All wires of a bundle run beside each other: whatever shortens one of them all through shortens its neighbours.
    expect(shared.some(({ others }) => others.length > 1)).toBe(true);
  });

  it('has nothing found for it when it is far too short, nor when the pattern has no such wire', () => {
    expect(found(curled, curledAt, 5)?.courses).toEqual([]);
    expect(found(curled, 99, 50)).toBeNull();
  });
});
