import simpson from 'integrate-adaptive-simpson';
import { planOf, ga, type Values } from '../../../tests/support/techniques';
import { roundWire } from '../parameter/parameter';
import { cutOf, netOf, type Plan } from '../technique/technique';

const runOf = ({ run }: Plan) => {
  if (!run) throw new Error('it is told by the ways of its wires');
  return run;
};

const terms = (plan: Plan, cut = 0) => plan.cuts[cut]?.terms.map(({ name }) => name);

describe('a point in a double spiral', () => {
  it('is one wire folded at its middle: 400 mm of 0.8 are cut for it, half of them used (common practice)', () => {
    const plan = planOf('point-spiral', { wire: roundWire(0.8), across: 9, long: 34, turns: 4, tail: 50 });
    expect(terms(plan)).toEqual([
      'fold under the tip',
      '4 turns of each half',
      'upright over the tip',
      'neck',
      'hanging loop',
      '2 wraps of each end under it',
      'handling tails',
    ]);
    const [cut] = plan.cuts;
    if (!cut) throw new Error('it has a wire');
    expect(netOf(cut)).toBeGreaterThan(200);
    expect(cutOf(cut)).toBeLessThanOrEqual(400);
    // Folded in half: what lies on both sides of the fold differs by the way that one end crosses over.
    const fold = cut.marks.find(({ what }) => what.startsWith('fold'))?.at ?? 0;
    expect(Math.abs(fold / cutOf(cut) - 0.5)).toBeLessThan(0.03);
  });

  it('is as long as two helices on a point that tapers, integrated by a library (integrate-adaptive-simpson)', () => {
    const [D, across, long, taper, turns] = [0.8, 10, 40, 10, 4];
    const radius = (h: number) => D / 2 + (across / 2) * Math.min(1, h / taper, (long - h) / taper);
    const speed = (slope: number) => (h: number) =>
      Math.hypot(slope, radius(h) * ((2 * Math.PI * turns) / long), 1);
    const steep = across / 2 / taper;
    const strand = 2 * simpson(speed(steep), 0, taper, 1e-9) + simpson(speed(0), taper, long - taper, 1e-9);
    const plan = planOf('point-spiral', { wire: roundWire(D), across, long, taper, turns });
    const both = plan.cuts[0]?.terms.find(({ name }) => name.startsWith('4 turns'))?.length ?? 0;
    // The lower strand follows the upper one a little behind, and comes to lie opposite it at the tips.
    expect(both / (2 * strand)).toBeGreaterThan(0.99);
    expect(both / (2 * strand)).toBeLessThan(1.02);
  });
});

describe('a cage of two spirals', () => {
  it('of 18 ga takes 305 mm for coils 15 to 18 across (common practice), its loop among them', () => {
    const plan = planOf('spiral-cage', { wire: ga(18), long: 17, wide: 10.5, gap: 0.4 });
    expect(plan.notes.join()).toMatch(/each coil is 17\.1 mm across/);
    const [cut] = plan.cuts;
    if (!cut) throw new Error('it has a wire');
    expect(plan.cuts).toHaveLength(1);
    expect(cutOf(cut)).toBeLessThanOrEqual(305);
    expect(netOf(cut)).toBeGreaterThan(0.7 * 305);
  });

  it('holds its stone: rolled flat, the coil is as wide as a calliper reads of it', () => {
    // A cone about an ellipsoid of half axes a, b touches it when a²/R² + b²/H² = 1: at its widest the cone is √2 · 10 across. Wire of 1 mm
    // that leans with it at 45° has its middle 0.5 · √2 further out.
    const { wires } = runOf(planOf('spiral-cage', { wire: roundWire(1), wide: 10, long: 10 }));
    const path = wires[0]?.path ?? [];
    const widest = Math.max(...path.filter(({ y }) => Math.abs(y) < 1).map(({ x, z }) => Math.hypot(x, z)));
    expect(widest).toBeCloseTo(Math.SQRT2 * 5 + 0.5 * Math.SQRT2, 1);
  });
});

