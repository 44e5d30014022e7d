import { roundWire } from '../parameter/parameter';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { plainSpec } from '../plan/totals';
import { withTechnique } from './addTechnique';
import { EMPTY_COMPOSITION, type Composition, type Specs } from './composition';
import { insidesWanted } from './insidesWanted';
import type { AnyTechnique } from '../technique/technique';

const SPECS: Specs = { c20: plainSpec(roundWire(0.812), 'copper') };
const withOf = (id: string, composition: Composition = EMPTY_COMPOSITION): Composition =>
  withTechnique(composition, techniqueOf(id) as AnyTechnique, techniqueOf, SPECS);

it('is every inside that the techniques ask for, from narrow to wide, in millimetres as typed', () => {
  const ear = withOf('ear-wire');
  const [use] = ear.uses;
  if (!use) throw new Error('nothing was added');
  const typed = { ...ear, uses: [{ ...use, texts: { ...use.texts, loop: '2.5 mm' } }] };
  const wanted = insidesWanted({ composition: typed });
  // A loop of 2.5 mm as typed, and a hook that is 9 mm wide to begin with.
  expect(wanted).toEqual([
    { name: 'Loop', inside: 2500, specId: 'c20' },
    { name: 'Width over the ear', inside: 9000, specId: 'c20' },
  ]);
});

it('is the ring that is wanted, as a ring is told', () => {
  const ring = withOf('bead-ring');
  const wanted = insidesWanted({ composition: { ...ring, measures: { ...ring.measures, ring: 'US 7' } } });
  // US 7 is 11.63 + 0.8128 · 7 = 17.32 mm inside.
  expect(wanted.map(({ inside }) => Math.round(inside / 10) / 100)).toContain(17.32);
});

it('is told once, however often it is wanted, and of nothing where nobody composed', () => {
  const twice = withOf('ear-wire', withOf('ear-wire'));
  expect(insidesWanted({ composition: twice })).toEqual(insidesWanted({ composition: withOf('ear-wire') }));
  expect(insidesWanted({})).toEqual([]);
});

it('is called by what it is the inside of', () => {
  const names = TECHNIQUES.flatMap(({ id }) => insidesWanted({ composition: withOf(id) })).map(
    ({ name }) => name,
  );
  expect(names).toContain('Hanging loop');
  expect(names).toContain('Opening for the chain');
  for (const name of names) expect(name).toMatch(/^[A-Z]/u);
});

it('can be read of every technique as it is added', () => {
  for (const { id, parameters } of TECHNIQUES) {
    const labels = Object.values(parameters).filter(
      ({ kind, label }) => kind === 'length' && /inside/i.test(label),
    );
    const wanted = insidesWanted({ composition: withOf(id) });
    expect([id, wanted.length <= labels.length]).toEqual([id, true]);
    for (const { inside } of wanted) expect(inside).toBeGreaterThan(500);
  }
});
