import { lengthOfPath, type Path } from '../geometry/path';
import { cutNamed, named, planFor, planOf, type Values } from '../../../tests/support/techniques';
import { expectOk } from '../result';
import { parseWeave } from '../weave/notation';
import { roundWire, squareWire } from '../parameter/parameter';
import { ringStart } from '../techniqueKit/ringStart';
import { minutesOfPlan, netOf, type Plan } from '../technique/technique';

/** Figures worked out by hand or numerically, apart from the code, two-sided: a wrong construction does not pass. */

const planned = (id: string, values: Values) => planFor(named(id), values);
const term = (plan: Plan, cut: string, name: RegExp): number =>
  cutNamed(plan, cut)
    .terms.filter((each) => name.test(each.name))
    .reduce((sum, { length }) => sum + length, 0);
const half = (width: number) => ({ profile: 'half-round' as const, width, height: width / 2 });

/** What a calliper reads over a path that lies in the plane: the widest between two parallel jaws, less nothing, with the wire. */
function calliper(path: Path, wire: number): number {
  let widest = 0;
  for (let angle = 0; angle < 180; angle += 1) {
    const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
    const along = path.map(({ x, y }) => x * c + y * s);
    widest = Math.max(widest, Math.max(...along) - Math.min(...along));
  }
  return widest + wire;
}

describe('bands and bails that wire is wound round', () => {
  it('a woven ring: its frame wires stand a weaving wire off the finger, and go round it less the gap for its cab', () => {
    const told = { inside: 17, base: roundWire(0.8), weaving: roundWire(0.3), cab: 6 };
    const plan = planOf('woven-band-ring', told);
    // Three wires of 0.8 with 0.3 between: a band of 3 mm.
    const begun = ringStart('woven-band-ring', 17, 3).begun.diameter;
    // The frame’s centre line lies d + D/2 off the finger; the gap is a chord of the cab and 1.7 wires on each side.
    const R = (begun + 2 * 0.3 + 0.8) / 2;
    const gap = 2 * Math.asin((3 + 1.7 * 0.8) / R);
    const round = term(plan, 'frame wire B', /round the finger/);
    expect(round).toBeCloseTo(R * (2 * Math.PI - gap), 6);
    // A AB BC C: four turns a repeat, 1.2 × 0.3 mm apart, which touch inside of the band, d/2 + D/2 nearer to the finger.
    const inner = (R - 0.55) * (2 * Math.PI - gap);
    const repeats = Math.floor((inner - 0.4) / (4 * 1.2 * 0.3));
    expect(cutNamed(plan, 'weaving wire').terms[0]?.name).toBe(`${repeats} repeats of A AB BC C`);
    const bare = Number(/whole repeats leave ([\d.]+) mm bare/.exec(plan.notes.join(' '))?.[1]);
    expect(repeats * 4 * 1.2 * 0.3 + bare).toBeCloseTo(inner, 2);
  });

  it('a bound band: its wires stand a binding’s height off the finger', () => {
    const values = { inside: 17, wire: squareWire(0.8), wires: 4 };
    const [thin, thick] = [0.6, 1.2].map((width) =>
      term(planOf('bound-band-ring', { ...values, binding: half(width) }), 'band wire', /round/),
    );
    // A binding of 0.6 mm half-round is 0.3 high, one of 1.2 is 0.6: the difference goes round twice over, 2π · 0.3.
    expect((thick ?? 0) - (thin ?? 0)).toBeCloseTo(2 * Math.PI * 0.3, 6);
  });

  it('a woven bail goes over its mandrel on its weaving wire', () => {
    const plan = planOf('woven-bail', { inside: 5, leg: 6, base: roundWire(0.8), weaving: roundWire(0.3) });
    // π(5 + 0.6 + 0.8)/2 + 12 = 22.05 mm.
    expect(netOf(cutNamed(plan, 'frame wire'))).toBeCloseTo(22.05, 2);
    expect(plan.notes[0]).toMatch(/22\.1 mm along the wires over the mandrel/);
  });
});

it('the neck of a folded bail is two rows of wires, not one of twice as many', () => {
  const plan = planOf('folded-bail', { wire: roundWire(0.8), wires: 3, binding: roundWire(0.3), wraps: 8 });
  // π(0.8 + 0.3) + 2 · 2 · 0.8 + 2 · 0.8 = 8.256 round, 0.3 on: 8.261 a wrap; in one row it would be 11.46.
  expect(term(plan, 'binding wire', /wraps/)).toBeCloseTo(8 * 8.2611, 2);
});