describe('a loop bezel', () => {
  const plan = planOf('looped-bezel', {
    stone: { outline: 'oval', length: 40, width: 30, depth: 7, edge: 3 },
    wire: ga(16),
    lashing: ga(26),
    loop: 3,
    apart: 14,
    rungs: 3,
  });

  it('is two wires that each go once round the whole stone, 3 to 3½ times its way round (common practice)', () => {
    // The perimeter of an ellipse of 40 by 30, by Ramanujan's second formula: 110.5.
    const [a, b] = [20, 15];
    const h = ((a - b) / (a + b)) ** 2;
    const round = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['bezel wire, front', 1],
      ['bezel wire, rear', 1],
      ['ladder wire', 1],
    ]);
    for (const cut of plan.cuts.slice(0, 2)) {
      expect(cutOf(cut) / round).toBeLessThanOrEqual(3.5);
      expect(netOf(cut) / round).toBeGreaterThan(0.7 * 3);
      const along = cut.terms
        .filter(({ name }) => name.includes('round the stone'))
        .reduce((sum, { length }) => sum + length, 0);
      // The ladder goes between stone and wire: the line is longer by π(D + 2d); at the top both ends leave it,
      // and behind every loop it comes back from beside the loop's beginning.
      const line = round + Math.PI * (1.291 + 2 * 0.405);
      expect(along / line).toBeGreaterThan(0.94);
      expect(along / line).toBeLessThan(1.04);
    }
    expect(plan.notes.join()).toMatch(/8 loops on each wire, 14\.6 mm apart/);
  });

  it('has loops of a turn each, and its ladder uses half of the 914 that are cut for it (common practice)', () => {
    const [front, , ladder] = plan.cuts;
    if (!front || !ladder) throw new Error('it has them');
    const loops = front.terms.find(({ name }) => name === 'loops')?.length ?? 0;
    // Eight turns of √[(π(3 + 1.291))² + (1.25 · 1.291)²].
    expect(loops).toBeCloseTo(8 * Math.hypot(Math.PI * 4.291, 1.25 * 1.291), 1);
    expect(netOf(ladder)).toBeGreaterThan(914 / 2);
    expect(cutOf(ladder)).toBeLessThanOrEqual(914);
  });

  it('is tried and laddered before it is moulded, and shut after its stone is held', () => {
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'mark before loops',
      'try before ladder',
      'ladder before mould',
      'fold before close',
    ]);
  });
});

describe('a briolette', () => {
  const cutOfOne = (id: string, values: Values) => {
    const plan = planOf(id, values);
    expect(plan.cuts.map(({ count }) => count)).toEqual([1]);
    return {
      cut: plan.cuts[0] as Plan['cuts'][number],
      at: (what: RegExp) => plan.cuts[0]?.marks.find((mark) => what.test(mark.what))?.at ?? NaN,
    };
  };

  it('on a wrapped loop takes 75 mm of 26 ga, the drop at a third (common practice)', () => {
    const { cut, at } = cutOfOne('briolette-loop', { wire: ga(26) });
    expect(cut.terms.map(({ name }) => name)).toEqual([
      'through the hole',
      'two legs to above the tip',
      'stem',
      'loop',
      '3 wraps under the loop',
      '2 wraps of the short end',
      'handling tails',
    ]);
    expect(cutOf(cut)).toBeLessThanOrEqual(75);
    expect(netOf(cut)).toBeGreaterThan(75 / 2);
    expect(at(/drop sits/) / cutOf(cut)).toBeGreaterThan(0.28);
    expect(at(/drop sits/) / cutOf(cut)).toBeLessThan(0.4);
    // A turn of √[(π(2.5 + 0.405))² + 0.405²] and the bend aside, a quarter about nothing; a third of a wrap leads to the next.
    const turn = Math.hypot(Math.PI * 2.905, 0.405) + (Math.PI * 0.405) / 4;
    expect(cut.terms.find(({ name }) => name === 'loop')?.length).toBeCloseTo(turn, 1);
    const two = 2 * Math.hypot(2 * Math.PI * 0.405, 0.405);
    const short = cut.terms.find(({ name }) => name === '2 wraps of the short end')?.length ?? 0;
    expect(short).toBeGreaterThan(two);
    expect(short).toBeLessThan(two + 0.6);
  });

  it('under a cap 6 mm high takes 230 mm of 26 ga, 38 of it on the short side (common practice)', () => {
    const drop = { wire: ga(26), long: 10, wide: 5, across: 2.2, above: 3.9, down: 6 };
    const { cut, at } = cutOfOne('briolette-cap', { ...drop, tail: 5 });
    expect(cutOf(cut)).toBeLessThanOrEqual(230);
    expect(netOf(cut)).toBeGreaterThan(0.8 * 230);
    // The short end makes the loop and is wound over the turns at the top.
    expect(at(/drop sits/)).toBeGreaterThan(0.8 * 38);
    expect(at(/drop sits/)).toBeLessThan(1.15 * 38);
    expect(cut.terms.map(({ name }) => name)).toContain('up across the front');
  });

  it('with a swirl in front takes 115 mm of 22 ga, 38 of it short (common practice)', () => {
    const { cut, at } = cutOfOne('briolette-swirl', { wire: ga(22), wraps: 2, tail: 8 });
    expect(cutOf(cut)).toBeLessThanOrEqual(115);
    expect(netOf(cut)).toBeGreaterThan(0.7 * 115);
    expect(at(/drop sits/)).toBeGreaterThan(0.85 * 38);
    expect(at(/drop sits/)).toBeLessThan(1.1 * 38);
    expect(cut.terms.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['once round the stem', 'small loop', 'teardrop loop', '2 wraps over them']),
    );
    // The teardrop: two tangents at 30° to its middle and 240° of an arc about 2 mm, with what leads out of it.
    const radius = (2 + 0.6438) / 2;
    const round = 2 * (radius / Math.tan(Math.PI / 6)) + (4 / 3) * Math.PI * radius;
    const term = cut.terms.find(({ name }) => name === 'teardrop loop')?.length ?? 0;
    expect(term / round).toBeGreaterThan(0.95);
    expect(term / round).toBeLessThan(1.15);
  });
});

