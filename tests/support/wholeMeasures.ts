import fc from 'fast-check';
import { roundWire } from '@/core/parameter/parameter';
import type { Values } from './techniques';

/** Techniques that are told by the ways of their wires, with measures that are tried of each. */
export const WHOLE: (readonly [id: string, values: fc.Arbitrary<Values>])[] = [
  [
    'point-spiral',
    fc.record({
      wire: fc.constantFrom(0.6, 0.8, 1).map(roundWire),
      across: fc.double({ min: 6, max: 14, noNaN: true }),
      long: fc.double({ min: 26, max: 50, noNaN: true }),
      taper: fc.double({ min: 6, max: 12, noNaN: true }),
      turns: fc.integer({ min: 2, max: 5 }),
      loop: fc.double({ min: 3, max: 6, noNaN: true }),
      wraps: fc.integer({ min: 1, max: 4 }),
    }),
  ],
  [
    'spiral-cage',
    fc.record({
      wire: fc.constantFrom(0.8, 1, 1.2).map(roundWire),
      long: fc.double({ min: 10, max: 30, noNaN: true }),
      wide: fc.double({ min: 8, max: 18, noNaN: true }),
      gap: fc.double({ min: 0.2, max: 0.6, noNaN: true }),
      loop: fc.double({ min: 3, max: 5, noNaN: true }),
    }),
  ],
  [
    'looped-bezel',
    fc.record({
      stone: fc
        .record({
          outline: fc.constantFrom('oval' as const, 'round' as const),
          width: fc.double({ min: 27, max: 38, noNaN: true }),
          longer: fc.double({ min: 0, max: 14, noNaN: true }),
          edge: fc.double({ min: 2, max: 4, noNaN: true }),
        })
        .map(({ outline, width, longer, edge }) => ({
          outline,
          width,
          length: outline === 'round' ? width : width + longer,
          edge,
          depth: edge + 4,
        })),
      wire: fc.constantFrom(1, 1.2, 1.291).map(roundWire),
      loop: fc.double({ min: 2.5, max: 4, noNaN: true }),
      apart: fc.double({ min: 12, max: 16, noNaN: true }),
      rungs: fc.integer({ min: 1, max: 4 }),
    }),
  ],
];

/** Drops as they are sold: a third to twice longer than wide. */
const hung = fc
  .record({
    wire: fc.constantFrom(0.32, 0.4, 0.5).map(roundWire),
    wide: fc.double({ min: 5, max: 10, noNaN: true }),
    longer: fc.double({ min: 1.35, max: 2, noNaN: true }),
    across: fc.double({ min: 2, max: 3.2, noNaN: true }),
    over: fc.double({ min: 0.3, max: 2, noNaN: true }),
    loop: fc.double({ min: 2, max: 5, noNaN: true }),
    wraps: fc.integer({ min: 2, max: 5 }),
    cross: fc.integer({ min: 1, max: 4 }),
    down: fc.double({ min: 4, max: 7, noNaN: true }),
    small: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
    large: fc.double({ min: 1.5, max: 3, noNaN: true }),
  })
  .map(({ longer, over, ...told }) => {
    const long = longer * told.wide;
    return { ...told, long, above: (told.across / told.wide) * (long - told.wide / 2) + over };
  });
WHOLE.push(
  [
    'twisted-net',
    fc.record({
      wire: fc.constantFrom(0.3, 0.405, 0.5).map(roundWire),
      wires: fc.integer({ min: 3, max: 4 }),
      across: fc.double({ min: 9, max: 16, noNaN: true }),
      long: fc.double({ min: 26, max: 50, noNaN: true }),
      taper: fc.double({ min: 5, max: 12, noNaN: true }),
      rows: fc.integer({ min: 2, max: 6 }),
      twists: fc.integer({ min: 1, max: 4 }),
      loop: fc.double({ min: 3, max: 6, noNaN: true }),
      wraps: fc.integer({ min: 1, max: 3 }),
    }),
  ],
  ['briolette-loop', hung],
  ['briolette-cap', hung],
  ['briolette-swirl', hung.map((told) => ({ ...told, wire: roundWire(told.wire.width + 0.14) }))],
);

