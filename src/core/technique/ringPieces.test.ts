import fc from 'fast-check';
import { ga, named, planFor, planOf, type Values } from '../../../tests/support/techniques';
import { keptOf } from '../piece/kept';
import { diameterOfUs } from '../ring/ringSize';
import { methodOf, startSize, type RingMethodId } from '../ring/drift';
import { ringOf } from '../ring/ringSize';
import { cutNamed } from '../../../tests/support/techniques';
import { roundWire } from './parameter';
import { lengthOfPath, type Vec3 } from '../geometry/path';
import { cutOf, netOf, type Plan, type PlannedCut } from './technique';
import { expectSound } from '../../../tests/support/constructions';
import { termsOf } from '../../../tests/support/acts';

/** The courses of a ring that go round the mandrel. */
const ROUND = /round the finger/;

/** The free inside of a ring’s rounds, mm: twice the least that their centre line comes to its axis, less the wire. */
function freeInside({ run }: Plan): number {
  const rounds = (run?.wires ?? []).flatMap(({ wire, first, second }) =>
    [...first, ...second].flatMap(({ name, path, course }) =>
      ROUND.test(name) && course?.kind === 'coiled' ? [{ path, thick: wire.size.width }] : [],
    ),
  );
  if (rounds.length === 0) throw new Error('nothing goes round the finger');
  return Math.min(
    ...rounds.map(({ path, thick }) => 2 * Math.min(...path.map(({ x, y }) => Math.hypot(x, y))) - thick),
  );
}

describe('a ring', () => {
  it.each(['bead-ring', 'herringbone-ring', 'coil-bezel-ring', 'spiral-head-ring'] as const)(
    '%s: its free inside is what was asked, less its drift, within 0.1 mm, whatever its size',
    (id: RingMethodId) => {
      fc.assert(
        fc.property(fc.integer({ min: 8, max: 48 }), fc.constantFrom(18, 20), (quarters, gauge) => {
          const us = quarters / 4;
          const planned = planFor(named(id), { inside: diameterOfUs(us), wire: ga(gauge) });
          if (!planned.ok) return;
          const wanted = startSize(ringOf(diameterOfUs(us)), methodOf(id).drift).diameter;
          expect(Math.abs(freeInside(planned.value) - wanted)).toBeLessThan(0.1);
        }),
        { numRuns: 15, endOnFailure: true },
      );
    },
  );
});

describe('G1, a bead ring', () => {
  const values: Values = { wire: ga(20), inside: diameterOfUs(7), bead: 8, swirls: 2, wraps: 3 };
  const plan = planOf('bead-ring', values);
  const cut = cutNamed(plan, 'ring wire');
  const termOf = (name: RegExp) => cut.terms.find((term) => name.test(term.name))?.length ?? NaN;

  it('is one wire, kinked on both sides of its bead at the exact middle', () => {
    expect(plan.cuts.map(({ count }) => count)).toEqual([1]);
    expect(termsOf(cut)).toEqual([
      'through the bead',
      'kinked beside the bead',
      'round the finger at the starting size',
      '3 wraps up each side of the shank',
      'round the foot of the bead',
      'handling tails',
    ]);
    const at = (what: RegExp) => cut.marks.find((mark) => what.test(mark.what))?.at ?? NaN;
    expect(at(/sits here/)).toBeCloseTo(cutOf(cut) / 2, 6);
    expect(at(/bead ends/) - at(/bead begins/)).toBeCloseTo(8, 6);
  });

  it('goes round the mandrel one and a half times with each end, and up to its wraps: four wires lie at the back', () => {
    // A size over US 7 is 17.3 + 0.81 = 18.16 mm: a round of its middle is π(18.16 + 0.812) = 59.6.
    const round = Math.PI * (diameterOfUs(8) + 0.812);
    expect(termOf(/round the finger/)).toBeGreaterThan(2 * 1.5 * round);
    expect(termOf(/round the finger/)).toBeLessThan(2 * 2 * round);
    const back = plan.run?.wires.flatMap(({ path }) =>
      path.flatMap(({ x, y, z }, index) => {
        const before = path[index - 1];
        return before && y > 5 && before.x * x <= 0 && before.x !== x ? [z / 0.812] : [];
      }),
    );
    expect((back ?? []).sort((a, b) => a - b).map((z) => Math.round(z * 2) / 2)).toEqual([
      -1.5, -0.5, 0.5, 1.5,
    ]);
  });

  it('winds three turns up each side about three wires, and its foot outside of the kinks', () => {
    // About three wires side by side: a hull of 2 · 2D and π · 2D round it.
    const wrap = Math.hypot(4 * 0.812 + 2 * Math.PI * 0.812, 0.812);
    expect(termOf(/wraps up/) / (6 * wrap)).toBeGreaterThan(0.97);
    expect(termOf(/wraps up/) / (6 * wrap)).toBeLessThan(1.15);
    // Two turns on a circle of 8 + 3D, and the way up to them from the shank.
    const foot = 2 * Math.PI * (8 + 3 * 0.812);
    expect(termOf(/foot of the bead/)).toBeGreaterThan(foot);
    expect(termOf(/foot of the bead/)).toBeLessThan(foot + 20);
  });

  it('is read before its shank is wound, and its bead is threaded before all', () => {
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'thread-bead before wrap',
      'read before shank',
    ]);
  });
});

