import { pieceOf, termsOf, type Told } from '../../../tests/support/acts';
import { expectPractice, expectSound, soundPlan, termOf } from '../../../tests/support/constructions';
import { cutNamed, planOf } from '../../../tests/support/techniques';
import { aloneOf, DROP_CHANNEL, halfRound } from '../../../tests/support/wholePieces';
import { distance3 } from '../geometry/vec3';
import { roundWire } from '../parameter/parameter';
import { cutOf, netOf, type Plan } from '../technique/technique';

/** Common practice, constructions B1. */
describe('B1, a crescent in a round-wire outline with half-round bands', () => {
  const told: readonly Told[] = [
    [
      'frame',
      'band-frame',
      {
        stone: { outline: 'crescent', length: 46, width: 21, depth: 6, edge: 3 },
        wire: roundWire(1),
        band: halfRound(1),
        bandsEach: 3,
        turnsEach: 3,
        bail: 2,
      },
    ],
    [
      'bail',
      'straight-weave',
      {
        weave: {
          repeat: [
            { kind: 'wrap', first: 0, last: 0, wraps: 3 },
            { kind: 'wrap', first: 1, last: 1, wraps: 3 },
          ],
          close: [],
        },
        weaving: roundWire(0.4),
        length: 28,
        weavingTail: 40,
        tail: 120,
      },
      { frame: ['frame.left', 'frame.right'] },
    ],
    [
      'fold',
      'folded-bail',
      { wraps: 0, leg: 9, inside: 5, clear: 1, tail: 100 },
      { ends: ['bail.end 1', 'bail.end 2'] },
    ],
  ];
  const piece = pieceOf(told);

  it('is one round wire, a bail wire and six bands, none in another', () => {
    expect(piece.run.wires.map(({ wire }) => wire.name)).toEqual([
      'frame wire',
      ...[1, 2, 3, 1, 2, 3].map((band) => `band ${band}`),
      'weaving wire',
    ]);
    expectSound(piece);
  });

  it('cuts 380 to 460 of round wire, a single turn round the stone, and about 460 of half-round for three and three', () => {
    // Half of the 380 that are the least.
    expectPractice(piece, 'frame wire', 460, 190 / 460);
    const frame = piece.cuts.find(({ name }) => name === 'frame wire');
    expect(frame && termsOf(frame)).toEqual([
      'once round the stone',
      'bent upright over the balance point',
      'upright',
      'side by side',
      'two legs',
      'over the mandrel',
      'under the weave',
      'handling tails',
    ]);
    const bands = piece.cuts.filter(({ name }) => name.startsWith('band'));
    expect(bands.map(({ count }) => count)).toEqual([2, 2, 2]);
    for (const band of bands) {
      expect(cutOf(band)).toBeLessThanOrEqual(75);
      expect(netOf(band)).toBeGreaterThan(0.7 * 50);
      expect(termsOf(band)).toEqual([
        '6 turns on the rails',
        'over the face',
        'flat across the back',
        'handling tails',
      ]);
      // Three turns on each rail leave half a turn to each way across, and one closes it: of round wire as thick as its half disc lies off.
      const turn = Math.hypot(Math.PI * (1 + 2 * (4 / (3 * Math.PI)) * 0.5), 1);
      expect((band.terms[0]?.length ?? 0) / (5.75 * turn)).toBeGreaterThan(0.95);
      expect((band.terms[0]?.length ?? 0) / (5.75 * turn)).toBeLessThan(1.05);
    }
    expect(2 * bands.reduce((sum, band) => sum + cutOf(band), 0)).toBeLessThanOrEqual(460);
  });

  it('its uprights stand over the balance point, and its bands lie alike at both ends', () => {
    const [frame] = piece.run.wires;
    const top = (frame?.first ?? []).find(({ name }) => name === 'upright')?.path ?? [];
    const other = (frame?.second ?? []).find(({ name }) => name === 'upright')?.path ?? [];
    // A crescent that lies level is alike left and right of its balance point.
    expect(((top[0]?.x ?? 0) + (other[0]?.x ?? 0)) / 2).toBeCloseTo(0, 3);
    const [left, right] = [piece.run.wires[1], piece.run.wires[4]];
    for (const [index, point] of (left?.path ?? []).entries()) {
      const mirrored = right?.path[index];
      expect(mirrored && distance3({ ...point, x: -point.x }, mirrored)).toBeLessThan(0.02);
    }
  });

  it('has its stone in from the second band on, and the first can be made without it', () => {
    const plan = piece.plans['frame'] as Plan;
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'try before upright',
      'stone before bands',
    ]);
    expect(plan.steps.map(({ id }) => id).indexOf('first-band')).toBeLessThan(
      plan.steps.map(({ id }) => id).indexOf('stone'),
    );
  });
});