/** A number between two. */
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Thin wire as frames are bound with it. */
const binding = fc.constantFrom(0.25, 0.32, 0.4).map(roundWire);
const frameWire = fc.constantFrom(0.6, 0.8, 1).map(roundWire);
WHOLE.push(
  [
    'bundle-frame',
    fc
      .record({
        outline: fc.constantFrom('round' as const, 'oval' as const, 'teardrop' as const),
        stands: fc.constantFrom('tip up', 'tip down'),
        width: between(14, 26),
        stretch: between(1.15, 1.6),
        edge: between(2, 4),
        wire: frameWire,
        wires: fc.integer({ min: 2, max: 5 }),
        lead: fc.constantFrom('like the others', 'of its own', 'of its own, twisted on its axis'),
        leadWire: frameWire,
        binding,
        bound: fc.oneof(fc.constant(0), between(4, 14)),
        bail: between(0, 10),
        opening: fc.constantFrom(0, 0, 3.5, 5, 6),
        meet: fc.constantFrom('stand up side by side', 'stand up side by side', 'cross'),
        holds: fc.constantFrom(2, 4),
        reach: between(0.7, 1.2),
      })
      .map(({ outline, width, stretch, edge, stands, ...told }) => ({
        ...told,
        // A gap of almost half the stone leaves the last holds no edge to come in over.
        opening: told.opening < 0.36 * width ? told.opening : 0,
        // Where both hands cross no gap stays open, and nothing is bound up their ends.
        ...(told.meet === 'cross' ? { opening: 0, bound: 0, holds: 2 } : {}),
        // Bound round the tip of a stone, turns are squeezed there.
        stands: outline === 'teardrop' && told.bound > 0 ? 'tip up' : stands,
        stone: {
          outline,
          width,
          length: outline === 'round' ? width : width * stretch,
          edge,
          depth: edge + 0.15 * width,
        },
      })),
  ],
  [
    'folded-bail',
    fc.record({
      wire: frameWire,
      wires: fc.integer({ min: 1, max: 4 }),
      inside: between(3, 7),
      leg: between(7, 14),
      over: fc.constantFrom('to the back', 'to the front'),
      gather: fc.constantFrom(0, 5),
      clear: between(0, 2),
      binding,
      wraps: fc.integer({ min: 0, max: 10 }),
    }),
  ],
  [
    'bead-between',
    fc.record({
      held: frameWire,
      wire: fc.constantFrom(0.25, 0.32, 0.4).map(roundWire),
      bead: between(2, 8),
      turns: fc.integer({ min: 1, max: 9 }),
    }),
  ],
  [
    'free-line',
    fc.record({
      wire: frameWire,
      points: fc.tuple(between(5, 9), between(4, 9), between(-3, 3)).map(([ahead, aside, more]) => [
        { x: ahead, y: 0 },
        { x: 2 * ahead, y: aside },
        { x: 3 * ahead + more, y: -aside },
      ]),
    }),
  ],
  [
    'side-tie',
    fc.record({
      held: frameWire,
      wires: fc.integer({ min: 2, max: 4 }),
      wire: fc.constantFrom(0.25, 0.32, 0.4).map(roundWire),
      turns: fc.integer({ min: 2, max: 5 }),
      lie: fc.constantFrom('side by side', 'staggered', 'staggered'),
      times: fc.integer({ min: 1, max: 8 }),
    }),
  ],
  [
    'lashing',
    fc.record({
      held: frameWire,
      wires: fc.integer({ min: 2, max: 5 }),
      wire: fc.constantFrom(0.3, 0.4, 0.8).map(roundWire),
      turns: fc.integer({ min: 1, max: 9 }),
    }),
  ],
  [
    'neck-wraps',
    fc.record({
      bundled: frameWire,
      upright: fc.integer({ min: 2, max: 10 }),
      wire: fc.constantFrom(0.3, 0.4, 0.8).map(roundWire),
      turns: fc.integer({ min: 1, max: 12 }),
      way: fc.constantFrom('clockwise', 'against the clock'),
    }),
  ],
);