describe('wire that is not round', () => {
  it.each([
    // A band 0.5 high bent flat round 4 mm has its centre line 0.25 off: π · 4.5 a turn, 2 on.
    ['flat', { profile: 'flat', width: 2, height: 0.5 }, Math.hypot(Math.PI * 4.5, 2)],
    // The centroid of a half disc is 4r/3π = 0.424 of its height off the flat: π(4 + 2 · 0.424) a turn, 2 on.
    ['half-round', half(2), Math.hypot(Math.PI * (4 + 2 * (4 / (3 * Math.PI))), 2)],
    ['square', squareWire(1), Math.hypot(Math.PI * 5, 1)],
  ])(
    'jump rings of %s wire: bent over its height, wound beside one another with its width',
    (_, wire, each) => {
      const plan = planOf('jump-rings', { wire, inside: 4, rings: 10, bend: 0 });
      expect(netOf(cutNamed(plan, 'coil'))).toBeCloseTo(10 * each, 6);
    },
  );

  it('a coil on square wire goes round the square: 4s + πd with sharp corners', () => {
    const plan = planOf('coil', { core: squareWire(1), wire: roundWire(0.4), length: 20, open: 0 });
    expect(netOf(cutNamed(plan, 'coiled wire'))).toBeCloseTo(50 * Math.hypot(4 + Math.PI * 0.4, 0.4), 6);
  });
});

describe('small things', () => {
  it('the tip of a head pin is two thicknesses: twice the fold and half a turn', () => {
    const plan = planOf('head-pin', { wire: roundWire(0.8), fold: 3, bead: 8, loop: 3, trim: 1 });
    // 2 · 3 + π · 0.8/2 = 7.257; the bend for the loop is 8 mm of bead further on.
    expect(term(plan, 'pin wire', /tip/)).toBeCloseTo(7.2566, 3);
    expect(cutNamed(plan, 'pin wire').marks.map(({ at }) => Number(at.toFixed(2)))).toEqual([3.63, 15.26]);
    // Its fold lies half a thickness lower than it is bent at.
    const [pin = []] = cutNamed(plan, 'pin wire').drawn;
    expect(Math.max(...pin.map(({ y }) => y))).toBeCloseTo(3.4, 2);
  });

  it.each([
    ['flat-spiral', { wire: roundWire(1), across: 12, start: 1, gap: 0.3 }, 'spiral wire', 1, 12],
    ['flat-spiral', { wire: roundWire(0.8), across: 25, start: 3, gap: 0 }, 'spiral wire', 0.8, 25],
  ])('%s: a calliper over it reads what was asked', (id, values, cut, wire, across) => {
    const plan = planOf(id, { ...values, wire: roundWire(wire) });
    const widths = cutNamed(plan, cut)
      .drawn.filter((path) => path.length > 60)
      .map((path) => calliper(path, wire));
    expect(Math.min(...widths.map((width) => Math.abs(width / across - 1)))).toBeLessThan(0.01);
  });

  it('a cap goes down the stem and the slant of its drop, turn on turn', () => {
    // A drop of 8 mm, 11 long, tapers at 4 in 7: its hole, 3 across, lies 2.625 under its tip; the legs meet 3.5 above it. A cap 6 high goes
    // 0.875 down the stem and 5.125 down the drop: along the slant √(5.125² + 2.929²) = 5.903. In wire of 0.4 that are 2.19 + 14.76 turns;
    // the last ends seven twelfths of a turn on, beside the front: 16.58.
    const plan = planOf('briolette-cap', {
      wire: roundWire(0.4),
      long: 11,
      wide: 8,
      across: 3,
      above: 3.5,
      down: 6,
    });
    const [turns] = cutNamed(plan, 'hanging wire').terms.filter(({ name }) => name.endsWith('of the cap'));
    expect(turns?.name).toBe('16.6 turns of the cap');
    // Each turn at its radius: on the stem two legs' half widths and half of itself from the middle; on the drop, over a leg that lies
    // (D/2)(1 + sin φ) off the flank, square to it. Summed turn by turn.
    const [D, lean] = [0.4, Math.atan2(4, 7)];
    const legs = ((D / 2) * (1 + Math.sin(lean)) + D) / Math.cos(lean);
    const onStem = 0.875 / D;
    const onDrop = 16 + 7 / 12 - onStem;
    let length = onStem * Math.hypot(2 * Math.PI * legs, D);
    for (let step = 0; step < 10_000; step += 1) {
      const down = ((step + 0.5) / 10_000) * 5.125;
      length += Math.hypot(2 * Math.PI * ((down * 4) / 7 + legs) * onDrop, 5.125) / 10_000;
    }
    // What a turn grows from its beginning to its end makes it a little longer.
    expect((turns?.length ?? 0) / length).toBeGreaterThan(1);
    expect((turns?.length ?? 0) / length).toBeLessThan(1.008);
  });

  it('a bead bound on a frame takes the rise to its hole and down again', () => {
    const [D, d, bead] = [1, 0.3, 3];
    const plan = planOf('bound-beads', { base: roundWire(D), wire: roundWire(d), bead, wraps: 3, along: 40 });
    const beads = plan.parts[0]?.count ?? 0;
    // Numerically: from the hole’s axis straight to where the line touches the circle the wraps run on, against the arc it spares.
    const [r, h] = [(D + d) / 2, (D + bead) / 2];
    let shortest = Infinity;
    for (let angle = 0; angle < Math.PI / 2; angle += 1e-5) {
      const [x, y] = [r * Math.sin(angle), r * Math.cos(angle)];
      // A line that would run through the circle is none that a wire can take.
      if (x * -x + y * (h - y) < 0) break;
      shortest = Math.min(shortest, Math.hypot(x, h - y) - r * angle);
    }
    const turn = Math.hypot(Math.PI * (D + d), d);
    const rises = netOf(cutNamed(plan, 'binding wire')) - (beads + 1) * 3 * turn - beads * bead;
    expect(rises / beads / (2 * shortest)).toBeGreaterThan(0.99);
    expect(rises / beads / (2 * shortest)).toBeLessThan(1.01);
  });

  it('a bead that the wire goes through twice takes the way back round it, too', () => {
    const [d, bead] = [0.3, 3];
    const of = (through: string) =>
      planOf('bound-beads', { base: roundWire(1), wire: roundWire(d), bead, wraps: 3, along: 40, through });
    const beads = of('once').parts[0]?.count ?? 0;
    // Numerically: half a circle on which the middle of the wire lies, as many straight pieces, and the hole once more.
    const [radius, pieces] = [(bead + d) / 2, 10_000];
    const back = pieces * 2 * radius * Math.sin(Math.PI / (2 * pieces));
    const more = netOf(cutNamed(of('twice'), 'binding wire')) - netOf(cutNamed(of('once'), 'binding wire'));
    // Beside one another in the hole, and slanting over the bead from one to the other, it takes a little more.
    expect(more / beads / (back + bead)).toBeGreaterThan(1);
    expect(more / beads / (back + bead)).toBeLessThan(1.04);
  });

  it('a halo has as many beads as go round where they lie, outside the frame', () => {
    const stone = { outline: 'round', length: 20, width: 20, depth: 6, edge: 2 };
    const plan = planOf('bead-halo', { stone, frame: roundWire(1), wire: roundWire(0.3), bead: 3, wraps: 2 });
    // Holes on a circle of 20 + 2 · 0.3 + 2 · 1 + 3 = 25.6 mm: 80.42 / 3.6 = 22.3, where the frame alone, 67.86 round, would say 18.
    expect(plan.parts[0]?.count).toBe(22);
  });
});

