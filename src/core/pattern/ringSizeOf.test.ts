import { roundWire } from '../parameter/parameter';
import { techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';
import { plainSpec } from '../plan/totals';
import { withTechnique } from './addTechnique';
import { EMPTY_COMPOSITION, type Composition, type Specs } from './composition';
import { ringSizeOf } from './ringSizeOf';

const SPECS: Specs = { c20: plainSpec(roundWire(0.812), 'copper') };
const withOf = (id: string): Composition =>
  withTechnique(EMPTY_COMPOSITION, techniqueOf(id) as AnyTechnique, techniqueOf, SPECS);
const ring = (text: string): Composition => {
  const composition = withOf('bead-ring');
  return { ...composition, measures: { ...composition.measures, ring: text } };
};

it.each([
  // Published tables of ring sizes: US 7 has 17.3 mm inside, a circumference of 54.4 mm, and lies at UK N½ to O.
  ['17.35 mm', /^US 7 · UK N½ · ISO 54\.5$/],
  ['US 9', /^US 9 · /],
])('a ring of %s says its size', (text, said) => {
  expect(ringSizeOf({ composition: ring(text) })).toMatch(said);
});

it('a technique with a size of its own says that one', () => {
  const composition = ring('US 7');
  const [use] = composition.uses;
  const own = {
    ...composition,
    uses: use ? [{ ...use, own: ['inside'], texts: { ...use.texts, inside: 'US 5' } }] : [],
  };
  expect(ringSizeOf({ composition: own })).toMatch(/^US 5 ·/);
});

it('what is no ring, or was written by hand, has none', () => {
  expect(ringSizeOf({ composition: withOf('bundle-frame') })).toBeUndefined();
  expect(ringSizeOf({})).toBeUndefined();
});