describe('G2, a herringbone bead ring', () => {
  const ringOfSize = (us: number) =>
    planOf('herringbone-ring', {
      wire: ga(20),
      weaving: ga(26),
      inside: diameterOfUs(us),
      bead: 8,
      layers: 6,
    });
  const plan = ringOfSize(10);
  const [shank, weaving] = [cutNamed(plan, 'shank wire'), cutNamed(plan, 'weaving wire')];

  it('is a shank of 254 that reaches US 10 to 12, no more, and thin wire of its own (common practice)', () => {
    expect(plan.cuts.map(({ count }) => count)).toEqual([1, 1]);
    expect(cutOf(shank)).toBeLessThanOrEqual(254);
    expect(netOf(shank)).toBeGreaterThan(127);
    expect(cutOf(cutNamed(ringOfSize(13), 'shank wire'))).toBeGreaterThan(254);
    expect(termsOf(shank)).toEqual([
      'through the bead',
      'under the layers',
      'once round the finger with each end',
      '3 wraps of each end beside the weave',
      'handling tails',
    ]);
  });

  it('takes about 260 of thin wire for six layers on 8 mm (common practice)', () => {
    expect(netOf(weaving)).toBeLessThan(260 * 1.06);
    expect(netOf(weaving)).toBeGreaterThan(260 * 0.8);
    // A wrap on each side of every layer: √[(π(D + d))² + d²], twelve of them.
    const wraps = weaving.terms.find(({ name }) => name.startsWith('a wrap'))?.length ?? 0;
    expect(wraps / (12 * Math.hypot(Math.PI * (0.812 + 0.405), 0.405))).toBeCloseTo(1, 2);
  });

  it('is limited by the depth of its bead', () => {
    const told = planFor(named('herringbone-ring'), { bead: 4, layers: 12 });
    expect(told.ok ? '' : told.error).toMatch(
      /12 layers of 0.41 mm do not lie under one another .* 4 mm; \d+ do/,
    );
  });
});

