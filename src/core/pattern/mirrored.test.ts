import fc from 'fast-check';
import { pickedUp } from '../../../tests/support/pickedUp';
import { named } from '../../../tests/support/techniques';
import { expectOk } from '../result';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import type { ChosenPorts } from '../technique/refs';
import type { Texts } from '../parameter/readTexts';
import { withUse, withoutUse } from './changes';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn } from './goneOn';
import { canMirror, cutLoose, withMirrored, withSideMirrored } from './mirrored';
import { readComposition } from './readComposition';
import { resolve } from './resolve';

const AT_HAND = { specs: {}, techniques: techniqueOf };
const resolved = (composition: Composition) => resolve(composition, {}, techniqueOf);
const frame = goneOn(EMPTY_COMPOSITION, named('bundle-frame'), undefined, AT_HAND);

/** Goes on with a technique from ends, with some texts of its own. */
function on(before: Composition, technique: string, takes: ChosenPorts, texts: Texts = {}): Composition {
  const next = goneOn(before, named(technique), takes, AT_HAND);
  const use = next.uses.at(-1);
  if (!use) throw new Error('it was added');
  return withUse(next, use.id, { texts: { ...use.texts, ...texts } });
}
const mirrored = (composition: Composition, id: string) =>
  expectOk(withMirrored(composition, id, resolved(composition)));

const bent = on(
  frame,
  'bent-ends',
  { ends: ['a.left 1'] },
  { degrees: '70', way: 'to the left', after: '4 mm' },
);

/** What a hand of the first frame wire does beyond the frame, its x turned about when that is asked. */
function beyond(composition: Composition, side: 'first' | 'second', by: 1 | -1) {
  const { pieces } = resolved(composition);
  const wire = pieces[0]?.run.wires[0];
  const courses = wire?.[side].filter(({ name }) => /^bend|^straight|turns$/.test(name)) ?? [];
  return courses.flatMap(({ path }) => path.map(({ x, y, z }) => [by * x, y, z]));
}