/** Common practice, constructions B2. */
describe('B2, a drilled bead in a kinked halo', () => {
  const plan = planOf('kinked-halo', { wire: roundWire(0.8), bead: 15, loop: 3.4, rounds: 5, tail: 30 });

  it('is a bead wire with two loops, and a halo of 355 to 380, of whose rest the bail is made', () => {
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['bead wire', 1],
      ['halo wire', 1],
      ['jump ring', 1],
    ]);
    soundPlan(plan);
    expectPractice(plan, 'halo wire', 380, 0.75);
    expect(termsOf(cutNamed(plan, 'bead wire'))).toEqual(['through the bead', 'two plain loops', 'trimmed']);
    expect(termsOf(cutNamed(plan, 'halo wire'))).toEqual([
      '5 rounds',
      'caught on the loops',
      'bail: folded double',
      'bail: two doubled loops',
      'bail: down in front',
      'bail: two spirals, mirrored',
      'trimmed',
    ]);
  });

  it('makes its bail of the rest: two strands once and a half round 4.5 mm, and spirals that mirror', () => {
    // A helix of a turn and a half at (4.5 + 0.8)/2 off its axis, of each strand.
    const turn = Math.hypot(Math.PI * (4.5 + 0.8), 2 * 0.8);
    expect(termOf(plan, 'halo wire', /doubled loops/) / (3 * turn)).toBeGreaterThan(0.99);
    expect(termOf(plan, 'halo wire', /doubled loops/) / (3 * turn)).toBeLessThan(1.01);
    const bail = plan.run?.wires.find(({ wire }) => wire.id === 'bail');
    const spiral = (side: 'first' | 'second') =>
      (bail?.[side] ?? []).find(({ name }) => name.includes('spirals'))?.path ?? [];
    expect(spiral('first').length).toBeGreaterThan(20);
    for (const [index, { x, y, z }] of spiral('first').entries()) {
      const other = spiral('second')[index];
      expect(other && distance3({ x: -x, y, z }, other)).toBeLessThan(1e-6);
    }
    // It is cut off behind the halo and its handling tails.
    const { marks } = cutNamed(plan, 'halo wire');
    const cutOff = marks.find(({ what }) => what.startsWith('cut off'))?.at ?? NaN;
    const ofHalo = ['5 rounds', 'caught on the loops'].map((name) => termOf(plan, 'halo wire', RegExp(name)));
    expect(cutOff).toBeCloseTo(
      ofHalo.reduce((sum, each) => sum + each, 2 * 30),
      6,
    );
    expect(() => planOf('kinked-halo', { ring: 2, wire: roundWire(0.8) })).toThrow(/jump ring of 2 mm/);
  });

  it('goes three times round on one side and twice on the other, with a gap to its bead', () => {
    const halo = plan.run?.wires.find(({ wire }) => wire.id === 'halo');
    const level = (halo?.first ?? [])
      .filter(({ course }) => course?.kind === 'free')
      .map(({ path }) => path.reduce((near, at) => (Math.abs(at.y) < Math.abs(near.y) ? at : near)).x);
    expect(level.map(Math.sign)).toEqual([1, -1, 1, -1, 1]);
    // Nowhere nearer to the bead than its gap of 1.5 mm, less what it is kinked in by.
    const near = Math.min(...(halo?.path ?? []).map(({ x, y }) => Math.hypot(x, y)));
    expect(near).toBeGreaterThan(7.5 + 1.5 - 0.5);
    // Kinked it is longer than plain, by a twentieth at least.
    const plain = planOf('kinked-halo', {
      wire: roundWire(0.8),
      bead: 15,
      loop: 3.4,
      rounds: 5,
      kink: 0,
      gap: 2,
    });
    expect(termOf(plan, 'halo wire', /rounds/) / termOf(plain, 'halo wire', /rounds/)).toBeGreaterThan(1.05);
  });

  it('has its bead on before the last loop, its loops hammered before wire lies in them, and is kinked last', () => {
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'thread-bead before last-loop',
      'hammer before carry',
      'carry before kink',
      'carry before bail',
      'edge before hang',
    ]);
    expect(() => planOf('kinked-halo', { loop: 2, rounds: 5 })).toThrow(/has no room for that, 2.57 mm has/);
  });
});

