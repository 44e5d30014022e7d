import { lengthsAlong } from '../../geometry/alongPath';
import type { Path } from '../../geometry/path';
import { pose } from '../../geometry/pose';
import { minus3, plus3, scaled3, unit3, vec3 } from '../../geometry/vec3';
import type { Bead, Course, PieceWire, Side } from '../../piece/piece';
import { runPiece, type RunWire } from '../../piece/run';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { channelBeads, laced, railsApart, type Station } from '../../techniqueKit/channel';
import { dangleOf, horseshoeOf } from '../../techniqueKit/channelHangers';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, saidBy, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Both rails turn back so far before the top, radians, and come under the middle as near as the spirals are wide. */
const TOP = 0.5;
/** Points along half of the rail. */
const POINTS = 240;
/** Beads lie so much farther apart than they are wide, as a part, and begin so many beads after the turn. */
const [LOOSE, AFTER] = [0.04, 0.4];
/** Turns that finish it on each outer rail. */
const CLOSE = 3;
/** So much of the thin wire has room between two turns of a spiral. */
const OPEN = 1.15;
/** How wide a spiral is beyond its turns, in thicknesses. */
const SPIRAL_ROOM = 1.8;
const SIDES = ['first', 'second'] as const;

/**
 * A drop that is drilled from end to end between two rails of one wire, beads graded between them on both sides; a thin wire that comes up through
 * the drop holds everything.
 */
