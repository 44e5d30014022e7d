import { expectOk } from '../result';
import { withTechnique } from '../pattern/addTechnique';
import { EMPTY_COMPOSITION, type Specs } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { allParts, partsLeft } from '../pattern/allParts';
import { cutsOf, stepsOf } from '../pattern/bodyOf';
import type { PatternBody, PatternPart } from '../pattern/pattern';
import { bodyFor } from '../batch/lineBody';
import { roundWire } from '../parameter/parameter';
import { techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';
import { plainSpec } from '../plan/totals';
import { mm } from '../units/length';
import { cost, minor } from '../units/money';
import type { MetalId } from '../wire/metal';
import type { WireSpec } from '../wire/spec';
import { costSheet } from './costSheet';
import { expectedSale, takingsOf, type SaleRules } from './expectedSale';
import { forecast, type Price2, type PriceBook, type PricedPart } from './forecast';
import { metalsLadder } from './ladder';

const price = (paid: number, today: number, quantity: number): Price2 => ({
  paid: { price: cost(paid), quantity },
  today: { price: cost(today), quantity },
});
const garnet = (free: number, size = 6): PricedPart => ({
  name: `garnet round, ${size} mm`,
  aliases: [],
  kind: { ware: 'bead', material: 'garnet', shape: 'round', min: mm(size), max: mm(size), hole: mm(1) },
  free,
  price: price(20_000, 25_000, 1),
});
const book: PriceBook = {
  // A metre of frame wire cost 3.00 and costs 4.00; nobody ever bought the other.
  wires: { frame: price(300_000, 400_000, 1_000_000) },
  parts: [garnet(40)],
  supplies: { actual: cost(5_000), replacement: cost(6_000) },
};
const part = (name: string, count: number, unitCost: number | null): PatternPart => ({
  name,
  count,
  unitCost: unitCost === null ? null : cost(unitCost),
});
const body = (parts: readonly PatternPart[], cuts = 250): PatternBody => ({
  name: 'Reed pendant',
  kind: 'pendant',
  notes: '',
  cuts: [
    {
      name: 'frame',
      specId: 'frame',
      count: 2,
      net: mm(cuts - 50),
      allowances: [{ name: 'tail', length: mm(50) }],
    },
  ],
  parts,
  steps: [
    { name: 'set up', minutes: 30, perSitting: true },
    { name: 'weave', minutes: 60, perSitting: false },
  ],
});

describe('what a piece would cost', () => {
  it('with what is lost of wire on the average, at what was paid and at today’s price', () => {
    const { outlay } = forecast(body([]), { ...book, spoils: 0.04 });
    // Half a metre at 3.00 and at 4.00.
    expect(outlay.spoilage).toEqual({ actual: 6_000, replacement: 8_000 });
    expect(forecast(body([]), book).outlay.spoilage).toEqual({ actual: 0, replacement: 0 });
  });

  it('its whole cuts, its beads as the drawers have them, and its minutes', () => {
    const { outlay, parts, unpricedWires } = forecast(body([part('6 mm garnet bead', 3, 99)]), book);
    // Half a metre at 3.00 and at 4.00; three beads at 0.20 and at 0.25, whatever the pattern says.
    expect(outlay).toMatchObject({
      wire: { actual: 150_000, replacement: 200_000 },
      parts: { actual: 60_000, replacement: 75_000 },
      supplies: { actual: 5_000, replacement: 6_000 },
      minutes: 60,
      setUpMinutes: 30,
    });
    expect(parts[0]?.found?.name).toBe('garnet round, 6 mm');
    expect(unpricedWires).toEqual([]);
    // An hour and a third of half an hour at 24.00: three in the sitting.
    const sheet = costSheet(
      { ...outlay, sharedBy: 3 },
      { hourlyRate: minor(2400), overheadPerHour: minor(0) },
    );
    expect(sheet.lines.find(({ id }) => id === 'labour')?.actual).toBe(2_800_000);
  });

  it('what the drawers do not hold costs what was typed, and is unknown when nothing was', () => {
    const { parts, outlay } = forecast(body([part('ribbon', 2, 30_000), part('tassel', 1, null)]), book);
    expect(parts.map((each) => [each.found, each.cost])).toEqual([
      [null, { actual: 60_000, replacement: 60_000 }],
      [null, null],
    ]);
    expect(outlay.parts.actual).toBe(60_000);
  });

  it('takes what is said to be it before what fits, and what there is enough of before what there is not', () => {
    const few = { ...garnet(1), name: 'few garnets' };
    const said = { ...garnet(0, 4), name: 'small garnets', aliases: ['6 mm garnet bead'] };
    const found = (parts: readonly PricedPart[]) =>
      forecast(body([part('6 mm garnet bead', 3, null)]), { ...book, parts }).parts[0]?.found?.name;
    expect(found([few, garnet(40)])).toBe('garnet round, 6 mm');
    expect(found([few])).toBe('few garnets');
    expect(found([garnet(40), said])).toBe('small garnets');
    expect(found([garnet(40, 8)])).toBeUndefined();
  });

  it('says which wires no price is known of', () => {
    const strange = { ...body([]), cuts: [{ ...body([]).cuts[0], specId: 'new' }] } as PatternBody;
    expect(forecast(strange, book).unpricedWires).toEqual(['new']);
  });
});

describe('what it would sell for', () => {
  const rules: SaleRules = {
    feePercent: 1000,
    feeFixed: minor(0),
    taxPercent: 0,
    taxIncluded: false,
    endings: [],
    rounding: 'up',
    places: 2,
    materialsFactor: 400,
    targetMargin: 3000,
    targetPerHour: minor(3000),
    hourlyRate: minor(2000),
    overheadPerHour: minor(600),
    priceFrom: 'replacement',
  };
  const { outlay } = forecast(body([part('6 mm garnet bead', 2, null)]), book);
  const piece = { ...outlay, setUpMinutes: 0, sharedBy: 1 };
  // By hand: wire 2.00, beads 0.50, supplies 0.06, overhead 6.00, labour 20.00: 28.56 together.

  it('at the margin where none like it was sold: 28.56 is 60 % of it', () => {
    expect(expectedSale(piece, rules, null)).toMatchObject({ price: 4760, isReckoned: true });
  });

  it('at the last price where one was: 40.00 less fees of 4.00 leave 27.44 for the hour', () => {
    const { split, isReckoned } = expectedSale(piece, rules, minor(4000));
    expect(isReckoned).toBe(false);
    expect(split?.perHour).toBeCloseTo(2744, 6);
  });

  it('a batch takes them together, and its hours earn what is left over all of them', () => {
    const sale = expectedSale(piece, rules, minor(4000));
    // Three pieces leave 82.32; three hours and a half hour of setting up.
    const takings = takingsOf([{ sale, count: 3 }], 210);
    expect(takings.price).toBe(12_000);
    expect(takings.earned).toBeCloseTo(8232, 6);
    expect(takings.perHour).toBeCloseTo(8232 / 3.5, 6);
    expect(takingsOf([], 0).perHour).toBeNull();
  });
});

const wire = (metal: MetalId): WireSpec => plainSpec(roundWire(0.812), metal);
const specs: Specs = {
  cu20: wire('copper'),
  ag20: wire('sterling'),
  au20: wire('gold-filled'),
};

/** A pattern of one technique, cut from copper. */
function composed(technique: string, parts: readonly PatternPart[] = []): PatternBody {
  const of = techniqueOf(technique) as AnyTechnique;
  const composition = withTechnique(EMPTY_COMPOSITION, of, techniqueOf, { cu20: wire('copper') });
  const resolved = resolve(composition, specs, techniqueOf);
  return {
    ...body([]),
    composition,
    cuts: cutsOf(resolved, 'mm'),
    steps: stepsOf(resolved),
    parts: allParts(resolved.parts, parts),
  };
}

describe('parts that follow from the work', () => {
  it('the bead of a link and the stone of a frame are parts by themselves', () => {
    expect(composed('plain-loop-link').parts).toEqual([
      { name: 'bead, 8 mm', count: 1, unitCost: null, ofWork: true },
    ]);
    const framed = composed('bundle-frame').parts;
    expect(framed).toEqual([{ name: 'teardrop stone, 18 × 13 mm', count: 1, unitCost: null, ofWork: true }]);
  });

  it('change with the measures', () => {
    const other = expectOk(
      bodyFor(composed('plain-loop-link'), { measures: { bead: '6 mm' } }, specs, techniqueOf, 'mm'),
    );
    expect(other.parts).toMatchObject([{ name: 'bead, 6 mm', count: 1 }]);
    expect(forecast(other, book).outlay.parts).toEqual({ actual: 20_000, replacement: 25_000 });
  });

  it('one that a maker has named stands for what the work wants, and is not wanted twice', () => {
    const cab = part('prehnite cab', 1, null);
    expect(composed('bundle-frame', [cab]).parts).toEqual([
      { ...cab, name: 'prehnite cab, 18 × 13 mm', typedName: 'prehnite cab' },
    ]);
    // Made for another stone, it is that one's size that is wanted.
    const measures = { 'stone.length': '20 mm', 'stone.width': '15 mm' };
    const other = expectOk(bodyFor(composed('bundle-frame', [cab]), { measures }, specs, techniqueOf, 'mm'));
    expect(other.parts).toMatchObject([{ name: 'prehnite cab, 20 × 15 mm' }]);
    const named = part('garnet beads, 8 mm', 1, null);
    expect(composed('plain-loop-link', [named]).parts).toEqual([named]);
    expect(partsLeft([{ name: 'bead, 8 mm', count: 1 }], [part('garnet beads, 6 mm', 1, null)])).toHaveLength(
      1,
    );
    expect(
      partsLeft([{ name: 'teardrop stone, 18 × 13 mm', count: 1 }], [part('prehnite cab', 1, null)]),
    ).toEqual([]);
    expect(
      partsLeft([{ name: 'teardrop stone, 18 × 13 mm', count: 1 }], [part('oval cab', 1, null)]),
    ).toHaveLength(1);
  });
});

it('the ladder has the pattern first, then the metals that all its wires and prices are known of, the cheapest first', () => {
  const wires = { cu20: price(1_000, 1_000, 1_000_000), au20: price(90_000, 90_000, 1_000_000) };
  const rungs = (known: PriceBook['wires']) =>
    metalsLadder(composed('plain-loop-link'), specs, { ...book, wires: known }, techniqueOf, 'mm').map(
      ({ metal }) => metal,
    );
  expect(rungs(wires)).toEqual([null, 'gold-filled']);
  expect(rungs({ ...wires, ag20: price(20_000, 20_000, 1_000_000) })).toEqual([
    null,
    'sterling',
    'gold-filled',
  ]);
});