const beaded = {
  bead: between(1.8, 5),
  through: fc.constantFrom('once', 'twice'),
  wraps: fc.integer({ min: 2, max: 4 }),
  wire: fc.constantFrom(0.25, 0.32, 0.4).map(roundWire),
};
WHOLE.push(
  [
    'bound-beads',
    fc.record({
      ...beaded,
      base: fc.constantFrom(0.8, 1, 1.2).map(roundWire),
      along: between(12, 22),
      lie: fc.constantFrom('to the left', 'to the right'),
    }),
  ],
  [
    'bead-halo',
    fc
      .record({
        ...beaded,
        // Where an oval is bent most, wraps between beads as wide as half of it lie in one another.
        bead: between(2.4, 4.6),
        wire: fc.constantFrom(0.32, 0.4).map(roundWire),
        width: between(12, 20),
        stretch: between(1, 1.5),
        frame: fc.constantFrom(0.8, 1).map(roundWire),
      })
      .map(({ width, stretch, ...told }) => ({
        ...told,
        stone: { outline: 'oval' as const, width, length: width * stretch, edge: 2.4, depth: 5 },
      })),
  ],
);

/** What loops are turned of. */
const looped = {
  wire: fc.constantFrom(0.6, 0.8, 1).map(roundWire),
  loop: between(2, 6),
  bead: between(4, 12),
};
WHOLE.push(
  ['plain-loop-link', fc.record(looped)],
  ['wrapped-loop-link', fc.record({ ...looped, wraps: fc.integer({ min: 1, max: 5 }) })],
  ['head-pin', fc.record({ ...looped, fold: between(2, 6) })],
  ['eye-pin', fc.record({ ...looped, eye: between(2, 5) })],
  [
    'uneven-link',
    fc.record({
      wire: looped.wire,
      small: between(1.5, 4),
      large: between(4, 9),
      between: between(1, 10),
      stand: fc.constantFrom('across each other', 'in one plane'),
    }),
  ],
  ['ear-wire', fc.record({ wire: looped.wire, loop: between(1.5, 4), front: between(3, 10) })],
  [
    'jump-rings',
    fc.record({ wire: looped.wire, inside: between(2, 10), rings: fc.integer({ min: 2, max: 30 }) }),
  ],
  [
    'hook-clasp',
    fc.record({
      wire: looped.wire,
      eye: between(2, 5),
      hook: between(4, 9),
      lip: between(1, 2),
      leg: between(6, 14),
      ring: between(3, 7),
      wraps: fc.integer({ min: 1, max: 4 }),
    }),
  ],
);

WHOLE.push(
  [
    'coil-bead',
    fc.record({
      wire: fc.constantFrom(0.4, 0.6, 0.8).map(roundWire),
      hole: between(1, 4),
      length: between(9, 20),
      layers: fc.integer({ min: 1, max: 3 }),
      shorter: between(1.2, 2.5),
    }),
  ],
  [
    'coil-of-coil',
    fc.record({
      core: fc.constantFrom(0.8, 1, 1.2).map(roundWire),
      inner: fc.constantFrom(0.5, 0.64).map(roundWire),
      outer: fc.constantFrom(0.3, 0.4).map(roundWire),
      length: between(6, 12),
    }),
  ],
  [
    'bead-ring',
    fc.record({
      wire: frameWire,
      inside: between(15, 21),
      bead: between(4, 12),
      rounds: fc.integer({ min: 1, max: 3 }),
      swirls: fc.integer({ min: 0, max: 4 }),
      wraps: fc.integer({ min: 1, max: 4 }),
    }),
  ],
  [
    'herringbone-ring',
    fc.record({
      wire: fc.constantFrom(0.8, 1).map(roundWire),
      weaving: fc.constantFrom(0.3, 0.4).map(roundWire),
      inside: between(17, 21),
      bead: between(7, 9),
      layers: fc.integer({ min: 2, max: 5 }),
      wraps: fc.integer({ min: 2, max: 3 }),
    }),
  ],
);