export const dropChannel = technique({
  id: 'drop-channel',
  title: 'Channel of beads round a drop',
  group: 'beads',
  source:
    'rails along an ellipse about the drop and as far outside of it as the beads are long; lacing of turns, holes and ways behind, measured as it lies',
  parameters: {
    base: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Lacing wire', roundWire(0.405), 'weaving'),
    long: length('Length of the drop', 16, 4, 80),
    wide: length('Width of the drop', 10, 3, 60),
    through: length('Hole of the drop', 1.2, 0.3, 6),
    play: length('Air between drop and frame', 0.6, 0, 5),
    beads: count('Beads at each side', 5, 1, 40),
    bead: beadLength('Bead', 3, 0.5, 20),
    drilled: drilled(0.8),
    spiral: count('Turns of each spiral at the foot', 2, 1, 6),
    spacer: length('Spacers of dangle and bail, along their hole', 1.5, 0.4, 8),
    spacerHole: length('Holes of what hangs and of the spacers', 1, 0.3, 6),
    hangs: length('Length of the small drop that hangs', 8, 2, 40),
    hangsWide: length('Width of the small drop', 5, 1.5, 30),
    trim: length('Trim at each end of the frame wire', 2, 0, 100),
    tail: length('Tail at each end of the lacing wire', 60, 0, 250),
  },
  plan: (told) => {
    const { base, wire: thin, long, wide, through, beads, bead, drilled: hole, spiral, trim, tail } = told;
    const { spacer, spacerHole, hangs, hangsWide } = told;
    const D = base.width;
    const { thick } = bendOf(thin);
    if (2 * thick > through)
      return refuse(
        `Both halves of ${said(thick)} go through the drop; its hole of ${said(through)} has room for less than ${said(2 * thick)}.`,
      );
    if (2 * thick > spacerHole)
      return refuse(
        `The dangle is doubled: both strands of ${said(thick)} go through bead and spacers, whose hole of ${said(spacerHole)} has room for less than ${said(2 * thick)}.`,
      );
    const apart = railsApart(base, thin, bead);
    const [a, b] = [(wide + D) / 2 + told.play, (long + D) / 2 + told.play];
    const rails = railsOf(a, b, apart, {
      free: 2 * (spiral + SPIRAL_ROOM) * (D + OPEN * thick),
      room: (CLOSE + 1) * thick,
    });
    const step = bead * (1 + LOOSE);
    if (beads > rails.most(step, bead * AFTER))
      return refuse(
        `Along each side of this drop ${counted(rails.most(step, bead * AFTER), 'bead')} of ${said(bead)} lie in the channel; ${beads} do not.`,
      );
    const stations = (side: Side): readonly Station[] =>
      Array.from({ length: beads }, (_, index) => rails.stationAt(bead * AFTER + (index + 0.5) * step, side));
    const bodies = SIDES.flatMap((side) =>
      channelBeads(stations(side), apart, bead, hole, (index) => `${side} ${index + 1}`),
    );
    const drop: Bead = {
      kind: 'bead',
      id: 'drop',
      width: wide,
      length: long,
      hole: through,
      pose: pose(vec3(0, 0), vec3(0, -1)),
    };
    const railHand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? -1 : 1;
      return [
        { kind: 'free', name: 'formed to the drop', id: 'inner', line: rails.inner(side), up: vec3(0, 0, 1) },
        { kind: 'bent', name: 'turned back over a mandrel', id: 'turn', about: apart - D, angle: way * 180 },
        { kind: 'free', name: 'the outer rail', id: 'outer', line: rails.outer(side), up: vec3(0, 0, 1) },
        {
          kind: 'curled',
          name: 'two spirals under the middle',
          id: 'spiral',
          inside: D,
          turns: way * -spiral,
          // The dangle is wound on its outermost turn.
          pitch: D + OPEN * thick,
        },
      ];
    };
    const lacingHand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      const back = side === 'first' ? 'second' : 'first';
      const flip = (mm: number) => (side === 'first' ? mm : -mm);
      const all = stations(side).map((station) => ({
        ...station,
        inner: flip(station.inner),
        outer: flip(station.outer),
      }));
      return [
        {
          kind: 'free',
          name: 'round the frame at the foot',
          line: footOf({ foot: b, drop: long / 2, D, thick }, way),
          up: vec3(0, 0, 1),
        },
        { kind: 'threaded', name: 'up through the drop', bead: 'drop', aside: (way * -thick) / 2 },
        ...laced({
          stations: all,
          beads: bodies.filter(({ id }) => id.startsWith(side)),
          inner: { wire: 'frame', towards: back },
          outer: { wire: 'frame', towards: side },
          rail: base,
          thin,
          wraps: 1,
          close: CLOSE,
          outward: side === 'first' ? 'right' : 'left',
        }),
      ];
    };
    const frame: PieceWire = {
      id: 'frame',
      name: 'frame wire',
      cutFrom: 'base',
      size: base,
      start: pose(vec3(0, b), vec3(-1, 0)),
      first: railHand('first'),
      second: railHand('second'),
      tails: { first: trim, second: trim },
    };
    const formed = runPiece({ bodies: [], wires: [frame] });
    if (!formed.ok) return formed;
    const hangers = {
      frame: formed.value.wires[0] as RunWire,
      thin,
      bead,
      spacer,
      hole: spacerHole,
      drop: { long: hangs, wide: hangsWide, hole: through },
      trim: 0,
    };
    const dangle = dangleOf({ ...hangers, trim: tail / 4 });
    const horseshoe = horseshoeOf({ ...hangers, size: base });
    const cut = cutsOfPiece(
      {
        bodies: [drop, ...bodies, ...dangle.bodies, ...horseshoe.bodies],
        wires: [
          frame,
          {
            id: 'lacing',
            name: 'lacing wire',
            cutFrom: 'wire',
            size: thin,
            start: pose(vec3(0, b + (D + thick) / 2), vec3(0, 0, 1), vec3(0, 1)),
            first: lacingHand('first'),
            second: lacingHand('second'),
            tails: { first: tail, second: tail },
          },
          dangle.wire,
          horseshoe.wire,
        ],
      },
      {
        middle: { frame: 'middle: the foot of the drop', lacing: 'folded in half: the foot of the drop' },
        marked: SIDES.map((side) => ({
          wire: 'frame',
          side,
          at: 'turn',
          what: 'turn back over the mandrel',
        })),
        tails: 'tails',
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'form',
          makes: ['formed to the drop'],
          name: 'form the middle of the frame wire to the drop',
          minutes: 4,
        },
        {
          id: 'turn',
          makes: ['turned back over a mandrel', 'the outer rail'],
          name: 'turn both hands back over a mandrel as thick as the beads',
          minutes: 2,
        },
        {
          id: 'count-out',
          name: 'count out the beads, pale to dark, alike on both sides',
          minutes: 1 + beads * 0.1,
        },
        {
          id: 'thread-drop',
          makes: ['round the frame at the foot', 'up through the drop', 'drop'],
          name: 'fold the thin wire in half at the foot, and bring both halves up through the drop',
          minutes: 2,
        },
        {
          id: 'lace',
          makes: ['turns on the rails', 'first', 'second'],
          name: 'lace the beads on both sides, one after another',
          minutes: 2 + 2 * beads * 1.1,
          cautions: ['gripping'],
        },
        {
          id: 'ends',
          makes: ['two spirals under the middle'],
          name: 'bend the ends of the outer rails under the middle and roll their spirals',
          minutes: 4,
          cautions: ['cut ends'],
        },
        {
          id: 'dangle',
          makes: ['dangle wire', 'dangle bead', 'dangle drop', 'dangle spacer'],
          name: 'double thin wire through a bead, a spacer and the small drop, put a spacer on each strand, and wind both on the spirals',
          minutes: 6,
        },
        {
          id: 'bail',
          makes: ['bail wire', 'horseshoe spacer'],
          name: 'bend the bail, a spacer on each leg, hook it in from the front and press it shut',
          minutes: 5,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'thread-drop', then: 'lace', why: 'the drop does not go in between rails that are laced' },
        { first: 'count-out', then: 'lace', why: 'sides that were not counted out come out unlike' },
        { first: 'ends', then: 'dangle', why: 'the dangle is wound on the spirals' },
        { first: 'lace', then: 'ends', why: 'no bead goes in when the outer rails meet under the middle' },
      ],
      parts: [
        { name: `drop, ${saidBy(long, wide)}, drilled lengthwise`, count: 1 },
        { name: `bead, ${said(bead)}`, count: 2 * beads + 1 },
        { name: `spacer, ${said(spacer)}`, count: 5 },
        { name: `small drop, ${saidBy(hangs, hangsWide)}, drilled lengthwise`, count: 1 },
      ],
      notes: [`The outer rails stand ${said(2 * (a + apart) + D)} across.`],
    });
  },
});

