import { termsOf } from '../../../tests/support/acts';
import { expectSound } from '../../../tests/support/constructions';
import { cutNamed, ga, named, planFor, planOf } from '../../../tests/support/techniques';
import { aloneOf, BAND_THAT_PARTS } from '../../../tests/support/wholePieces';
import { lengthOfPath, type Vec3 } from '../geometry/path';
import { keptOf } from '../piece/kept';
import { diameterOfUs } from '../ring/ringSize';
import { cutOf, netOf, type Plan, type PlannedCut } from '../technique/technique';

describe('G4, a spiral-head ring with a small cab', () => {
  const square = { profile: 'square', width: 0.812, height: 0.812 } as const;
  const plan = planOf('spiral-head-ring', {
    wire: square,
    weaving: ga(26),
    inside: diameterOfUs(9),
    cab: 10,
    depth: 4,
    edge: 1.5,
    bound: 7,
    corner: 5,
    scroll: 5,
  });

  it('is two wires alike and one that ties them, in nothing', () => {
    if (!plan.run) throw new Error('it is told by the ways of its wires');
    expectSound({ run: plan.run });
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['ring wire 1', 1],
      ['ring wire 2', 1],
      ['tying wire', 1],
    ]);
    const [first, second] = plan.cuts;
    expect(first && second && cutOf(first)).toBeCloseTo(second ? cutOf(second) : NaN, 6);
    // 305 of each are cut (common practice); the thin one is long to hold on to.
    for (const cut of plan.cuts.slice(0, 2)) {
      expect(cutOf(cut)).toBeLessThanOrEqual(305);
      expect(netOf(cut)).toBeGreaterThanOrEqual(305 / 2);
    }
    expect(cutOf(cutNamed(plan, 'tying wire'))).toBeLessThanOrEqual(610);
    expect(termsOf(cutNamed(plan, 'tying wire')).filter((term) => !term.startsWith('way to'))).toEqual([
      '7 turns about the middle',
      'one turn on each pair',
      'tie over all of them',
      '5 turns at each corner',
      'handling tails',
    ]);
  });

  it('both upper ends lie on the shoulder of the cab, so that it does not come out', () => {
    const [kept] = plan.run ? keptOf(plan.run) : [];
    expect(kept?.front.openArc).toBeLessThan(120);
    expect(kept?.front.overlap).toBeGreaterThan(0.6);
    expect(kept?.front.overlap).toBeLessThan(0.6 + 0.812);
  });

  it('is made with three turns about the middle and up: each half of the tie has a turn there', () => {
    for (const bound of [3, 4, 15])
      expect(termsOf(cutNamed(planOf('spiral-head-ring', { bound }), 'tying wire'))).toContain(
        `${bound} turns about the middle`,
      );
    const { bound } = named('spiral-head-ring').parameters;
    expect(bound?.kind === 'count' && bound.from).toBe(3);
  });

  it('each half of the tie goes about the other side’s pair alone, between it and its own', () => {
    const tie = plan.run?.wires.find(({ wire }) => wire.id === 'tie');
    for (const [hand, sense] of [
      [tie?.first, -1],
      [tie?.second, 1],
    ] as const) {
      const path = hand?.find(({ name }) => name === 'one turn on each pair')?.path ?? [];
      const across = path.map(({ z }) => sense * z);
      // From hardly beyond the middle, between the pairs, to outside of the outer one of the other hand’s.
      expect(Math.min(...across)).toBeLessThan(0.812 / 4);
      expect(Math.min(...across)).toBeGreaterThan(-0.1);
      expect(Math.max(...across)).toBeGreaterThan(2 * 0.812);
      for (const { x } of path) expect(sense * x).toBeLessThan(0);
      // Two square wires side by side: it lies on their hull, 2(0.812 + 2 × 0.812) + π × 0.405, and moves on a little.
      const hull = 2 * (0.812 + 2 * 0.812) + Math.PI * ga(26).width;
      expect(lengthOfPath(path) / hull).toBeGreaterThan(1);
      expect(lengthOfPath(path) / hull).toBeLessThan(1.05);
    }
  });

  it('each side’s pair goes once round: four bands lie side by side at the back', () => {
    const back = (plan.run?.wires ?? []).flatMap(({ path }) =>
      path.flatMap(({ x, y, z }, index) => {
        const before = path[index - 1];
        return before && y > 5 && before.x * x <= 0 && before.x !== x ? [z / 0.812] : [];
      }),
    );
    expect(back.sort((a, b) => a - b).map((z) => Math.round(z * 1.9) / 2)).toEqual([-1.5, -0.5, 0.5, 1.5]);
  });

  it('its ends are one side’s turned half about the upright, and nothing is trimmed before the size stands', () => {
    const [one, other] = plan.run?.wires ?? [];
    const [from, to] = [one?.path[0], other?.path.at(-1)];
    expect(from && to && Math.hypot(from.x + to.x, from.y - to.y, from.z + to.z)).toBeLessThan(0.05);
    expect(plan.order).toContainEqual({
      first: 'size',
      then: 'trim',
      why: 'nothing is trimmed before size and profile stand',
    });
  });
});

