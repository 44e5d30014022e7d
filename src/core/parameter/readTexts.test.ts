import fc from 'fast-check';
import { expectOk } from '../result';
import { diameterOfUs } from '../ring/ringSize';
import { initialValues } from './parameter';
import { completedText, fieldsOf, readTexts, textsOf } from './readTexts';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { cutOf, type AnyTechnique } from '../technique/technique';

const parametersOf = (id: string) => (techniqueOf(id) as AnyTechnique).parameters;
const read = (id: string, more: Record<string, string>, system: 'in' | 'mm' = 'mm') => {
  const parameters = parametersOf(id);
  return readTexts(
    parameters,
    { ...textsOf(parameters, initialValues(parameters), system), ...more },
    system,
  );
};

describe.each(TECHNIQUES.map((each) => [each.id, each] as const))('%s', (_, { parameters, plan }) => {
  it.each(['mm', 'in'] as const)('reads back what it begins with, as it is shown in %s', (system) => {
    const texts = textsOf(parameters, initialValues(parameters), system);
    const shown = Object.entries(parameters).flatMap(([key, each]) => fieldsOf(key, each, texts));
    expect(shown.filter(({ optional }) => !optional).map(({ field }) => texts[field])).not.toContain(
      undefined,
    );
    const values = expectOk(readTexts(parameters, texts, system) as never) as typeof parameters;
    // Wires are shown by their gauge, which is true to the micrometre.
    const [before, after] = [initialValues(parameters), values].map((each) => expectOk(plan(each as never)));
    for (const [index, cut] of (before?.cuts ?? []).entries())
      expect(Math.abs(cutOf(after?.cuts[index] ?? cut) / cutOf(cut) - 1)).toBeLessThan(0.002);
  });
});

it('millimetres and inches agree to the micrometre', () => {
  fc.assert(
    fc.property(fc.integer({ min: 40, max: 1200 }), (sixtyFourths) => {
      const inches = read('coil', { length: `${Math.floor(sixtyFourths / 64)} ${sixtyFourths % 64}/64 in` });
      // A 64th is 0.396875 mm exactly.
      const micro = sixtyFourths * 396_875;
      const fraction = String(micro % 1_000_000).padStart(6, '0');
      const metric = read('coil', { length: `${Math.floor(micro / 1_000_000)}.${fraction} mm` });
      const bare = read('coil', { length: `${Math.floor(sixtyFourths / 64)} ${sixtyFourths % 64}/64` }, 'in');
      const value = (each: typeof inches) =>
        each.ok ? Math.round(Number(each.value['length']) * 1000) : NaN;
      expect(value(inches)).toBe(value(metric));
      expect(value(bare)).toBe(value(inches));
    }),
  );
});

it('a ring’s inside may be told as a size', () => {
  const ring = read('bead-ring', { inside: 'US 7' });
  expect(ring.ok && ring.value['inside']).toBeCloseTo(diameterOfUs(7), 2);
  const letter = read('bead-ring', { inside: 'UK N½' });
  expect(letter.ok && letter.value['inside']).toBeCloseTo(54.375 / Math.PI, 2);
});

it.each([
  ['coil', { length: '2 m' }, 'length', /“2 m” was given; 0.5 mm to 500 mm are allowed/],
  ['coil', { length: 'long' }, 'length', /long/],
  ['coil', { wire: '99 ga' }, 'wire', /runs from 0000 to 44/],
  ['jump-rings', { rings: '2.5' }, 'rings', /“2.5” was given; 1 to 500 are allowed/],
  ['straight-weave', { weave: 'A3 AC' }, 'weave', /not neighbours in order.*character 4/],
  ['bundle-frame', { 'stone.width': '40 mm' }, 'stone.length', /A teardrop is longer than wide/],
  ['bead-ring', { inside: 'US 44' }, 'inside', /rings from 10 to 30 mm are worn/],
])('%s %j is refused beside its field', (id, more, field, said) => {
  const outcome = read(id, more as unknown as Record<string, string>);
  expect(outcome.ok ? {} : outcome.error).toMatchObject({ [field]: expect.stringMatching(said) as string });
});

it('a traced stone is read from its points', () => {
  const traced = {
    'stone.outline': 'freeform',
    'stone.points': '-5,-5 5,-5 5,5 -5,5',
    'stone.length': '10 mm',
    'stone.width': '10 mm',
  };
  const stone = read('bundle-frame', traced);
  expect(stone.ok && stone.value['stone']).toMatchObject({ points: [{ x: -5, y: -5 }, {}, {}, {}] });
  const broken = read('bundle-frame', { ...traced, 'stone.points': '1,2' });
  expect(broken.ok ? {} : broken.error).toHaveProperty(['stone.outline']);
});

it('shows the fields that a wire or a stone has', () => {
  const { wire, band, stone } = parametersOf('band-frame');
  if (!wire || !band || !stone) throw new Error('the frame has a wire, a band and a stone');
  const names = (key: string, parameter: typeof wire, texts: Record<string, string>) =>
    fieldsOf(key, parameter, texts).map(({ field }) => field);
  expect(names('wire', wire, {})).toEqual(['wire', 'wire.profile']);
  expect(names('band', band, {})).toContain('band.height');
  expect(names('stone', stone, { 'stone.outline': 'rectangle' })).toContain('stone.corner');
  expect(names('stone', stone, { 'stone.outline': 'freeform' })).toContain('stone.strip');
});

describe('what a bare number is', () => {
  const american = { system: 'in', rings: 'US' } as const;
  const german = { system: 'mm', rings: 'ISO' } as const;
  const fieldOf = (id: string, name: string) =>
    Object.entries(parametersOf(id))
      .flatMap(([key, each]) =>
        fieldsOf(key, each, textsOf(parametersOf(id), initialValues(parametersOf(id)), 'mm')),
      )
      .find(({ field }) => field === name) as Parameters<typeof completedText>[0];

  it.each([
    // A ring's size is the studio's own way, a letter the UK's, and what says what it is stays.
    ['bead-ring', 'inside', '7', 'US 7', 'ISO 7'],
    ['bead-ring', 'inside', 'N½', 'UK N½', 'UK N½'],
    ['bead-ring', 'inside', '17.3 mm', '17.3 mm', '17.3 mm'],
    // Beads and stones are told in millimetres everywhere, wire as the studio measures it.
    ['bead-ring', 'bead', '6', '6 mm', '6 mm'],
    ['bundle-frame', 'stone.length', '25', '25 mm', '25 mm'],
    ['coil', 'length', '1 1/2', '1 1/2 in', '1 1/2 mm'],
    ['coil', 'length', 'long', 'long', 'long'],
  ] as const)('%s, %s: “%s”', (id, name, typed, inAmerica, inGermany) => {
    expect(completedText(fieldOf(id, name), typed, american)).toBe(inAmerica);
    expect(completedText(fieldOf(id, name), typed, german)).toBe(inGermany);
  });

  it('a stone is read in millimetres in a studio of inches, too', () => {
    const bare = expectOk(read('bundle-frame', { 'stone.length': '25', 'stone.width': '18' }, 'in') as never);
    expect(bare).toMatchObject({ stone: { length: 25, width: 18 } });
  });
});