/** Points of a way round the frame at its foot, and how far round it goes before it leaves for the hole, radians. */
const [FOOT_POINTS, LEAVES] = [24, 0.7 * Math.PI];

/** From under the frame wire at the foot round it on one face, and up to the hole of the drop, beside the other half. */
function footOf({ foot, drop, D, thick }: Foot, way: 1 | -1): Path {
  const off = (D + thick) / 2;
  return [
    ...Array.from({ length: FOOT_POINTS + 1 }, (_, step) => {
      const angle = (LEAVES * step) / FOOT_POINTS;
      return vec3(0, foot + off * Math.cos(angle), way * off * Math.sin(angle));
    }),
    vec3((-way * thick) / 2, drop, 0),
  ];
}

/** The foot of a frame below its drop; mm. */
interface Foot {
  /** How low the middle of the frame wire lies there, and how low the drop reaches. */
  readonly foot: number;
  readonly drop: number;
  readonly D: number;
  readonly thick: number;
}

/** What is kept free of beads: between both outer rails at the foot, and along the channel for the turns that finish it; mm. */
interface Kept {
  readonly free: number;
  readonly room: number;
}

/**
 * Two rails along an ellipse about a drop and outside of it, from its foot to where they turn back; mm.
 * @param a half across, and b half along, of the middle of the inner rail
 */
function railsOf(a: number, b: number, apart: number, { free, room }: Kept) {
  const reach = Math.PI - TOP;
  const ts = Array.from({ length: POINTS + 1 }, (_, index) => (reach * index) / POINTS);
  const innerAt = (t: number) => vec3(-a * Math.sin(t), b * Math.cos(t));
  const outAt = (t: number) => unit3(vec3(-b * Math.sin(t), a * Math.cos(t)));
  const outerAt = (t: number) => plus3(innerAt(t), scaled3(outAt(t), apart));
  const mirrored = (side: Side, path: Path): Path =>
    side === 'first' ? path : path.map(({ x, y, z }) => vec3(-x, y, z));
  const inner = ts.map(innerAt);
  // Downward again, until what is left has room for the spirals.
  const end = ts.find((t) => -outerAt(t).x >= free / 2) ?? 0;
  const outer = ts
    .filter((t) => t >= end)
    .map(outerAt)
    .reverse();
  const middle = ts.map((t) => plus3(innerAt(t), scaled3(outAt(t), apart / 2)));
  const before = lengthsAlong(middle);
  const [innerBefore, outerBefore] = [lengthsAlong(inner), lengthsAlong(outer)];
  const turned = (innerBefore.at(-1) ?? 0) + (Math.PI * apart) / 2;
  const whole = before.at(-1) ?? 0;
  return {
    inner: (side: Side) => mirrored(side, inner),
    outer: (side: Side) => mirrored(side, outer),
    /** How many beads lie between the turn and the foot. */
    most: (step: number, from: number) => {
      const last = before[ts.findIndex((t) => t >= end)] ?? 0;
      return Math.max(0, Math.floor((whole - last - from - room) / step));
    },
    /** Where the middle of the channel is so far on from its turn. */
    stationAt: (on: number, side: Side): Station => {
      const index = Math.max(
        0,
        before.findIndex((each) => each >= whole - on),
      );
      const t = ts[index] ?? 0;
      const [at, out] = mirrored(side, [innerAt(t), minus3(outerAt(t), innerAt(t))]);
      return {
        at: at ?? innerAt(t),
        out: unit3(out ?? outAt(t)),
        inner: innerBefore[index] ?? 0,
        outer: turned + (outerBefore[POINTS - index] ?? 0),
      };
    },
  };
}