describe('a twisted net', () => {
  it('is three wires of 400 mm, all alike, and no other: their strands are the rope of the bail (common practice)', () => {
    const plan = planOf('twisted-net', { wire: roundWire(0.4), wires: 3, twists: 3, tail: 40 });
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([['net wire', 3]]);
    const [cut] = plan.cuts;
    if (!cut) throw new Error('it has wires');
    expect(cut.terms.map(({ name }) => name)).toEqual([
      '5 rows of mesh, both strands',
      '3 twists at each crossing',
      'over the tip to the rope',
      'rope of all strands: neck, loop and wraps',
      'handling tails',
    ]);
    expect(cutOf(cut)).toBeLessThanOrEqual(400);
    expect(netOf(cut)).toBeGreaterThan(400 / 2);
    // Each is folded at its middle.
    expect((cut.marks[0]?.at ?? 0) / cutOf(cut)).toBeCloseTo(0.5, 2);
  });

  it('climbs from crossing to crossing as on a roll of paper: √[(arc)² + rise²] on a point that hardly tapers', () => {
    const [d, across, long, rows, twists, wires] = [0.4, 12, 40, 4, 2, 3];
    const plan = planOf('twisted-net', { wire: roundWire(d), across, long, taper: 0.5, rows, twists, wires });
    const mesh = plan.cuts[0]?.terms.find(({ name }) => name.includes('of mesh'))?.length ?? 0;
    // The strands lie a thickness off the point; from one crossing they go half a mesh on to the next, less what both lie beside its middle.
    const round = Math.PI * (across + 2 * d);
    const high = (long - d) / (rows + 0.5);
    const rise = high - twists * 2 * d;
    const first = Math.hypot(round / wires / 2 - d / 2, rise);
    const further = Math.hypot(round / wires / 2 - d, rise);
    expect(mesh / (2 * (first + (rows - 1) * further))).toBeGreaterThan(0.985);
    expect(mesh / (2 * (first + (rows - 1) * further))).toBeLessThan(1.02);
    // A twist of two: √[(πd)² + lay²] a turn, two half-twists at each of four crossings on both strands.
    const twisted = plan.cuts[0]?.terms.find(({ name }) => name.includes('at each crossing'))?.length ?? 0;
    expect(twisted).toBeCloseTo(2 * rows * (twists / 2) * Math.hypot(Math.PI * d, 4 * d), 1);
  });

  it('takes its point in while it is open', () => {
    expect(planOf('twisted-net').order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'point before rope',
      'hang before shut',
    ]);
  });
});
