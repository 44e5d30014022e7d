import { degreesIn, radians } from '../../geometry/angle';
import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { domeAt } from '../../piece/body';
import type { Along, Cab, Course, PieceWire, Pull, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import type { StoneSize } from '../../stone/stoneSize';
import { turnedHalf } from '../../techniqueKit/ringShank';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Where each hand comes onto the mandrel and where it leaves it again, degrees from the top: the four bands lie side by side between. */
const [ONTO, OFF] = [46, 58];
/** Where the thin wire is wound about all four bands on each side, and where the lower ends lie on them, degrees from the top. */
const [CORNER, CUT_AT] = [64, 78];
/** Where each upper end comes to lie beside the cab and where it leaves it, degrees from where the other side’s does. */
const [BESIDE, AWAY] = [121, 240];
/** So many degrees before that, and so many thicknesses off the cab, they come out from under it. */
const [BEFORE, OUT] = [14, 0.9];
/** So far beside the middle an upper end goes out at least, in thicknesses. */
const CLEAR = 1.75;
/** How far the lower ends go on down the shank, degrees. */
const DOWN = 18;
/** Where the thin wire has come down from its tie, degrees from the top. */
const AFTER = 30;
/** Each half of the tie goes once about a pair, so many turns beyond the binding of the middle and over so many; then about all of it. */
const [PAIR_AT, PAIR_LONG] = [0.9, 2];
/** Turns of each half over everything that crosses, so many turns beyond the binding, and how thick that is on which it lies. */
const [TIE, TIE_AT, TIE_OVER] = [1.5, 0.6, 1.5];
/** Between the pairs at the front there is room for what ties each, and between them and the middle for that and its binding; in its thicknesses. */
const [BETWEEN, UNDER] = [1.3, 3];
const HAIR = 0.06;
/** Over how much of its way beside the cab an upper end comes over its edge, and goes down again. */
const COMING_OVER = 0.38;

/** Two wires, each side’s pair once round the finger and crossing over the front, their upper ends as scrolls beside a small cab that is set on the crossing. */
export const spiralHeadRing = technique({
  id: 'spiral-head-ring',
  title: 'Spiral-head ring',
  group: 'rings',
  source:
    'each hand once round the mandrel, measured as it lies; scrolls are Archimedean spirals, exact; begun two to three sizes small (common practice)',
  parameters: {
    wire: wire('Ring wire', { profile: 'square', width: 0.812, height: 0.812 }, 'frame'),
    weaving: wire('Tying wire', roundWire(0.405), 'weaving'),
    inside: insideWanted,
    cab: length('Round cab across', 9, 3, 25),
    depth: length('Depth of the cab', 3.5, 1, 15),
    edge: length('Height of its edge', 1.4, 0.3, 10),
    bound: count('Turns about the middle', 7, 3, 15),
    corner: count('Turns at each corner', 5, 1, 10),
    scroll: length('Each scroll across, outside', 4.5, 2, 20),
    reach: length('Each upper end reaches over the edge of the cab', 0.6, 0, 5),
    tail: length('Handling tail at each end', 40, 0, 150),
    tieTail: length('Tail at each end of the tying wire', 60, 0, 250),
  },
  plan: ({
    wire: size,
    weaving,
    inside,
    cab: across,
    depth,
    edge,
    bound,
    corner,
    scroll,
    reach,
    tail,
    tieTail,
  }) => {
    if (edge > depth)
      return refuse(`An edge of ${said(edge)} is higher than a cab that is ${said(depth)} deep.`);
    const held: StoneSize = { outline: 'round', length: across, width: across, depth, edge };
    const { thick: D } = bendOf(size);
    const { thick: d, pitch } = bendOf(weaving);
    const turns = (scroll - 3 * D) / (2 * D * (1 + HAIR));
    if (turns < 0.5)
      return refuse(
        `A scroll of ${said(D)} wire is ${said(4.1 * D)} across at least; ${said(scroll)} is less.`,
      );
    const { begun, note } = ringStart('spiral-head-ring', inside, 4 * D);
    const R = (begun.diameter + D) / 2;
    if (across / 2 + D > R)
      return refuse(`A cab of ${said(across)} is wider than this ring; ${said(2 * (R - D))} is the most.`);
    // The middle of both wires lies on its own binding, what crosses it on that.
    const middle = R + d * (1 + HAIR);
    const over = middle + D + UNDER * d;
    const onShank = R + D + d * (1 + HAIR);
    const cab: Cab = {
      kind: 'cab',
      id: 'cab',
      size: held,
      pose: pose(vec3(0, -over - D / 2 - (TIE_OVER + 0.2) * d), vec3(1, 0), vec3(0, -1)),
    };
    const round = (radius: number, degrees: number, z: number): Pose => {
      const [s, c] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
      return pose(vec3(radius * s, -radius * c, z), vec3(c, s));
    };
    /** What a hand does that goes to the right; the other does the same, turned half about the upright. */
    const handOf = (side: Side, wireIndex: number): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      // Of each pair one wire lies outermost: its end is the upper one.
      const isUpper = (side === 'first') === (wireIndex === 1);
      const lane = (isUpper ? 1.5 : 0.5) * D * (1 + HAIR);
      const to = (at: Pose): Pose => turnedHalf(at, way);
      return [
        { kind: 'led', name: FRONT, id: 'mandrel', to: to(round(R, ONTO, lane)) },
        {
          kind: 'coiled',
          name: 'round the finger at the starting size',
          id: 'shank',
          about: begun.diameter,
          turns: (360 - ONTO - OFF) / 360,
          pitch: 0,
        },
        {
          kind: 'led',
          name: FRONT,
          id: 'front',
          to: to(pose(vec3(0, -over, lane + (BETWEEN / 2) * d), vec3(1, 0))),
        },
        ...(isUpper ? upper(way) : lower(way, lane)),
      ];
    };
    // Out under the edge of the cab before it comes up beside it.
    const c = across / 2 + OUT * D;
    const clear = CLEAR * D + (BETWEEN / 2) * d;
    if (clear > c)
      return refuse(
        `A cab of ${said(across)} is too small for wire of ${said(D)}; ${said(2 * (clear - OUT * D))} is the least.`,
      );
    // Clear of the lower end, which goes down beside it.
    const out = Math.max(BESIDE - BEFORE, degreesIn(Math.acos(-clear / c)));
    const aside = radians(out);
    const outside = pose(vec3(c * Math.sin(aside), -over, -c * Math.cos(aside)), vec3(1, -0.2, 0.3));
    // On the upper shoulder of the cab: over its edge, in the middle of its way beside it.
    const inMm = (degrees: number) => (degrees / 360) * Math.PI * (across + D);
    const onShoulder = (half: number): readonly Pull[] =>
      reach > 0
        ? [
            {
              at: inMm((out + BEFORE + AWAY) / 2 + half),
              long: inMm(AWAY - out - BEFORE),
              inward: reach,
              height: domeAt(held, reach / (across / 2)) + D / 2,
              ramp: COMING_OVER * inMm(AWAY - out - BEFORE),
            },
          ]
        : [];
    const upper = (way: 1 | -1): readonly Course[] => {
      const half = way === 1 ? 0 : 180;
      return [
        { kind: 'led', name: 'beside the cab', to: turnedHalf(outside, way) },
        {
          kind: 'round',
          name: 'beside the cab',
          body: 'cab',
          from: out + BEFORE + half,
          to: AWAY + half,
          play: 0,
          height: held.edge / 2,
          pulls: onShoulder(half),
        },
        { kind: 'curled', name: 'scroll', inside: D, turns: -turns, pitch: D * (1 + HAIR) },
      ];
    };
    const lower = (way: 1 | -1, lane: number): readonly Course[] => [
      { kind: 'led', name: 'down the shank', to: turnedHalf(round(onShank, CUT_AT, lane), way) },
      {
        kind: 'coiled',
        name: 'down the shank',
        about: 2 * onShank - D,
        turns: DOWN / 360,
        pitch: 0,
      },
    ];
    /** All four bands on the side where a hand comes onto the mandrel, at an angle from the top, on from there. */
    const bandsOn = (side: Side, degrees: number): readonly Along[] => {
      const other = side === 'first' ? 'second' : 'first';
      return [0, 1].flatMap((index): Along[] => [
        {
          wire: `wire ${index}`,
          from: { side, endOf: 'mandrel', on: R * radians(degrees - ONTO) },
          towards: side,
        },
        {
          wire: `wire ${index}`,
          from: { side: other, endOf: 'shank', on: -R * radians(degrees - OFF) },
          towards: side,
        },
      ]);
    };
    // It ends on the side of the other hand’s pair, which it ties before that goes on.
    const half = (side: Side): number =>
      side === 'first' ? Math.floor(bound / 2) + 0.5 : Math.ceil(bound / 2) - 1;
    /** Everything that crosses over the middle, so far beside it on the side of a hand. */
    const crossing = (side: Side, aside: number): readonly Along[] => {
      const other = side === 'first' ? 'second' : 'first';
      return [0, 1].flatMap((index): Along[] => [
        { wire: `wire ${index}`, from: side === 'first' ? aside : -aside, towards: side },
        { wire: `wire ${index}`, from: { side, endOf: 'front', on: aside }, towards: side },
        { wire: `wire ${index}`, from: { side: other, endOf: 'front', on: -aside }, towards: side },
      ]);
    };
    const tieHand = (side: Side): readonly Course[] => [
      {
        kind: 'bound',
        name: `${counted(bound, 'turn')} about the middle`,
        on: [0, 1].map((index) => ({ wire: `wire ${index}`, from: 0, towards: side })),
        begin: 0,
        turns: half(side),
        long: half(side) * pitch,
      },
      {
        kind: 'bound',
        name: 'one turn on each pair',
        on: [0, 1].map((index) => ({
          wire: `wire ${index}`,
          from: {
            side: side === 'first' ? 'second' : 'first',
            endOf: 'front',
            on: -(half(side) + PAIR_AT) * pitch,
          },
          towards: side,
        })),
        begin: 0,
        turns: 1,
        long: PAIR_LONG * pitch,
      },
      {
        kind: 'bound',
        name: 'tie over all of them',
        on: crossing(side, (half(side) + TIE_AT) * pitch),
        over: TIE_OVER * d,
        begin: side === 'first' ? 180 : 0,
        turns: TIE,
        long: TIE * pitch,
      },
      // Down outside of the bands of its hand.
      ...[AFTER, ONTO].map((degrees): Course => ({
        kind: 'led',
        name: `${counted(corner, 'turn')} at each corner`,
        to: turnedHalf(
          round(
            R + (degrees < ONTO ? d : 0),
            degrees,
            Math.max(2 * D * (1 + HAIR), degrees < ONTO ? clear + D / 2 : 0) + d * (0.5 + 2 * HAIR),
          ),
          side === 'first' ? 1 : -1,
        ),
      })),
      {
        kind: 'bound',
        name: `${counted(corner, 'turn')} at each corner`,
        on: bandsOn(side, CORNER),
        begin: 0,
        turns: corner,
        long: corner * pitch,
      },
    ];
    const ringWires = [0, 1].map((index): PieceWire => ({
      id: `wire ${index}`,
      name: `ring wire ${index + 1}`,
      cutFrom: 'wire',
      size,
      start: pose(vec3(0, -middle, (index - 0.5) * D * (1 + HAIR)), vec3(1, 0)),
      first: handOf('first', index),
      second: handOf('second', index),
      tails: { first: tail, second: tail },
    }));
    const tie: PieceWire = {
      id: 'tie',
      name: 'tying wire',
      cutFrom: 'weaving',
      size: weaving,
      first: tieHand('first'),
      second: tieHand('second'),
      tails: { first: tieTail, second: tieTail },
    };
    const cut = cutsOfPiece(
      { bodies: [cab], wires: [...ringWires, tie] },
      {
        middle: {
          'wire 0': 'middle: bind it here',
          'wire 1': 'middle: bind it here',
          tie: 'middle of the tie',
        },
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'bind',
          makes: ['tying wire'],
          name: 'bind the middle of both wires with the middle of the thin one',
          minutes: 2,
        },
        {
          id: 'shank',
          name: 'bend each side’s pair once round the mandrel at the starting size, crossing at the front',
          minutes: 4,
        },
        {
          id: 'tie',
          name: 'slide it down and tie the crossing: one turn on each pair, then over all of it and back through',
          minutes: 3,
        },
        { id: 'stone', makes: ['cab'], name: 'set the cab on the tie and press the wires to it', minutes: 2 },
        {
          id: 'scrolls',
          makes: ['beside the cab'],
          name: 'roll the leading ends as scrolls beside the cab, pulled alternately',
          minutes: 12,
          cautions: ['gripping'],
        },
        {
          id: 'corner',
          name: `wind the thin wire ${counted(corner, 'time')} about all bands at each corner`,
          minutes: 4,
        },
        {
          id: 'size',
          name: 'mallet it, then hammer from the back’s middle outward and across, turning it round',
          minutes: 5,
          cautions: ['hammering'],
        },
        {
          id: 'trim',
          name: 'cut the lower ends on the shank and curl the upper ones over them',
          minutes: 3,
          cautions: ['cut ends', 'filing'],
        },
      ],
      order: [
        { first: 'bind', then: 'shank', why: 'nothing is wound about wires that lie against the mandrel' },
        { first: 'tie', then: 'stone', why: 'the cab is set on the tie' },
        { first: 'size', then: 'trim', why: 'nothing is trimmed before size and profile stand' },
      ],
      parts: [{ name: `cab, ${said(across)}`, count: 1 }],
      notes: [note, 'If it ends a quarter of a size under, sell it as that: growing it pops the stone out.'],
    });
  },
});

const FRONT = 'crossing the front';