/** Common practice, constructions B3. */
describe('B3, a channel of graded beads round a drop', () => {
  const plan = aloneOf(DROP_CHANNEL);

  it('is one frame wire of 240 and one lacing wire of 500, worked from their middles, a dangle and a bail', () => {
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['frame wire', 1],
      ['lacing wire', 1],
      ['dangle wire', 1],
      ['bail wire', 1],
    ]);
    expectPractice(plan, 'frame wire', 240);
    expectPractice(plan, 'lacing wire', 500);
    soundPlan(plan);
    for (const cut of plan.cuts.slice(0, 2)) {
      const [middle] = cut.marks.filter(({ what }) => /middle|folded in half/.test(what));
      expect((middle?.at ?? 0) / cutOf(cut)).toBeCloseTo(0.5, 2);
    }
  });

  it('laces eight and eight beads of 3 mm with about two thirds of the 500', () => {
    expect(netOf(cutNamed(plan, 'lacing wire'))).toBeGreaterThan(0.6 * 500);
    expect(netOf(cutNamed(plan, 'lacing wire'))).toBeLessThan(0.75 * 500);
    expect(termsOf(cutNamed(plan, 'lacing wire'))).toEqual([
      'round the frame at the foot',
      'up through the drop',
      'way to 20 turns on the rails',
      '20 turns on the rails',
      'into the holes and out of them',
      'across the front, through 8 beads',
      'back behind the beads',
      'tails',
    ]);
    // Both halves go up through the drop, and each of the sixteen beads is gone through once.
    expect(termOf(plan, 'lacing wire', /through the drop/)).toBeCloseTo(2 * 22, 1);
    expect(termOf(plan, 'lacing wire', /through 8 beads/)).toBeCloseTo(16 * 3, 6);
  });

  it('has its drop threaded before its rails close, and all beads in before the ends meet', () => {
    expect(plan.order.map(({ first, then }) => `${first} before ${then}`)).toEqual([
      'thread-drop before lace',
      'count-out before lace',
      'ends before dangle',
      'lace before ends',
    ]);
    expect(plan.parts.map(({ count }) => count)).toEqual([1, 17, 5, 1]);
  });

  it('hangs a bead, a spacer and a small drop on a doubled wire, and takes about 20 for its horseshoe bail', () => {
    const dangle = cutNamed(plan, 'dangle wire');
    // Both strands go through all three; each through a spacer of its own, and two and a half times round its spiral.
    expect(termOf(plan, 'dangle wire', /bead, spacer and drop/)).toBeCloseTo(2 * (3 + 1.5 + 8), 6);
    expect(termOf(plan, 'dangle wire', /a spacer each/)).toBeCloseTo(2 * 1.5, 6);
    const turn = Math.hypot(Math.PI * (1 + 0.4), 0.4);
    expect(Math.abs(termOf(plan, 'dangle wire', /^5 turns/) / (5 * turn) - 1)).toBeLessThan(0.02);
    expect(cutOf(dangle)).toBeLessThan(120);
    const bail = cutOf(cutNamed(plan, 'bail wire'));
    expect(Math.abs(bail / 20 - 1)).toBeLessThan(0.2);
    // Hooked over both places where the frame turns back, alike left and right.
    const [left, right] = ['second', 'first'].map((side) => {
      const wire = plan.run?.wires.find(({ wire: { id } }) => id === 'horseshoe');
      return (wire?.[side as 'first'] ?? []).at(-1)?.path.at(-1);
    });
    expect(left && right && distance3({ ...left, x: -left.x }, right)).toBeLessThan(1e-6);
    expect(() => planOf('drop-channel', { spacerHole: 0.7, wire: roundWire(0.4) })).toThrow(
      /dangle is doubled/,
    );
  });

  it('both halves must pass the drop together', () => {
    expect(() => planOf('drop-channel', { wire: roundWire(0.8) })).toThrow(
      /Both halves of 0.8 mm .* less than 1.6 mm/,
    );
  });
});

