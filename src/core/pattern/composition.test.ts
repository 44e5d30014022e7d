import fc from 'fast-check';
import { expectOk } from '../result';
import { techniqueOf, TECHNIQUES } from '../techniques/registry';
import { cutOf, netOf, type AnyTechnique } from '../technique/technique';
import { plainSpec } from '../plan/totals';
import { roundWire, squareWire } from '../parameter/parameter';
import type { MetalId, Temper } from '../wire/metal';
import { gramsPerMetre } from '../wire/mass';
import type { WireSpec } from '../wire/spec';
import { cutsOf, stepsOf } from './bodyOf';
import { withMissingWires, withTechnique } from './addTechnique';
import { withoutUse, withStepAt, withUse } from './changes';
import { swapThroughout } from './swapWires';
import { EMPTY_COMPOSITION, type Composition, type Specs } from './composition';
import { resolve } from './resolve';
import { cutLength } from './pattern';
import { readComposition } from './readComposition';

const named = (id: string) => techniqueOf(id) as AnyTechnique;
const composed = (...ids: string[]): Composition =>
  ids.reduce((composition, id) => withTechnique(composition, named(id), techniqueOf), EMPTY_COMPOSITION);

const spec = (width: number, metal: MetalId, temper: Temper = 'dead soft'): WireSpec => ({
  ...plainSpec(roundWire(width), metal),
  temper,
});
const SPECS: Specs = {
  c20: spec(0.812, 'copper'),
  c28: spec(0.321, 'copper'),
  s20: spec(0.812, 'sterling', 'half hard'),
  s20soft: spec(0.812, 'sterling'),
  s28: spec(0.321, 'sterling'),
  s22: spec(0.644, 'sterling'),
};

const inCopper = (composition: Composition) =>
  withUse(composition, 'a', { wires: { wire: 'c20', binding: 'c28' } });

