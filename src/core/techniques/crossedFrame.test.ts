import { pieceOf, type Told } from '../../../tests/support/acts';
import { expectPractice, expectSound } from '../../../tests/support/constructions';
import { cutNamed, ga } from '../../../tests/support/techniques';
import { roundWire } from '../parameter/parameter';

/** Common practice, constructions A3 and F: a weave that goes on until it meets, centred on its wires so that both ends are alike. */
describe('a frame woven all round a marquise', () => {
  const marquise = { outline: 'marquise', length: 26, width: 13, depth: 5, edge: 2.5 } as const;
  const piece = pieceOf([
    [
      'foot',
      'weave-round',
      { stone: marquise, base: roundWire(0.812), weaving: roundWire(0.405), tail: 20, weavingTail: 60 },
    ],
    [
      'frame',
      'bundle-frame',
      { stone: marquise, bound: 0, bail: 4, reach: 0, holds: 2, tail: 40 },
      { frame: ['foot.wire 1', 'foot.wire 2', 'foot.wire 3'] },
    ],
  ]);

  it('is three wires of 254 and one weaving wire of whole repeats', () => {
    expect(piece.run.wires.map(({ wire }) => wire.name)).toEqual([
      'frame wire 1',
      'frame wire 2',
      'frame wire 3',
      'weaving wire',
    ]);
    // Wraps lie in one another by a hair where the wires are bent to the tip.
    expectSound(piece, 'foot.weaving');
    for (const { count, name } of piece.cuts)
      if (name === 'frame wire') {
        expect(count).toBe(3);
        // Round the stone alone; what the ends do is still to come.
        expectPractice(piece, name, 254, 0.25);
      }
    expect(cutNamed(piece.plans['foot'] as never, 'weaving wire').terms[0]?.name).toBe(
      '21 repeats of AB BC AB A4',
    );
  });

  it('meets at the top: less than a repeat is bare, and it begins and ends at one height', () => {
    const path = piece.run.wires[3]?.path ?? [];
    const [begins, ends] = [path[0], path.at(-1)];
    if (!begins || !ends) throw new Error('it is woven');
    expect(begins.x * ends.x).toBeLessThan(0);
    expect(Math.abs(begins.y - ends.y)).toBeLessThan(1);
    for (const { y } of [begins, ends]) {
      expect(y).toBeLessThan(-10);
      expect(y).toBeGreaterThan(-16);
    }
    // AB BC AB A4 moves on by seven thicknesses of 0.405.
    const bare = /; ([\d.]+) mm of them stay bare/.exec(piece.plans['foot']?.notes?.join(' ') ?? '')?.[1];
    expect(Number(bare)).toBeLessThan(7 * 0.405 * 1.15);
  });

  it('by repeats it is as many as are told', () => {
    const woven = pieceOf([['weave', 'straight-weave', { told: 'by repeats', repeats: 7 }]]);
    expect(cutNamed(woven.plans['weave'] as never, 'weaving wire').terms[0]?.name).toBe(
      '7 repeats of A3 AB2',
    );
  });
});