describe('what is done alike on the other side', () => {
  it('lies there as in a mirror, point by point', () => {
    const both = mirrored(bent, 'b');
    const [one, other] = [beyond(both, 'second', -1), beyond(both, 'first', 1)];
    expect(one.length).toBeGreaterThan(4);
    expect(other).toHaveLength(one.length);
    for (const [index, point] of one.entries())
      for (const [axis, value] of point.entries()) expect(other[index]?.[axis]).toBeCloseTo(value, 6);
  });

  it('takes as much wire as the one side does, whatever that is changed to', () => {
    const both = mirrored(bent, 'b');
    const way = fc.constantFrom('to the right', 'to the left', 'to the back', 'to the front');
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 300 }),
        fc.integer({ min: 2, max: 12 }),
        way,
        (degrees, about, to) => {
          const texts = { ...both.uses[1]?.texts, degrees: `${degrees}`, about: `${about} mm`, way: to };
          const { pieces } = resolved(withUse(both, 'b', { texts }));
          const wire = pieces[0]?.run.wires[0];
          const long = (side: 'first' | 'second') =>
            wire?.[side].filter(({ name }) => name.startsWith('bend')).map(({ length }) => length);
          expect(long('first')).toHaveLength(1);
          expect(long('first')?.[0]).toBeCloseTo(long('second')?.[0] ?? NaN, 6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('goes on from what the mirrored one leaves', () => {
    const both = on(mirrored(bent, 'b'), 'flat-spiral', { ends: ['b.end 1'] }, { way: 'to the right' });
    const spirals = mirrored(both, 'd');
    expect(spirals.uses.at(-1)?.takes).toEqual({ ends: ['c.end 1'] });
    const ways = resolved(spirals).uses.map(({ use }) => use.texts['way']);
    expect(ways.slice(1)).toEqual(['to the left', 'to the right', 'to the right', 'to the left']);
    const [one, other] = [beyond(spirals, 'second', -1), beyond(spirals, 'first', 1)];
    for (const [index, point] of one.entries())
      for (const [axis, value] of point.entries()) expect(other[index]?.[axis]).toBeCloseTo(value, 6);
  });

  it('mirrors the points of a free line', () => {
    const free = on(frame, 'free-line', { ends: ['a.left 1'] }, { points: '8,0 15,6' });
    const points = resolved(mirrored(free, 'b')).uses.map(({ use }) => use.texts['points']);
    expect(points.slice(1)).toEqual(['8,0 15,6', '8,0 15,-6']);
  });

  it('stays as it is once it is cut loose, or when what it follows is taken away', () => {
    const both = mirrored(bent, 'b');
    const wider = (composition: Composition) =>
      withUse(composition, 'b', { texts: { ...composition.uses[1]?.texts, degrees: '100' } });
    const degrees = (composition: Composition) =>
      resolved(composition)
        .uses.map(({ use }) => use.texts['degrees'])
        .slice(1);
    expect(degrees(wider(both))).toEqual(['100', '100']);
    const loose = cutLoose(wider(both), 'c', techniqueOf);
    expect(degrees(withUse(loose, 'b', { texts: { ...loose.uses[1]?.texts, degrees: '45' } }))).toEqual([
      '45',
      '100',
    ]);
    expect(
      resolved(loose)
        .uses.map(({ use }) => use.texts['way'])
        .slice(1),
    ).toEqual(['to the left', 'to the right']);
    const left = withoutUse(cutLoose(wider(both), 'b', techniqueOf), 'b');
    expect(degrees(left)).toEqual(['100']);
    expect(resolved(left).uses.every(({ plan }) => plan)).toBe(true);
  });

  it('is not offered where the other end is taken, and says so when it is asked all the same', () => {
    expect(canMirror('b', resolved(bent))).toBe(true);
    expect(canMirror('a', resolved(bent))).toBe(false);
    const taken = on(bent, 'flat-spiral', { ends: ['a.right 1'] });
    expect(canMirror('b', resolved(taken))).toBe(false);
    const said = withMirrored(taken, 'b', resolved(taken));
    expect(said.ok ? '' : said.error).toMatch(/nothing free opposite/);
  });

  it('is kept with the pattern', () => {
    const both = mirrored(bent, 'b');
    const read = expectOk(readComposition(JSON.parse(JSON.stringify(both)), TECHNIQUES));
    expect(read.uses.map(({ mirrors }) => mirrors)).toEqual([undefined, undefined, 'b']);
    expect(resolved(read).cuts).toEqual(
      resolved(both).cuts.map((cut) => ({ ...cut, use: expect.anything() })),
    );
  });
});

describe('a whole side on the other', () => {
  const end = 'frame wire 1, left end';
  const chain = pickedUp(pickedUp(bent, 'threaded-bead', end), 'flat-spiral', end);

  it('has all acts of the one, in their order, each alike to its own', () => {
    const both = withSideMirrored(chain, AT_HAND);
    const added = both.uses.slice(chain.uses.length);
    expect(added.map(({ technique, mirrors }) => [technique, mirrors])).toEqual([
      ['bent-ends', 'b'],
      ['threaded-bead', 'c'],
      ['flat-spiral', 'd'],
    ]);
    const { uses, pieces } = resolved(both);
    expect(uses.map(({ refusal }) => refusal)).toEqual(uses.map(() => ''));
    // One piece still, and as far to the one side as to the other.
    expect(pieces).toHaveLength(1);
    const xs = pieces[0]?.run.wires.flatMap(({ path }) => path.map(({ x }) => x)) ?? [];
    expect(Math.max(...xs)).toBeCloseTo(-Math.min(...xs), 0);
  });

  it('is nothing when both are alike already, or nothing is done on one alone', () => {
    const both = withSideMirrored(chain, AT_HAND);
    expect(withSideMirrored(both, AT_HAND)).toEqual(both);
    expect(withSideMirrored(frame, AT_HAND)).toBe(frame);
  });
});
