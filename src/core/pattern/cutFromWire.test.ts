import { METAL_IDS, type MetalId } from '../wire/metal';
import { TRADE_WIRES } from '../wire/tradeWires';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { cutFromWire } from './cutFromWire';

const SPECS = Object.fromEntries(TRADE_WIRES.map((wire) => [wire.id, wire]));

/** A wire of the trade, by what it is; the softest of that size. */
function wireOf(metal: MetalId, gauge: string, profile = 'round'): string {
  const found = TRADE_WIRES.find(
    (wire) => wire.metal === metal && wire.profile === profile && wire.label.number === gauge,
  );
  if (!found) throw new Error(`${gauge} ga ${profile} ${metal} is sold`);
  return found.id;
}

/** A pattern whose techniques are of these wires. */
const of = (...wires: readonly Readonly<Record<string, string>>[]): Composition => ({
  ...EMPTY_COMPOSITION,
  uses: wires.map((each, index) => ({
    id: String(index),
    technique: 'bundle-frame',
    name: '',
    texts: {},
    wires: each,
    own: [],
    takes: {},
  })),
});

const wiresIn = (composition: Composition | undefined) => composition?.uses.map(({ wires }) => wires);

it('cuts from a wire at hand what is as thick as it, and takes its metal for the others', () => {
  const hard = TRADE_WIRES.find(
    ({ metal, profile, label, temper }) =>
      metal === 'sterling' && profile === 'round' && label.number === '20' && temper !== 'dead soft',
  );
  if (!hard) throw new Error('half hard sterling is sold');
  const pendant = of(
    { wire: wireOf('copper', '20'), binding: wireOf('copper', '28') },
    { wire: wireOf('brass', '20') },
  );
  expect(wiresIn(cutFromWire(pendant, hard.id, SPECS))).toEqual([
    { wire: hard.id, binding: wireOf('sterling', '28') },
    { wire: hard.id },
  ]);
});

it('leaves a wire as it is that is not to be had in its metal', () => {
  const [copper] = [wireOf('copper', '28')];
  const known = Object.fromEntries(
    [copper, wireOf('copper', '20'), wireOf('titanium', '20')].map((id) => [id, SPECS[id] as never]),
  );
  const pendant = of({ wire: wireOf('copper', '20'), binding: copper });
  expect(wiresIn(cutFromWire(pendant, wireOf('titanium', '20'), known))).toEqual([
    { wire: wireOf('titanium', '20'), binding: copper },
  ]);
});

it('is nothing for a pattern without a wire of that size and profile', () => {
  const pendant = of({ wire: wireOf('copper', '20'), binding: wireOf('copper', '28') });
  expect(cutFromWire(pendant, wireOf('copper', '24'), SPECS)).toBeUndefined();
  const square = TRADE_WIRES.find(({ profile, label }) => profile === 'square' && label.number === '20');
  expect(square).toBeDefined();
  expect(cutFromWire(pendant, square?.id ?? '', SPECS)).toBeUndefined();
  expect(cutFromWire(pendant, 'no wire', SPECS)).toBeUndefined();
});

it('is the pattern itself when it is of that wire already, in every metal that is sold so', () => {
  for (const metal of METAL_IDS) {
    const wire = TRADE_WIRES.find((each) => each.metal === metal && each.profile === 'round');
    if (!wire) continue;
    const plain = of({ wire: wire.id });
    expect(cutFromWire(plain, wire.id, SPECS)).toEqual(plain);
  }
});
