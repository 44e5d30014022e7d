import fc from 'fast-check';
import { termsOf } from '../../../tests/support/acts';
import { cutNamed, ga, named, planFor, planOf, type Values } from '../../../tests/support/techniques';
import { methodOf, startSize, type RingMethodId } from '../ring/drift';
import { diameterOfUs, ringOf } from '../ring/ringSize';
import { roundWire } from '../parameter/parameter';
import { cutOf, netOf, type Plan } from '../technique/technique';

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
