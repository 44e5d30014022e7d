import fc from 'fast-check';
import { named } from '../../../tests/support/techniques';
import { expectOk } from '../result';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { cutOf, netOf } from '../technique/technique';
import { cutsOf } from './bodyOf';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn } from './goneOn';
import { cutKey, withLengthTyped } from './inHand';
import { cutLength } from './pattern';
import { readComposition } from './readComposition';
import { resolve, type ResolvedCut } from './resolve';
import { plainSpec } from '../plan/totals';
import { roundWire } from '../parameter/parameter';

const AT_HAND = { specs: {}, techniques: techniqueOf };
const frame = goneOn(EMPTY_COMPOSITION, named('bundle-frame'), undefined, AT_HAND);
const resolved = (inHand: Composition['inHand'], of = frame) =>
  resolve({ ...of, ...(inHand ? { inHand } : {}) }, {}, techniqueOf);
const keyed = (cut: ResolvedCut) => cutKey(cut.use.id, cut);
const [need] = resolved(undefined).cuts;
if (!need) throw new Error('a frame is cut');
const key = keyed(need);
const cutWith = (typed: string) => resolved({ [key]: typed }).cuts[0] as ResolvedCut;

describe('a length that is cut already', () => {
  it('becomes the cut, and what the piece does not need is left over at its end; marks and what stays are as they were', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), (more) => {
        const long = Math.ceil(cutOf(need)) + more;
        const cut = cutWith(`${long} mm`);
        expect(cutOf(cut)).toBeCloseTo(long, 6);
        expect(netOf(cut)).toBe(netOf(need));
        expect(cut.marks).toEqual(need.marks);
        expect(cut.terms.at(-1)).toMatchObject({ name: 'left over', kind: 'allowance' });
        expect(cut.inHand?.over).toBeCloseTo(long - cutOf(need), 6);
      }),
    );
  });

  it('one that is too short says by how much, and the cut stays as it is needed', () => {
    const cut = cutWith(`${Math.floor(cutOf(need)) - 20} mm`);
    expect(cutOf(cut)).toBe(cutOf(need));
    expect(cut.inHand?.over).toBeLessThan(-20);
    expect(cut.inHand?.over).toBeGreaterThan(-21);
  });

  it('is read in any unit, and left alone while it cannot be read', () => {
    expect(cutOf(cutWith('20 in'))).toBeCloseTo(508, 6);
    for (const typed of ['', ' ', 'a foot or so', '12 parsecs'])
      expect([typed, cutWith(typed).inHand, cutOf(cutWith(typed))]).toEqual([typed, undefined, cutOf(need)]);
  });

  it('counts for what is written down to be cut, for no other wire, and not for what stays in the piece', () => {
    const specs = { c: plainSpec(roundWire(0.8), 'copper') };
    const wires = Object.fromEntries(
      Object.keys(named('bundle-frame').parameters).map((each) => [each, 'c']),
    );
    const cutFrom: Composition = {
      ...frame,
      uses: frame.uses.map((use) => ({ ...use, wires })),
    };
    const plain = resolve(cutFrom, specs, techniqueOf);
    const had = resolve({ ...cutFrom, inHand: { [key]: '500 mm' } }, specs, techniqueOf);
    expect(cutLength(cutsOf(had, 'mm')[0] as never)).toBe(500_000);
    expect(cutsOf(had, 'mm').slice(1)).toEqual(cutsOf(plain, 'mm').slice(1));
    expect(had.grams).toBe(plain.grams);
  });

  it('is kept with the pattern, and given up when its field is emptied', () => {
    const inHand = withLengthTyped({}, key, '250 mm');
    const read = expectOk(readComposition(JSON.parse(JSON.stringify({ ...frame, inHand })), TECHNIQUES));
    expect(read.inHand).toEqual({ [key]: '250 mm' });
    expect(withLengthTyped(inHand, key, '')).toEqual({});
    expect(expectOk(readComposition(frame, TECHNIQUES))).not.toHaveProperty('inHand');
    const wrong = readComposition({ ...frame, inHand: { [key]: 250 } }, TECHNIQUES);
    expect(wrong.ok ? '' : wrong.error).toMatch(/inHand.* a text .* is expected/);
  });
});