WHOLE.push([
  'coil-bezel-ring',
  fc.record({
    wire: frameWire,
    inside: between(17, 21),
    rounds: fc.integer({ min: 2, max: 3 }),
    stone: between(6, 9),
    thick: between(3, 5),
    over: between(0.8, 1.4),
    wraps: fc.integer({ min: 1, max: 4 }),
    tying: fc.constantFrom(0.3, 0.4).map(roundWire),
  }),
]);
WHOLE.push([
  'kinked-halo',
  fc.record({
    wire: fc.constantFrom(0.6, 0.8).map(roundWire),
    bead: between(9, 20),
    loop: between(2.8, 4.5),
    rounds: fc.integer({ min: 2, max: 5 }),
    gap: between(0.8, 3),
    kink: between(0, 0.7),
    apart: between(4, 8),
    mandrel: between(3, 8),
    spiral: fc.integer({ min: 1, max: 3 }),
    ring: between(4.5, 8),
  }),
]);
const channel = {
  base: fc.constantFrom(0.8, 1, 1.2).map(roundWire),
  wire: fc.constantFrom(0.32, 0.4).map(roundWire),
  bead: between(2, 4),
};
WHOLE.push(
  // Turns that fill all there is between beads lie against the way behind them.
  [
    'bead-channel',
    fc.record({
      ...channel,
      bead: between(2.8, 4),
      along: between(12, 24),
      wraps: fc.integer({ min: 1, max: 4 }),
    }),
  ],
  [
    'drop-channel',
    fc.record({
      ...channel,
      long: between(14, 22),
      wide: between(8, 13),
      beads: fc.integer({ min: 2, max: 8 }),
      spiral: fc.integer({ min: 1, max: 3 }),
    }),
  ],
  [
    'band-frame',
    fc
      .record({
        length: between(34, 50),
        share: between(0.4, 0.5),
        edge: between(2, 4),
        wire: fc.constantFrom(0.8, 1).map(roundWire),
        band: fc
          .constantFrom(0.8, 1)
          .map((width) => ({ profile: 'half-round' as const, width, height: width / 2 })),
        bandsEach: fc.integer({ min: 1, max: 3 }),
        turnsEach: fc.integer({ min: 2, max: 3 }),
        cut: fc.constantFrom('one by one', 'one length for each end'),
        hangs: fc.constantFrom('as its outline lies', 'upside down'),
      })
      .map(({ length, share, edge, ...told }) => ({
        ...told,
        stone: { outline: 'crescent' as const, length, width: length * share, edge, depth: edge + 2 },
      })),
  ],
);

WHOLE.push(
  [
    'curved-weave',
    fc.record({
      base: fc.constantFrom(0.8, 1).map(roundWire),
      weaving: fc.constantFrom(0.3, 0.4).map(roundWire),
      inner: between(8, 30),
      length: between(15, 36),
    }),
  ],
  [
    'tree',
    fc
      .record({
        outline: fc.constantFrom('oval' as const, 'teardrop' as const),
        width: between(27, 34),
        longer: between(8, 14),
        edge: between(2.4, 3.4),
        wire: fc.constantFrom(0.25, 0.3).map(roundWire),
        frame: fc.constantFrom(0.8, 1).map(roundWire),
        branches: fc.integer({ min: 2, max: 3 }),
        wraps: fc.integer({ min: 2, max: 4 }),
        trunk: between(11, 16),
        lay: between(2, 4),
      })
      .map(({ outline, width, longer, edge, ...told }) => ({
        ...told,
        stone: { outline, width, length: width + longer, edge, depth: edge + 4 },
      })),
  ],
  [
    'cradle',
    fc.record({
      stone: between(22, 32).map((across) => ({
        outline: 'round' as const,
        length: across,
        width: across,
        depth: 7,
        edge: 3.5,
      })),
      cradle: fc.constantFrom(1.4, 1.628).map(roundWire),
      wire: fc.constantFrom(0.7, 0.812).map(roundWire),
      gap: between(13.5, 18),
      turns: fc.integer({ min: 2, max: 6 }),
      curl: between(4.5, 8),
      mandrel: between(5, 8),
    }),
  ],
  [
    'bead-chain',
    fc.record({
      wire: fc.constantFrom(0.6, 0.8, 1).map(roundWire),
      ringWire: fc.constantFrom(0.6, 0.8).map(roundWire),
      bead: between(4, 10),
      loop: between(3.2, 4.5),
      ring: between(3.2, 5),
      rings: fc.integer({ min: 0, max: 2 }),
      clasp: fc.constantFrom(0, 18),
      long: between(60, 90),
    }),
  ],
  [
    'spiral-head-ring',
    fc.record({
      inside: between(15.5, 20),
      wire: fc
        .constantFrom(0.7, 0.812)
        .map((side) => ({ profile: 'square' as const, width: side, height: side })),
      weaving: fc.constantFrom(0.3, 0.405).map(roundWire),
      cab: between(7.5, 10),
      bound: fc.integer({ min: 6, max: 7 }),
      corner: fc.integer({ min: 4, max: 6 }),
      scroll: between(4, 6),
    }),
  ],
  [
    'woven-band-ring',
    fc.record({
      inside: between(16, 20),
      base: fc.constantFrom(0.7, 0.812).map(roundWire),
      weaving: fc.constantFrom(0.25, 0.321).map(roundWire),
      cab: between(5.5, 8),
      edge: between(1, 1.8),
      scroll: between(4, 5.5),
    }),
  ],
);
const flatStone = fc
  .record({
    outline: fc.constantFrom('marquise' as const, 'oval' as const, 'teardrop' as const),
    width: between(9, 16),
    longer: between(1.4, 2),
    edge: between(1.5, 3),
  })
  .map(({ outline, width, longer, edge }) => ({
    outline,
    width,
    length: width * longer,
    edge,
    depth: edge + 2.5,
  }));