describe('G3, a coil-bezel ring with a drilled coin', () => {
  const plan = planOf('coil-bezel-ring', {
    wire: ga(20),
    tying: ga(26),
    inside: diameterOfUs(8),
    stone: 10,
    thick: 3,
    tieTail: 40,
  });
  const [ring, tie] = [cutNamed(plan, 'ring wire'), cutNamed(plan, 'tying wire')];

  it('is 610 of 20 ga, begun at its centre, and 150 of 26 ga (common practice)', () => {
    expect(plan.cuts.map(({ count }) => count)).toEqual([1, 1]);
    expect(cutOf(ring)).toBeLessThanOrEqual(610);
    expect(netOf(ring)).toBeGreaterThan(610 / 2);
    expect(cutOf(tie)).toBeLessThanOrEqual(150);
    expect(netOf(tie)).toBeGreaterThan(150 / 4);
    expect(termsOf(ring)).toEqual([
      'one and a half turns of the bezel',
      'down from the bezel',
      'round the finger at the starting size',
      '3 wraps up each side of the shank',
      'handling tails',
    ]);
    // One millimetre wider than the coin: 1.5 turns of √[(π(10 + 1 + 0.812))² + 0.812²].
    expect(ring.terms[0]?.length).toBeCloseTo(1.5 * Math.hypot(Math.PI * 11.812, 0.812), 1);
  });

  it('is sized before its coin is laid in, and its coin is tied last', () => {
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'size before stone',
      'seat before stone',
      'stone before tie',
    ]);
  });

  it('is refused where both ends of the tie do not go down between coin and bezel', () => {
    const told = planFor(named('coil-bezel-ring'), { over: 0.5, tying: roundWire(0.6) });
    expect(told.ok ? '' : told.error).toMatch(/0.5 mm larger both ends of 0.6 mm do not go down/);
  });
});

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
      'coiling wire',
    ]);
    for (const cut of plan.cuts.slice(0, 3)) {
      expect(cutOf(cut)).toBeLessThanOrEqual(152);
      expect(netOf(cut)).toBeGreaterThanOrEqual(152 / 2);
    }
  });

  it('one end of each outer wire crosses the gap, the other curls beside the cab, both middle ones go round it', () => {
    const names = (name: string) => lengthsOf(name).map(([term]) => term);
    for (const outer of ['frame wire A', 'frame wire C']) {
      expect(names(outer)).toEqual(expect.arrayContaining(['across the gap', 'beside the cab', 'scroll']));
      expect(names(outer)).not.toContain('round the cab');
    }
    expect(names('frame wire B')).toEqual(
      expect.arrayContaining(['up at the gap', 'round the cab', 'down to the band']),
    );
    // Both together nearly all round it, 292° of π(6 + 0.812), and the short ways there.
    const roundOf = (made: Plan) =>
      cutNamed(made, 'frame wire B').terms.find(({ name }) => name === 'round the cab')?.length ?? NaN;
    const alone = ((2 * 146) / 360) * Math.PI * (6 + ga(20).width);
    const beside = roundOf(planOf('woven-band-ring', { ...told, reach: 0 }));
    expect(beside).toBeGreaterThan(alone);
    expect(beside).toBeLessThan(1.2 * alone);
    // Over the edge each goes up and down again by about what its face is high there over half the edge.
    expect(roundOf(plan) - beside).toBeGreaterThan(2);
    expect(roundOf(plan) - beside).toBeLessThan(2 * 2 * 3);
  });

  it('both outer ends are coiled beside the cab, 100 to 170 of thin wire together, and their scrolls are bare (common practice)', () => {
    const { count, terms } = cutNamed(plan, 'coiling wire');
    expect(count).toBe(2);
    const [coil] = terms;
    expect(coil?.name).toMatch(/^\d+ wraps on an outer end$/);
    expect(count * (coil?.length ?? 0)).toBeGreaterThan(100);
    expect(count * (coil?.length ?? 0)).toBeLessThan(170);
    // Each wrap is once round wire and thin wire: √[(π(0.812 + 0.321))² + 0.321²], a little more where it is bent.
    const wraps = Number(/^\d+/.exec(coil?.name ?? '')?.[0]);
    const straight = Math.hypot(Math.PI * (0.812 + 0.321), 0.321);
    expect((coil?.length ?? 0) / wraps / straight).toBeGreaterThan(0.995);
    expect((coil?.length ?? 0) / wraps / straight).toBeLessThan(1.03);
  });

  it('both middle ends come over the edge of the cab, so that it does not come out in front', () => {
    const [kept] = plan.run ? keptOf(plan.run) : [];
    expect(kept?.front.openArc).toBeLessThan(120);
    expect(kept?.front.overlap).toBeGreaterThan(0.6);
  });

  it('the seat takes a part of the tail of 230 to 250 that is kept for it', () => {
    const seat = lengthsOf('weaving wire').find(([term]) => /^\d+ wraps over the gap/.test(term))?.[1] ?? 0;
    expect(seat).toBeGreaterThan(240 / 3);
    expect(seat).toBeLessThan(250);
  });
});

describe('G6, a figure-eight band that holds a teardrop', () => {
  const plan = planOf('figure-eight-ring', {
    wire: ga(20),
    weaving: ga(26),
    inside: diameterOfUs(7),
    stone: { outline: 'teardrop', length: 17, width: 12, depth: 4.5, edge: 1.8 },
  });
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