/** Common practice, constructions A3 and F: the innermost wire crosses behind and is a coiled flank on each side; four ends are a ladder bail. */
describe('a marquise with a crossed frame, a ladder bail and coiled flanks', () => {
  const marquise = { outline: 'marquise', length: 26, width: 13, depth: 5, edge: 2.5 } as const;
  const [frame, thin, between] = [ga(20), ga(26), ga(22)];
  const FLANK = 22.6;
  const LADDER = {
    repeat: [
      { kind: 'wrap', first: 0, last: 1, wraps: 2 },
      { kind: 'wrap', first: 2, last: 3, wraps: 2 },
    ],
    close: [],
  } as const;
  const told: readonly Told[] = [
    ['foot', 'weave-round', { stone: marquise, base: frame, weaving: thin, tail: 20, weavingTail: 60 }],
    [
      'frame',
      'bundle-frame',
      { stone: marquise, bound: 0, bail: 1, reach: 0, holds: 2, tail: 15 },
      { frame: ['foot.wire 1', 'foot.wire 2', 'foot.wire 3'] },
    ],
    [
      'cross',
      'crossed-behind',
      { stone: marquise, gap: 2.9, off: 3.6, tail: 15 },
      { ends: ['frame.left 3', 'frame.right 3'] },
    ],
    [
      'bail',
      'straight-weave',
      { weave: LADDER, weaving: thin, gap: 3, length: 22, weavingTail: 40 },
      { frame: ['frame.left 1', 'frame.left 2', 'frame.right 2', 'frame.right 1'] },
    ],
    [
      'fold',
      'folded-bail',
      { wraps: 0, leg: 8, inside: 5, over: 'to the front', clear: 1, tail: 15 },
      { ends: ['bail.end 1', 'bail.end 2', 'bail.end 3', 'bail.end 4'] },
    ],
    [
      'tuck',
      'bent-ends',
      { before: 4.4, about: 2.6, degrees: 180, way: 'to the front', lie: 'side by side', after: 1, tail: 15 },
      { ends: ['fold.end 1', 'fold.end 2', 'fold.end 3', 'fold.end 4'] },
    ],
    // The end from the left comes out to the right.
    ...(['left', 'right'] as const).flatMap((end): readonly Told[] => [
      [
        `coil ${end}`,
        'coil-of-coil',
        { inner: between, outer: thin, length: FLANK, tail: 15 },
        { core: [`cross.${end}`] },
      ],
      [
        `flank ${end}`,
        'along-edge',
        {
          stone: marquise,
          side: end === 'left' ? 'right' : 'left',
          from: 7.9,
          to: 33.5,
          off: 3.6,
          over: 1.25,
          hook: 1,
          tail: 10,
        },
        { end: [`coil ${end}.core`] },
      ],
    ]),
  ];
  const piece = pieceOf(told);
  const ofWire = (id: string) => {
    const found = piece.run.wires.find(({ wire }) => wire.id === id);
    if (!found) throw new Error(`no wire ${id}`);
    return found;
  };

  it('is three frame wires of 254, a weave, a ladder, and on each flank two wires of a coil of a coil', () => {
    expect(piece.run.wires.map(({ wire }) => wire.name)).toEqual([
      'frame wire 1',
      'frame wire 2',
      'frame wire 3',
      'weaving wire',
      'weaving wire',
      'wire inside the coil',
      'coiled wire',
      'wire inside the coil',
      'coiled wire',
    ]);
    expectSound(piece, 'foot.weaving');
    for (const { name } of piece.cuts.filter((cut) => cut.name.startsWith('frame wire')))
      expectPractice(piece, name, 254);
  });

  it('its innermost wire crosses to the other side behind the stone, and comes out to the front beside the foot', () => {
    const { first, second } = ofWire('foot.frame 3');
    for (const hand of [first, second]) {
      const across = hand.find(({ name }) => name === 'across behind the stone')?.path ?? [];
      const out = hand.findLast(({ name }) => name === 'out to the front beside the foot')?.path.at(-1);
      const [begins, ends] = [across[0], across.at(-1)];
      if (!begins || !ends || !out) throw new Error('it crosses');
      expect(begins.x * ends.x).toBeLessThan(0);
      // Flat behind the back of the stone there, no thinner than the wire; out in front of that, beside the stone.
      expect(Math.max(...across.map(({ z }) => z))).toBeLessThanOrEqual(-frame.width / 2);
      expect(out.z).toBeGreaterThan(0);
      expect(ends.x * out.x).toBeGreaterThan(0);
      expect(Math.abs(out.x)).toBeGreaterThan(4);
    }
    // One lies over the other where they cross.
    const middle = (hand: typeof first) =>
      hand.find(({ name }) => name === 'across behind the stone')?.path.at(-4)?.z ?? NaN;
    expect(Math.abs(middle(first) - middle(second))).toBeGreaterThan(frame.width);
  });

  it('its ladder goes twice round each pair and over a gap of 3 between: each rung touches both', () => {
    expect(cutNamed(piece.plans['bail'] as never, 'weaving wire').terms[0]?.name).toBe(
      '14 repeats of AB2 CD2',
    );
    // Once round a pair: π(D + d) + 2D. A rung is the line that touches both circles of D + d, whose middles are D + 3 apart, and it leaves
    // each so much before the side as it rises: acos((D + d)/(D + 3)). A pitch of d for each wrap.
    const [D, d] = [frame.width, thin.width];
    const [apart, belt] = [D + 3, D + d];
    const lift = Math.acos(belt / apart);
    const round = Math.PI * belt + 2 * D;
    const rung = Math.sqrt(apart ** 2 - belt ** 2) - belt * lift;
    const repeat = 4 * Math.hypot(round, d) + 2 * rung;
    const laid = ofWire('bail.weaving').net;
    expect(laid / (14 * repeat)).toBeGreaterThan(0.97);
    expect(laid / (14 * repeat)).toBeLessThan(1.03);
  });

  it('each flank is coiled as far as is told, of an inner coil of 3 times that and its wire of 5 (constructions F)', () => {
    for (const end of ['left', 'right']) {
      const inner = ofWire(`coil ${end}.inner`);
      expect(inner.net / FLANK).toBeGreaterThan(4.6);
      expect(inner.net / FLANK).toBeLessThan(5.4);
      const note = piece.plans[`coil ${end}`]?.notes?.join(' ') ?? '';
      expect(Number(/, ([\d.]+) times the finished/.exec(note)?.[1])).toBeCloseTo(2.8, 1);
    }
    expect(ofWire('coil left.outer').net).toBeCloseTo(ofWire('coil right.outer').net, 0);
    // From beside the foot to the top: it reaches along most of the flank.
    const ys = ofWire('coil left.outer').path.map(({ y }) => y);
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(20);
  });

  it('the opening is tried before anything crosses, and a flank is coiled before it is bent up the side', () => {
    expect(piece.rules.map(({ first, then }) => `${first} < ${then}`)).toEqual(
      expect.arrayContaining(['frame.close < cross.try', 'coil left.wind < flank left.bend']),
    );
    expect(piece.plans['cross']?.order).toContainEqual({
      first: 'try',
      then: 'cross',
      why: 'the opening is changed while nothing lies across it',
    });
  });
});