describe('a composition', () => {
  it('shares its stone: a larger one takes more wire everywhere, and what keeps its own does not', () => {
    const pattern = composed('bundle-frame', 'bead-halo');
    const larger = { ...pattern.measures, 'stone.length': '30 mm', 'stone.width': '22 mm' };
    const nets = (each: Composition, measures = each.measures) =>
      resolve(each, {}, techniqueOf, measures).cuts.map((cut) => netOf(cut));
    const [before, after] = [nets(pattern), nets(pattern, larger)];
    for (const [index, net] of before.entries())
      expect([index, net < (after[index] ?? 0)]).toEqual([index, true]);
    const owned = withUse(pattern, 'b', { own: ['stone'] });
    expect(nets(owned, larger).at(-1)).toBe(nets(owned).at(-1));
    expect(nets(owned, larger)[0]).toBeGreaterThan(nets(owned)[0] ?? 0);
    expect(resolve(pattern, {}, techniqueOf).measures).toEqual(['stone', 'bead']);
  });

  it('takes the size of the wire it is cut from, weighs it, and says what its finish forbids', () => {
    const plain = resolve(inCopper(composed('bundle-frame')), SPECS, techniqueOf);
    const sterling = resolve(
      swapThroughout(inCopper(composed('bundle-frame')), { metal: 'sterling' }, SPECS).composition,
      SPECS,
      techniqueOf,
    );
    expect(plain.cuts.map(({ specId }) => specId)).toEqual(['c20', 'c20', 'c20', 'c28']);
    const frame = plain.cuts[0];
    if (!frame) throw new Error('a bundle frame has a frame wire');
    const expected = plain.cuts.reduce(
      (sum, cut) =>
        sum + (cut.count * netOf(cut) * gramsPerMetre(SPECS[cut.specId ?? ''] as WireSpec)) / 1000,
      0,
    );
    expect(plain.grams).toBeCloseTo(expected, 9);
    // Sterling is 10.36/8.89 as heavy as copper (925/75 Ag-Cu; IEC 60028).
    expect(sterling.grams / plain.grams).toBeCloseTo(10.36 / 8.89, 6);
    const coated: Specs = {
      ...SPECS,
      c20: { ...spec(0.812, 'copper'), finish: 'coated', finishName: 'teal' },
    };
    const said = resolve(inCopper(composed('bundle-frame')), coated, techniqueOf).uses[0]?.judgements.map(
      (each) => each.said,
    );
    expect(said?.join()).toMatch(/Mark coated wire with tape/);
  });

  it('swaps a metal, a gauge or a temper throughout, and names what the studio has none of', () => {
    const copper = inCopper(composed('bundle-frame'));
    const wiresOf = (each: Composition) => Object.values(each.uses[0]?.wires ?? {});
    // The nearest temper is taken: soft for soft.
    expect(wiresOf(swapThroughout(copper, { metal: 'sterling' }, SPECS).composition)).toEqual([
      's20soft',
      's28',
    ]);
    expect(
      wiresOf(swapThroughout(copper, { metal: 'sterling', temper: 'half hard' }, SPECS, 'c20').composition),
    ).toEqual(['s20', 'c28']);
    expect(
      wiresOf(swapThroughout(copper, { metal: 'sterling', width: 644 }, SPECS, 'c20').composition)[0],
    ).toBe('s22');
    expect(swapThroughout(copper, { metal: 'titanium' }, SPECS)).toMatchObject({ missing: ['c20', 'c28'] });
  });

  it('a wire that is asked for only when something is chosen is proposed no sooner', () => {
    const frame = withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, SPECS);
    expect(frame.uses[0]?.wires['leadWire']).toBeUndefined();
    const texts = { ...frame.uses[0]?.texts, lead: 'of its own' };
    const specs = { ...SPECS, square: plainSpec(squareWire(0.812), 'copper') };
    const own = withMissingWires(withUse(frame, 'a', { texts }), techniqueOf, specs);
    expect(own.uses[0]?.wires).toEqual({ wire: 'c20', binding: 'c28', leadWire: 'square' });
    expect(resolve(own, specs, techniqueOf).cuts.map(({ name }) => name)).toContain('lead wire');
  });

  it('a technique is cut from the nearest wires there are, of the metal that the pattern is of', () => {
    const first = withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, SPECS);
    expect(first.uses[0]?.wires).toEqual({ wire: 'c20', binding: 'c28' });
    const sterling = swapThroughout(first, { metal: 'sterling' }, SPECS).composition;
    expect(withTechnique(sterling, named('coil'), techniqueOf, SPECS).uses[1]?.wires).toEqual({
      core: 's20soft',
    });
  });

  it('of a release that knew fewer wires gets those that are missing proposed, in its metal, and keeps what it names', () => {
    const first = withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, SPECS);
    const sterling = swapThroughout(first, { metal: 'sterling' }, SPECS).composition;
    // The binding was no wire of its own then; the frame was of another gauge than is proposed now.
    const before = withUse(sterling, 'a', { wires: { wire: 's22' } });
    expect(withMissingWires(before, techniqueOf, SPECS).uses[0]?.wires).toEqual({
      wire: 's22',
      binding: 's28',
    });
    expect(withMissingWires(sterling, techniqueOf, SPECS)).toEqual(sterling);
  });

  it('a pair takes twice of everything', () => {
    const one = resolve(inCopper(composed('bundle-frame')), SPECS, techniqueOf);
    const pair = resolve({ ...inCopper(composed('bundle-frame')), copies: 2 }, SPECS, techniqueOf);
    expect(pair.cuts.map(({ count }) => count)).toEqual(one.cuts.map(({ count }) => 2 * count));
    expect(pair.minutes).toBeCloseTo(2 * one.minutes, 9);
    expect(pair.grams).toBeCloseTo(2 * one.grams, 9);
  });

  it('a pair of earrings has two ear wires', () => {
    const pair = resolve(
      { ...inCopper(composed('briolette-loop', 'ear-wire')), copies: 2 },
      SPECS,
      techniqueOf,
    );
    expect(pair.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['hanging wire', 2],
      ['ear wire', 2],
    ]);
  });

  it('keeps the order that was chosen; what must come first and does not is a fault until it is overridden', () => {
    const pattern = composed('wrapped-loop-link', 'ear-wire');
    const steps = resolve(pattern, {}, techniqueOf).steps.map(({ id }) => id);
    expect(steps[0]).toBe('a.first-loop');
    const moved = withStepAt(pattern, steps, 'a.hang-first', steps.length - 1);
    const resolved = resolve(moved, {}, techniqueOf);
    expect(resolved.steps.at(-1)?.id).toBe('a.hang-first');
    expect(resolved.faults.map(({ said }) => said)).toEqual([
      '“hang what belongs in the first loop” comes after “wrap the first loop shut”.',
    ]);
    expect(
      resolve({ ...moved, overridden: resolved.faults.map(({ key }) => key) }, {}, techniqueOf).faults,
    ).toEqual([]);
    // A technique that is added later brings its steps to the end, and takes them away again.
    const more = withTechnique(moved, named('coil'), techniqueOf);
    expect(resolve(more, {}, techniqueOf).steps.at(-1)?.id).toBe('c.coil');
    expect(resolve(withoutUse(more, 'c'), {}, techniqueOf).steps).toHaveLength(steps.length);
    expect(withoutUse(moved, 'a').order.every((key) => key.startsWith('b.'))).toBe(true);
  });

  it('says what is wrong where it is wrong, and works out the rest', () => {
    const pattern = withUse(composed('coil', 'flat-spiral'), 'a', { texts: { length: 'long' } });
    const resolved = resolve(pattern, {}, techniqueOf);
    expect(resolved.complete).toBe(false);
    expect(resolved.uses[0]?.wrong).toHaveProperty('length');
    expect(resolved.cuts).toHaveLength(1);
    const impossible = resolve(
      withUse(composed('flat-spiral'), 'a', {
        texts: { ...composed('flat-spiral').uses[0]?.texts, across: '2 mm' },
      }),
      {},
      techniqueOf,
    );
    expect(impossible.uses[0]?.refusal).toMatch(/more than 3.05 mm across/);
    expect(
      resolve({ ...composed('bundle-frame'), measures: { 'stone.length': 'big' } }, {}, techniqueOf)
        .measuresWrong,
    ).toHaveProperty(['stone.length']);
  });

  it('becomes cuts that a hand can cut, with their marks, and steps to the half minute', () => {
    const resolved = resolve(inCopper(composed('bundle-frame')), SPECS, techniqueOf);
    const parts = { mm: 1000, in: 25400 / 16 };
    for (const system of ['mm', 'in'] as const) {
      const cuts = cutsOf(resolved, system);
      for (const [index, cut] of cuts.entries()) {
        const more = cutLength(cut) - cutOf(resolved.cuts[index] ?? { terms: [] }) * 1000;
        expect(more).toBeGreaterThan(-4);
        expect(more).toBeLessThan(parts[system] + 4);
        const over = cutLength(cut) % parts[system];
        expect(Math.min(over, parts[system] - over)).toBeLessThanOrEqual(0.5);
        expect((cut.marks ?? []).every(({ at }) => Number.isInteger(at))).toBe(true);
      }
      expect(cuts[0]?.marks?.[1]?.what).toMatch(/middle/);
      expect(cuts.some(({ allowances }) => allowances.some(({ name }) => name === 'up to a round cut'))).toBe(
        true,
      );
    }
    expect(stepsOf(resolved).some(({ stops = [] }) => stops.some((stop) => /^Not before “/.test(stop)))).toBe(
      true,
    );
    expect(
      stepsOf(resolved).every(({ minutes }) => minutes * 2 === Math.round(minutes * 2) && minutes > 0),
    ).toBe(true);
    expect(cutsOf(resolve(composed('bundle-frame'), SPECS, techniqueOf), 'mm')).toEqual([]);
  });

  it('of any techniques at all is complete as they are proposed, and reads back from JSON', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...TECHNIQUES.map(({ id }) => id)), { maxLength: 6 }), (ids) => {
        const pattern = composed(...ids);
        const back = expectOk(readComposition(JSON.parse(JSON.stringify(pattern)), TECHNIQUES));
        expect(back).toEqual(pattern);
        // Techniques that share a measure may not agree on one; alone, each is complete.
        for (const id of ids)
          expect([id, resolve(composed(id), {}, techniqueOf).complete]).toEqual([id, true]);
        expect(resolve(pattern, {}, techniqueOf).faults).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it.each<[unknown, RegExp]>([
    [null, /composition: an object is expected/],
    [{ ...EMPTY_COMPOSITION, colour: 'red' }, /composition.colour: there is no such field/],
    [{ ...EMPTY_COMPOSITION, copies: 0 }, /copies: a whole number from 1 to 20/],
    [{ ...EMPTY_COMPOSITION, measures: { ring: 7 } }, /measures.ring: a text/],
    [
      { ...EMPTY_COMPOSITION, uses: [{ ...composed('coil').uses[0], technique: 'knit' }] },
      /“knit” is none of/,
    ],
    [
      { ...EMPTY_COMPOSITION, uses: [composed('coil').uses[0], composed('coil').uses[0]] },
      /“a” stands twice/,
    ],
    [{ ...EMPTY_COMPOSITION, uses: [{ ...composed('coil').uses[0], id: '../' }] }, /uses.0.id: a letter/],
    [{ ...EMPTY_COMPOSITION, order: 'all' }, /order: a list/],
  ])('%j is refused where it is wrong', (plain, said) => {
    const read = readComposition(plain, TECHNIQUES);
    expect(read.ok ? '' : read.error).toMatch(said);
  });
});