describe('G5, a woven ring of three wires with a seat', () => {
  const told = {
    base: ga(20),
    weaving: ga(28),
    inside: diameterOfUs(7),
    cab: 6,
    depth: 3,
    edge: 1.2,
    scroll: 5,
  };
  const plan = planOf('woven-band-ring', told);
  const lengthsOf = (name: string) =>
    cutNamed(plan, name).terms.map((term) => [term.name, term.length] as const);

  it('is three wires of at most 152 and one thin one, in nothing', () => {
    if (!plan.run) throw new Error('it is told by the ways of its wires');
    expectSound({ run: plan.run });
    expect(plan.cuts.map(({ name }) => name)).toEqual([
      'frame wire A',
      'frame wire B',
      'frame wire C',
      'weaving wire',
      'weaving wire of a wall',
    ]);
    for (const cut of plan.cuts.slice(0, 3)) {
      expect(cutOf(cut)).toBeLessThanOrEqual(152);
      expect(netOf(cut)).toBeGreaterThanOrEqual(152 / 2);
    }
  });

  it('one end of each outer wire crosses the gap, the other lies in a wall and is led down; both middle ones go over the edge and curl', () => {
    const names = (name: string) => lengthsOf(name).map(([term]) => term);
    for (const outer of ['frame wire A', 'frame wire C']) {
      expect(names(outer)).toEqual(
        expect.arrayContaining(['across the gap', 'in the wall round the cab', 'down to the band']),
      );
      expect(names(outer)).not.toContain('scroll');
    }
    expect(names('frame wire B')).toEqual(
      expect.arrayContaining(['in the wall round the cab', 'over the edge of the cab', 'scroll']),
    );
    expect(names('frame wire B')).not.toContain('across the gap');
  });

  it('its walls stand one wire above the other along both halves of the cab, a weaving wire off it', () => {
    const cab = plan.run?.bodies.find(({ id }) => id === 'cab')?.pose.at;
    const wallOf = (wire: string, side: 'first' | 'second') =>
      plan.run?.wires
        .find((each) => each.wire.id === wire)
        ?.[side].find(({ course }) => course?.id === 'wall')?.path ?? [];
    // Of both in the front half: the lower one, an outer wire, and the upper one, the middle wire.
    const [lower, upper] = [wallOf('frame 0', 'first'), wallOf('frame 1', 'first')];
    for (const line of [lower, upper]) {
      for (const { x, z } of line) expect(Math.hypot(x, z)).toBeCloseTo(3 + 0.321 + 0.406, 1);
      expect(Math.min(...line.map(({ z }) => z))).toBeGreaterThan(0);
      // From the left of the cab to its right.
      expect(line[0]?.x).toBeLessThan(-3);
      expect(line.at(-1)?.x).toBeGreaterThan(3);
    }
    const [low, high] = [lower, upper].map((line) => (cab?.y ?? NaN) - (line.at(-1)?.y ?? NaN));
    // Wraps pass between them; the upper one lies about as high as the edge.
    expect((high ?? NaN) - (low ?? NaN)).toBeCloseTo(0.812 + 0.321, 2);
    expect(Math.abs((high ?? NaN) - 1.2)).toBeLessThan(0.406);
    // The other half is the same, turned half round.
    const back = wallOf('frame 1', 'second');
    for (const [index, { x, y, z }] of upper.entries()) {
      expect(back[index]?.x).toBeCloseTo(-x, 6);
      expect(back[index]?.y).toBeCloseTo(y, 6);
      expect(back[index]?.z).toBeCloseTo(-z, 6);
    }
  });

  it('each wall is woven 3 and 2 from where it is bent to where it ends: five repeats, where flat six would go', () => {
    const { count, terms } = cutNamed(plan, 'weaving wire of a wall');
    expect(count).toBe(2);
    // Six are common practice; on half of a cab of 6 mm, inside of the bend, five touch one another.
    expect(terms[0]?.name).toBe('5 repeats of A3 AB2');
    const line = plan.run?.wires.find(({ wire }) => wire.id === 'frame 0')?.first;
    const long = line?.find(({ course }) => course?.id === 'wall')?.length ?? NaN;
    expect(long / (5 * 0.321)).toBeGreaterThan(6);
    // Each repeat flat: three wraps on one wire, two on both, √[round² + 0.321²] each; up to a tenth more outside of the bend.
    const one = Math.hypot(Math.PI * (0.812 + 0.321), 0.321);
    const both = Math.hypot(2 * (0.812 + 0.321) + Math.PI * (0.812 + 0.321), 0.321);
    const flat = 5 * (3 * one + 2 * both);
    expect(terms[0]?.length ?? NaN).toBeGreaterThan(0.995 * flat);
    expect(terms[0]?.length ?? NaN).toBeLessThan(1.1 * flat);
  });

  it('both upper ends are coiled over the edge, 100 to 170 of thin wire together, and their scrolls are bare (common practice)', () => {
    const { count, terms } = cutNamed(plan, 'weaving wire of a wall');
    const coil = terms[1];
    expect(coil?.name).toMatch(/^\d+ wraps on an outer end$/);
    expect(count * (coil?.length ?? 0)).toBeGreaterThan(100);
    expect(count * (coil?.length ?? 0)).toBeLessThan(170);
    // Each wrap is once round wire and thin wire: √[(π(0.812 + 0.321))² + 0.321²], a little more where it is bent.
    const wraps = Number(/^\d+/.exec(coil?.name ?? '')?.[0]);
    const straight = Math.hypot(Math.PI * (0.812 + 0.321), 0.321);
    expect((coil?.length ?? 0) / wraps / straight).toBeGreaterThan(0.995);
    expect((coil?.length ?? 0) / wraps / straight).toBeLessThan(1.03);
    const scroll = plan.run?.wires.find(({ wire }) => wire.id === 'frame 1')?.first.at(-1);
    const thin = plan.run?.wires.find(({ wire }) => wire.id === 'wall 1')?.path ?? [];
    const end = scroll?.path.at(-1);
    expect(
      Math.min(
        ...thin.map(({ x, y, z }) =>
          Math.hypot(x - (end?.x ?? NaN), y - (end?.y ?? NaN), z - (end?.z ?? NaN)),
        ),
      ),
    ).toBeGreaterThan(0.812);
  });

  it('both upper ends come over the edge of the cab, so that it does not come out in front', () => {
    const [kept] = plan.run ? keptOf(plan.run) : [];
    expect(kept?.front.openArc).toBeLessThan(120);
    expect(kept?.front.overlap).toBeGreaterThan(0.6);
    // Without it nothing lies over its face.
    const [bare] = keptOf(planOf('woven-band-ring', { ...told, reach: 0 }).run as NonNullable<Plan['run']>);
    expect(bare?.front.overlap ?? 0).toBeLessThan(kept?.front.overlap ?? 0);
  });

  it('the seat takes a part of the tail of 230 to 250 that is kept for it', () => {
    const seat = lengthsOf('weaving wire').find(([term]) => /^\d+ wraps over the gap/.test(term))?.[1] ?? 0;
    expect(seat).toBeGreaterThan(240 / 3);
    expect(seat).toBeLessThan(250);
  });
});