describe('weaves', () => {
  const weaveOf = (text: string, values: Values = {}) =>
    planOf('straight-weave', { weave: expectOk(parseWeave(text)), length: 40, ...values });

  it('minutes follow the work, however the repeat is written', () => {
    const [once, twice] = [weaveOf('A3 AB2'), weaveOf('A3 AB2 A3 AB2')].map(
      (plan) => minutesOfPlan(plan) / netOf(cutNamed(plan, 'weaving wire')),
    );
    expect((once ?? 0) / (twice ?? 1)).toBeCloseTo(1, 1);
    const three = minutesOfPlan(weaveOf('A3 AB2', { length: 200 }));
    const apart = minutesOfPlan(weaveOf('A3 AB1 AB1', { length: 200 }));
    expect(three).toBeCloseTo(apart, 6);
  });

  it('to pass between wires that stand one wire apart costs nothing beyond the turns', () => {
    const [plain, passing] = [weaveOf('A3 AB2'), weaveOf('A3 / AB2 /')].map((plan) =>
      netOf(cutNamed(plan, 'weaving wire')),
    );
    expect(passing).toBeCloseTo(plain ?? 0, 9);
    for (const path of cutNamed(weaveOf('A3 / AB2 /'), 'weaving wire').drawn)
      expect(lengthOfPath(path)).toBeGreaterThan(0);
  });

  it('figure-eights want more on the outside of a curve too, and nothing goes more than once round', () => {
    const curved = { inner: 10, length: 40, base: roundWire(0.8), weaving: roundWire(0.3) };
    const eights = planOf('curved-weave', { ...curved, weave: expectOk(parseWeave('A~B')) });
    // Two wires 0.3 apart: the outer line is (10.4 + 1.1)/10.4 as long; 66 eights of 0.6 mm are 132 turns on A, 14 more.
    expect(cutNamed(eights, 'weaving wire').terms[0]?.name).toMatch(/ of A~B, 14 wraps more on A$/);
    const round = planned('curved-weave', { ...curved, inner: 6 });
    expect(round.ok ? '' : round.error).toMatch(/goes 4\d\d° round; 360°, 37\.7 mm, is the most/);
  });
});