it.each([
  ['briolette-cap', { cap: '5 mm', down: '6 mm' }],
  ['briolette-swirl', { swirl: '6 mm', open: '0.2 mm' }],
  ['spiral-cage', { across: '12 mm' }],
  ['looped-bezel', { join: '10 mm' }],
])('what an old pattern says of %s that is not asked any more is passed over', (id, old) => {
  const now = composed(id);
  const [use] = now.uses;
  if (!use) throw new Error('it has one');
  // As it was kept before the technique learned to ask what it asks now: its own texts, and no others.
  const kept = { ...now, uses: [{ ...use, texts: old }] };
  const read = expectOk(readComposition(JSON.parse(JSON.stringify(kept)), TECHNIQUES));
  const resolved = resolve(read, {}, techniqueOf);
  expect(resolved.complete).toBe(true);
  expect(resolved.cuts.map((cut) => netOf(cut))).toEqual(
    resolve(now, {}, techniqueOf).cuts.map((cut) => netOf(cut)),
  );
});

it('what is done to the whole piece is judged for the wires of every technique', () => {
  const begun = withTechnique(EMPTY_COMPOSITION, techniqueOf('coil') as AnyTechnique, techniqueOf, SPECS);
  const coated = Object.fromEntries(
    Object.entries(SPECS).map(([id, spec]) => [id, { ...spec, finish: 'coated' as const }]),
  );
  const saidOf = (composition: typeof begun) =>
    resolve(composition, coated, techniqueOf).uses.flatMap(({ judgements }) =>
      judgements.map(({ said }) => said),
    );
  expect(saidOf(begun).join()).not.toMatch(/antiqued/);
  const darkened = withTechnique(begun, techniqueOf('antique') as AnyTechnique, techniqueOf, coated);
  expect(saidOf(darkened)).toContain('Coated wire cannot be antiqued.');
  // The bath takes no wire; it comes last, and its caution with it.
  const { cuts, steps, faults } = resolve(darkened, coated, techniqueOf);
  expect(cuts.every(({ use }) => use.technique === 'coil')).toBe(true);
  expect(steps.flatMap(({ cautions }) => cautions)).toContain('antiquing');
  expect(faults).toEqual([]);
});