describe('G6, a figure-eight band that holds a teardrop', () => {
  const plan = aloneOf(BAND_THAT_PARTS);
  const [lower, upper, thin] = ['lower ring wire', 'upper ring wire', 'weaving wire'].map((name) =>
    cutNamed(plan, name),
  ) as [PlannedCut, PlannedCut, PlannedCut];
  const lengthOf = (cut: PlannedCut, name: RegExp) =>
    cut.terms.find((term) => name.test(term.name))?.length ?? NaN;
  const linesOf = (wire: string, name: string) => {
    const run = plan.run?.wires.find((each) => each.wire.id === wire);
    return (['first', 'second'] as const).map(
      (side) => run?.[side].filter((course) => course.name === name).flatMap(({ path }) => path) ?? [],
    );
  };

  it('is two wires of at most 254 and one thin one of at most 660, in nothing', () => {
    if (!plan.run) throw new Error('it is told by the ways of its wires');
    expectSound({ run: plan.run });
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['lower ring wire', 1],
      ['upper ring wire', 1],
      ['weaving wire', 1],
    ]);
    for (const cut of [lower, upper]) {
      expect(cutOf(cut)).toBeLessThanOrEqual(254);
      expect(netOf(cut)).toBeGreaterThanOrEqual(254 / 2);
    }
    expect(cutOf(thin)).toBeLessThanOrEqual(660);
    expect(netOf(thin)).toBeGreaterThanOrEqual(660 / 2);
  });

  it('its thin wire is hooked on at its fold within 90 of an end, and goes not all the way round', () => {
    const hooked = [lower, upper].map(({ marks }) => marks.find(({ what }) => /^hook/.test(what))?.at ?? NaN);
    for (const at of hooked) {
      expect(at).toBeGreaterThan(90 / 2);
      expect(at).toBeLessThan(90);
    }
    // Both halves are there, and as many figure-eights of each: half of what both wires go round, less the gap.
    const [, eights = ''] = /^(\d+) figure-eights$/.exec(thin.terms[0]?.name ?? '') ?? [];
    expect(Number(eights) % 2).toBe(0);
    const around = Math.PI * (diameterOfUs(7) + 2 * ga(26).width + ga(20).width);
    const woven = lengthOf(lower, /round the finger/);
    expect(woven).toBeGreaterThan(0.6 * around);
    expect(woven).toBeLessThan(around - 12);
  });

  it('each figure-eight is a crossed belt over both wires (handbook 5), unrolled with as far as it moves on', () => {
    const [, eights = ''] = /^(\d+) figure-eights$/.exec(thin.terms[0]?.name ?? '') ?? [];
    const [D, d] = [ga(20).width, ga(26).width];
    // Where they cross they touch: c = D + d = 2r, the belt is twice round a circle of that radius.
    const belt = 2 * Math.PI * (D + d);
    const apart = lengthOf(lower, /round the finger/) / (Number(eights) / 2);
    expect(thin.terms[0]?.length).toBeGreaterThan(0.98 * Number(eights) * belt);
    expect(thin.terms[0]?.length).toBeLessThan(1.02 * Number(eights) * Math.hypot(belt, apart));
  });

  it('lower ends lie on both sides of the tip, upper ones outside, go once round them, and in over it', () => {
    expect(termsOf(lower)).toEqual([
      'round the finger at the starting size',
      'up beside the stone',
      'beside the tip',
      'round, away from the tip',
      'down through the band',
      'loop, pointing at the stone',
      'tails',
    ]);
    expect(termsOf(upper)).toEqual([
      'round the finger at the starting size',
      'up beside the stone',
      'outside of the lower one',
      'once round the lower one',
      'in over the tip',
      'side by side, and apart again',
      'down through the band',
      'loop, pointing at the stone',
      'tails',
    ]);
    // The tip is towards the eye: beside it the left ends are left of it, the upper ones farther out.
    const outermost = (path: readonly Vec3[]) => Math.max(...path.map(({ x }) => Math.abs(x)));
    const [inLeft = [], inRight = []] = linesOf('lower', 'beside the tip');
    const [outLeft = [], outRight = []] = linesOf('upper', 'outside of the lower one');
    expect(Math.max(...inLeft.map(({ x }) => x))).toBeLessThan(0);
    expect(Math.min(...inRight.map(({ x }) => x))).toBeGreaterThan(0);
    expect(outermost(outLeft)).toBeGreaterThan(outermost(inLeft) + ga(20).width);
    expect(outermost(outRight)).toBeGreaterThan(outermost(inRight) + ga(20).width);
    // Once round and on to its inside are one and a half turns of π(2 × 0.812), twice: 15.3, and the ways there and along.
    const turns = 2 * 1.5 * Math.PI * 2 * ga(20).width;
    expect(lengthOf(upper, /once round/)).toBeGreaterThan(turns);
    expect(lengthOf(upper, /once round/)).toBeLessThan(1.5 * turns);
  });

  it('a short weave between the upper ends: they come within a thickness of the thin wire, and part again', () => {
    const [left = [], right = []] = linesOf('upper', 'side by side, and apart again');
    const between = left.map(({ x }, index) => (right[index]?.x ?? NaN) - x);
    expect(Math.min(...between)).toBeCloseTo(ga(20).width + ga(26).width, 6);
    expect(between.at(-1)).toBeGreaterThan(5);
    expect(thin.terms.map(({ name }) => name)).toContain('3 figure-eights over the tip: a heart');
  });

  it('leaves the finger free: nothing of it comes nearer than the size that it is begun at', () => {
    const nearest = (plan.run?.wires ?? []).map(
      ({ wire, path }) => 2 * Math.min(...path.map(({ x, y }) => Math.hypot(x, y))) - wire.size.width,
    );
    expect(Math.abs(Math.min(...nearest) - diameterOfUs(7))).toBeLessThan(0.1);
  });

  it('is woven flat, joined before its stone, and all ends are closed last', () => {
    expect(plan.order.map(({ first, then }) => `${first} < ${then}`)).toEqual([
      'weave < bend',
      'join < stone',
      'stone < lower',
      'lower < upper',
      'upper < heart',
      'apart < close',
    ]);
  });

  it.each([
    [
      { stone: { outline: 'oval', length: 14, width: 11, depth: 4, edge: 1.5 } },
      /holds a teardrop.*oval, 14 mm by 11 mm, is given/,
    ],
    [{ stone: { outline: 'teardrop', length: 24, width: 18, depth: 4, edge: 1.5 } }, /18 mm is too wide/],
    [
      { stone: { outline: 'teardrop', length: 9, width: 6, depth: 3, edge: 1.5 } },
      /0\.81 mm is too thick.*6 mm/,
    ],
    [{ loop: 4 }, /Loops of 4 mm.*2\.2 mm is the most/],
    [{ heart: 9 }, /9 figure-eights are .* there is room for 4\.67 mm/],
  ] as const)('refuses what cannot be made: %j', (values, why) => {
    const refused = planFor(named('figure-eight-ring'), values);
    expect(refused.ok ? '' : refused.error).toMatch(why);
  });
});