WHOLE.push(
  [
    'crossed-behind',
    fc.record({
      stone: flatStone,
      stands: fc.constantFrom('tip up', 'tip down'),
      wire: fc.constantFrom(0.6, 0.8, 1).map(roundWire),
      gap: between(2, 5),
      off: between(2, 4),
    }),
  ],
  [
    'along-edge',
    fc.record({
      stone: flatStone,
      stands: fc.constantFrom('tip up', 'tip down'),
      wire: fc.constantFrom(0.6, 0.8, 1).map(roundWire),
      side: fc.constantFrom('left', 'right'),
      from: between(2, 5),
      to: between(8, 16),
      off: between(2, 4),
      over: between(0.5, 2),
      hook: between(1, 2),
    }),
  ],
);
WHOLE.push([
  'figure-eight-ring',
  fc.record({
    inside: between(16, 20),
    wire: fc.constantFrom(0.7, 0.812).map(roundWire),
    weaving: fc.constantFrom(0.3, 0.405).map(roundWire),
    stone: fc
      .record({ width: between(9.6, 12), longer: between(1.35, 1.5), edge: between(1.3, 2) })
      .map(({ width, longer, edge }) => ({
        outline: 'teardrop' as const,
        width,
        length: width * longer,
        edge,
        depth: edge + 2.2,
      })),
    heart: fc.integer({ min: 2, max: 3 }),
    loop: between(1.4, 1.75),
  }),
]);
WHOLE.push(
  [
    'laced-frame',
    fc.record({
      base: fc.constantFrom(0.8, 1, 1.2).map(roundWire),
      wire: fc.constantFrom(0.3, 0.4).map(roundWire),
      high: between(34, 60),
      wide: between(22, 34),
      laced: between(8, 16),
      bead: between(1.8, 2.6),
      beads: fc.integer({ min: 2, max: 6 }),
      last: fc.integer({ min: 1, max: 4 }),
      first: fc.integer({ min: 3, max: 14 }),
      close: fc.integer({ min: 2, max: 6 }),
    }),
  ],
  [
    'beaded-link',
    fc.record({
      link: fc.constantFrom(1, 1.3, 1.6).map(roundWire),
      wire: fc.constantFrom(0.25, 0.32).map(roundWire),
      inside: between(10, 30),
      // On a link hardly wider than two beads the wire leans against the beads as it comes down.
      bead: between(2.2, 4),
      wraps: fc.integer({ min: 1, max: 4 }),
    }),
  ],
  [
    'tree-without-frame',
    fc.record({
      stone: fc
        .record({ width: between(20, 30), longer: between(2, 12), edge: between(2, 4) })
        .map(({ width, longer, edge }) => ({
          outline: 'oval' as const,
          width,
          length: width + longer,
          edge,
          depth: edge + 3.5,
        })),
      wire: fc.constantFrom(0.25, 0.3, 0.4).map(roundWire),
      branches: fc.integer({ min: 3, max: 6 }),
      trunk: between(6, 13),
      roots: between(4, 9),
      lay: between(5, 9),
      loop: between(3, 6),
      wraps: fc.integer({ min: 1, max: 3 }),
    }),
  ],
);