/** Common practice, constructions B6. */
describe('B6, an open cradle with a hung capture', () => {
  const cradleOf = (across: number) =>
    planOf('cradle', {
      stone: { outline: 'round', length: across, width: across, depth: 8, edge: 4 },
      cradle: roundWire(1.6),
      wire: roundWire(0.8),
      binding: halfRound(1),
      gap: 13.5,
      turns: 5,
      crossing: 'cross, one over the face and one behind the back',
      curl: 5.4,
      tail: 8,
    });
  const plan = cradleOf(30);
  const captured = (of: Plan) => [1, 2, 3].map((wire) => cutNamed(of, `capture wire ${wire}`));

  it('is one heavy wire, three of the capture and two that bind them, in nothing', () => {
    soundPlan(plan);
    expect(plan.cuts.map(({ name }) => name)).toEqual([
      'frame wire',
      'capture wire 1',
      'capture wire 2',
      'capture wire 3',
      'binding wire',
      'binding wire',
    ]);
    // 254 to 305 of the heavy wire: an open round, its bail wound down on itself, a crook at the other end.
    const frame = cutNamed(plan, 'frame wire');
    expect(cutOf(frame)).toBeLessThanOrEqual(305);
    expect(cutOf(frame)).toBeGreaterThan(254);
    expect(termsOf(frame)).toEqual([
      'open round',
      'bent upright for the bail',
      'bail',
      '3 turns down its own frame',
      'crook loop',
      'handling tails',
    ]);
  });

  it('uses nearly all of the 400 of its foremost wire, the more the larger the stone', () => {
    const [front, , rear] = captured(plan);
    if (!front || !rear) throw new Error('it has a capture of three wires');
    for (const cut of captured(plan)) expect(cutOf(cut)).toBeLessThanOrEqual(400);
    expect(netOf(front)).toBeGreaterThanOrEqual(0.8 * 400 - 1);
    // The rear ends are wound round the frame and tucked, not curled.
    expect(termsOf(front)).toContain('curl');
    expect(termsOf(rear)).not.toContain('curl');
    const smaller = captured(cradleOf(24));
    for (const [index, cut] of captured(plan).entries())
      expect(netOf(cut)).toBeGreaterThan(netOf(smaller[index] ?? front));
  });

  it('both front ends take a turn on the frame and cross to the other side: one over the face, one behind the back', () => {
    const front = plan.run?.wires.find(({ wire }) => wire.name === 'capture wire 1');
    if (!front) throw new Error('it has a foremost wire');
    expect(termsOf(captured(plan)[0] ?? cutNamed(plan, 'frame wire'))).toEqual(
      expect.arrayContaining(['1 turn round the frame', 'across the face', 'behind the back']),
    );
    for (const [hand, name, isOver] of [
      [front.first, 'across the face', true],
      [front.second, 'behind the back', false],
    ] as const) {
      const path = hand.find((course) => course.name === name)?.path ?? [];
      const [begins, ends] = [path[0], path.at(-1)];
      if (!begins || !ends) throw new Error('it crosses');
      expect(begins.x * ends.x).toBeLessThan(0);
      // From frame to frame; where it lies over the stone it clears the wire that holds it there by that wire’s thickness.
      expect(Math.hypot(ends.x - begins.x, ends.y - begins.y)).toBeGreaterThan(48);
      const over = path.filter(({ x, y }) => Math.hypot(x, y) < 12);
      expect(over.length).toBeGreaterThan(4);
      for (const { z } of over) {
        if (isOver) expect(z).toBeGreaterThan(4 + 0.8 + 0.4);
        else expect(z).toBeLessThan(-0.8 - 0.4);
      }
    }
    // Where nothing crosses every end is wound and curled on its own side.
    const apart = planOf('cradle', { turns: 5 });
    expect(termsOf(cutNamed(apart, 'capture wire 1'))).not.toContain('across the face');
  });

  it('its hands cross at the top, one with all its wires before the other, and stand up as two rows of three', () => {
    const ends = (side: 'first' | 'second') =>
      (plan.run?.wires ?? [])
        .filter(({ wire }) => wire.name.startsWith('capture'))
        .map((each) => {
          const of = (name: string) => each[side].find((course) => course.name === name)?.path ?? [];
          return {
            begins: of('crossed at the top')[0],
            passes: of('crossed at the top').at(-1),
            stands: of('upright').at(-1),
          };
        });
    const [left, right] = [ends('first'), ends('second')];
    expect(left).toHaveLength(3);
    for (const { begins, stands } of left) {
      expect(begins?.x).toBeLessThan(0);
      expect(stands?.x).toBeCloseTo(0.8 * 0.53, 1);
    }
    for (const { begins, stands } of right) {
      expect(begins?.x).toBeGreaterThan(0);
      expect(stands?.x).toBeCloseTo(-0.8 * 0.53, 1);
    }
    // Exactly at the top centre, the rearmost of the one before the foremost of the other by a thickness at least.
    const before = Math.min(...left.map(({ passes }) => passes?.z ?? NaN));
    const behind = Math.max(...right.map(({ passes }) => passes?.z ?? NaN));
    expect(before - behind).toBeGreaterThan(0.8);
    for (const { passes } of [...left, ...right]) expect(passes?.x).toBeCloseTo(0, 6);
  });

  it('stands clear of its stone all round, its six ends fastened alike on both sides', () => {
    const frame = plan.run?.wires.find(({ wire }) => wire.id === 'frame');
    const round = frame?.first.find(({ name }) => name === 'open round');
    for (const { x, y } of round?.path ?? []) expect(Math.hypot(x, y)).toBeGreaterThan(15 + 10);
    for (const { wire, first, second } of plan.run?.wires ?? []) {
      if (!wire.name.startsWith('capture')) continue;
      const long = (hand: typeof first) => hand.reduce((sum, { length }) => sum + length, 0);
      expect([wire.name, Math.abs(long(first) / long(second) - 1) < 0.02]).toEqual([wire.name, true]);
    }
  });
});
