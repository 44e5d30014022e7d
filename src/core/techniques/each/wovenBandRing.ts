import { lengthOfPath, type Path, type Vec3 } from '../../geometry/path';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Cab, Course, PieceWire, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, weave, wire } from '../../parameter/parameter';
import type { StoneSize } from '../../stone/stoneSize';
import { turnedHalf } from '../../techniqueKit/ringShank';
import { ringWall } from '../../techniqueKit/ringWall';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { minutesToWeave, stripOf, THREE_AND_TWO } from '../../techniqueKit/woven';

/** Bent inward, turns of a weave stand so much farther apart than they are thick. */
const LOOSE = 1.2;
/** Room beside things that touch, as a part of their thickness. */
const HAIR = 0.06;
/** On each side of the cab the gap is so much wider, the seat begins so far from its edge, and its wires end so far from it; in thicknesses. */
const [GAP, SEAT, SHORT] = [1.7, 2.9, 2.6];
/** A wall is woven from so far after its wires are bent over on, until so far before they part, in thicknesses. */
const [WOVEN_FROM, WOVEN_TO] = [0.4, 0.15];
/** The upper wire of a wall lies over the edge so far round the cab, degrees. */
const OVER = 130;
/** So much of it is bare before its scroll, in thicknesses; how far apart turns of its coil stand, and how much farther they go bent as it is. */
const [BARE, COIL_PITCH, COIL_LOOSE] = [2, 1.1, 1.2];
/** What is held on to at both ends of the weaving wire of a wall, mm. */
const WALL_TAIL = 15;
const SIDES = ['first', 'second'] as const;
/** The weaving wire passes so far beside the wires of the band on its way to the seat, in thicknesses of these. */
const PASSING = 0.4;
/** A lower wire reaches the band on the other side so far beyond the gap, and lies along it so far, mm. */
const [REACHES, TUCKED] = [2.4, 4];

/** A band woven round the finger less a gap, a seat woven over the gap, and a small cab that the ends of the wires hold. */
export const wovenBandRing = technique({
  id: 'woven-band-ring',
  title: 'Woven band ring with a seat',
  group: 'rings',
  source:
    'wires round the mandrel less the gap, woven as far as whole repeats go, two walls of two wires round the cab, measured as they lie; scrolls are Archimedean spirals, exact',
  parameters: {
    weave: weave('Weave', {
      repeat: [
        { kind: 'wrap', first: 0, last: 0, wraps: 1 },
        { kind: 'wrap', first: 0, last: 1, wraps: 1 },
        { kind: 'wrap', first: 1, last: 2, wraps: 1 },
        { kind: 'wrap', first: 2, last: 2, wraps: 1 },
      ],
      close: [],
    }),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    inside: insideWanted,
    cab: length('Round cab across', 7, 3, 20),
    depth: length('Depth of the cab', 3, 1, 12),
    edge: length('Height of its edge', 1.4, 0.3, 8),
    scroll: length('Each scroll across, outside', 4, 2, 15),
    reach: length('Each upper end reaches over the edge of the cab', 0.6, 0, 4),
    tail: length('Tail at each end of a frame wire', 15, 0, 100),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  plan: ({
    weave: woven,
    base,
    weaving,
    inside,
    cab: across,
    depth,
    edge,
    scroll,
    reach,
    tail,
    weavingTail,
  }) => {
    if (edge > depth)
      return refuse(`An edge of ${said(edge)} is higher than a cab that is ${said(depth)} deep.`);
    const flat = stripOf(woven, base, weaving, 1);
    if (!flat.ok) return flat;
    if (flat.value.wires !== 3)
      return refuse(
        `A seat is made of the ends of three wires; this weave goes over ${counted(flat.value.wires, 'wire')}.`,
      );
    const { thick: D } = bendOf(base);
    const { thick: d, pitch } = bendOf(weaving);
    const { begun, note } = ringStart('woven-band-ring', inside, flat.value.across);
    // The weaving wire lies between the finger and the frame wires.
    const lined = begun.diameter + 2 * d;
    const R = (lined + D) / 2;
    // The ends come up and go down on both sides of the cab.
    const half = Math.asin(Math.min(0.95, (across / 2 + GAP * D) / R));
    if (across / 2 > 0.8 * R)
      return refuse(`A cab of ${said(across)} is too wide for this ring; ${said(1.6 * R)} is the most.`);
    const turns = (scroll - 3 * D) / (2 * D * (1 + HAIR));
    if (turns < 0.4)
      return refuse(
        `A scroll of ${said(D)} wire is ${said(3.9 * D)} across at least; ${said(scroll)} is less.`,
      );
    // Wraps touch one another where their middles lie inside of the wires.
    const round = 2 * (Math.PI - half);
    const strip = stripOf(woven, base, weaving, { within: ((R - (D + d) / 2) * round - D / 2) / LOOSE });
    if (!strip.ok) return strip;
    const { step, repeats, term } = strip.value;
    const seat = Math.max(1, Math.floor((2 * half * (R - (D + d) / 2) - 2 * SEAT * D) / pitch));
    const held: StoneSize = { outline: 'round', length: across, width: across, depth, edge };
    const foot = R + D / 2 + d * (1 + HAIR);
    const cab: Cab = {
      kind: 'cab',
      id: 'cab',
      size: held,
      pose: pose(vec3(0, -foot), vec3(1, 0), vec3(0, -1)),
    };
    const wall = ringWall({ cab, foot, D, d, step, reach, over: OVER });
    const turnedLine = (line: Path, way: 1 | -1): Path =>
      line.map(({ x, y, z }) => vec3(way * x, y, way * z));
    const free = (name: string, id: string, line: Path, way: 1 | -1, up: Vec3): Course => ({
      kind: 'free',
      name,
      id,
      line: turnedLine(line, way),
      up,
    });
    const outOf = ({ x, z }: Vec3): Vec3 => vec3(x, 0, z);
    /** What the left end of a wire does, by its lane: 1 in front, 0 in the middle, −1 behind; the right one is it turned half round. */
    const endOf = (lane: 1 | 0 | -1, way: 1 | -1): readonly Course[] => {
      if (lane === -1)
        return [
          {
            kind: 'coiled',
            name: 'across the gap',
            id: 'seat',
            about: lined,
            turns: (way * (2 * half - (SHORT * D) / R)) / (2 * Math.PI),
            pitch: 0,
          },
        ];
      const { stands, line } = lane === 1 ? wall.lower : wall.upper;
      const inWall: readonly Course[] = [
        { kind: 'led', name: 'up at the gap', id: 'up', to: turnedHalf(stands, way) },
        free('in the wall round the cab', 'wall', line, way, outOf(turnedLine(line, way).at(-1) as Vec3)),
      ];
      if (lane === 0)
        return [
          ...inWall,
          free('over the edge of the cab', 'over', wall.upper.overEdge, way, vec3(0, -1)),
          { kind: 'curled', name: 'scroll', inside: D, turns, pitch: D * (1 + HAIR) },
        ];
      // On the other side of the cab it comes down onto the woven band.
      const lying = half + REACHES / R;
      const onBand = R + D + d * (1 + 4 * HAIR);
      const down = pose(
        vec3(onBand * Math.sin(lying), -onBand * Math.cos(lying), 0.95 * step),
        vec3(Math.cos(lying), Math.sin(lying)),
      );
      return [
        ...inWall,
        ...[wall.lower.away, down].map((to): Course => ({
          kind: 'led',
          name: 'down to the band',
          to: turnedHalf(to, way),
        })),
        {
          kind: 'coiled',
          name: 'along the band',
          about: 2 * onBand - D,
          turns: TUCKED / (2 * Math.PI * onBand),
          pitch: 0,
        },
      ];
    };
    const wires = [1, 0, -1].map((lane, index): PieceWire => {
      const hand = (side: Side): readonly Course[] => {
        const way = side === 'first' ? 1 : -1;
        return [
          {
            kind: 'coiled',
            name: 'round the finger at the starting size',
            id: 'round',
            about: lined,
            turns: (way * (Math.PI - half)) / (2 * Math.PI),
            pitch: 0,
          },
          ...endOf((way * lane || 0) as 1 | 0 | -1, way),
        ];
      };
      return {
        id: `frame ${index}`,
        name: `frame wire ${'ABC'[index] ?? ''}`,
        cutFrom: 'base',
        size: base,
        // From the back of the hand, clockwise to the left edge of the gap.
        start: pose(vec3(0, R, lane * step), vec3(-1, 0)),
        first: hand('first'),
        second: hand('second'),
        tails: { first: tail, second: tail },
      };
    });
    const onBand = wires.map(({ id }): Along => ({
      wire: id,
      from: { side: 'second', endOf: 'round' },
      towards: 'first',
    }));
    const groups = [...Array.from({ length: repeats }, () => woven.repeat).flat(), ...woven.close];
    const passing = half - (2 * D) / (3 * R);
    const thread: PieceWire = {
      id: 'weaving',
      name: 'weaving wire',
      cutFrom: 'weaving',
      size: weaving,
      first: [
        { kind: 'wound', name: term.name, on: onBand, groups, pitch: LOOSE * pitch },
        // Past the wires that come up at the gap, outside of them.
        {
          kind: 'led',
          name: 'on to the seat',
          to: pose(
            vec3(-R * Math.sin(passing), -R * Math.cos(passing), step + D / 2 + d / 2 + PASSING * D),
            vec3(Math.cos(passing), -Math.sin(passing)),
          ),
        },
        {
          kind: 'wound',
          name: `${counted(seat, 'wrap')} over the gap: the seat`,
          id: 'seat',
          on: [
            {
              wire: 'frame 0',
              from: { side: 'second', endOf: 'seat', on: (SHORT - SEAT) * D },
              towards: 'first',
            },
            { wire: 'frame 2', from: { side: 'first', endOf: 'round', on: SEAT * D }, towards: 'first' },
          ],
          groups: [{ kind: 'wrap', first: 0, last: 1, wraps: seat }],
          gap: 2 * step - D,
        },
      ],
      second: [],
      tails: { first: weavingTail, second: weavingTail },
    };
    // On each side the two that are left are woven as a wall; inside of a bend wraps touch, so that they come the less far on the wire.
    const room = lengthOfPath(wall.lower.line) - (WOVEN_FROM + WOVEN_TO) * D - (wall.turned * (D + d)) / 2;
    const woven32 = stripOf(THREE_AND_TWO, base, weaving, { within: room });
    if (!woven32.ok) return woven32;
    if (woven32.value.repeats < 1)
      return refuse(
        `Round a cab of ${said(across)} there are ${said(Math.max(0, room))} of each wall to be woven; a repeat of 3 and 2 takes ${said(woven32.value.advance)}.`,
      );
    // From where the weave ends on it is coiled, over the edge; its scroll stays bare.
    const [onWall, onEdge] = [wall.upper.line, wall.upper.overEdge].map(lengthOfPath) as [number, number];
    const rest = (room - woven32.value.covered) / (1 - (D + d) / (across + D + 2 * d));
    const coiled = Math.max(1, Math.floor((rest + onEdge - BARE * D) / (pitch * COIL_PITCH * COIL_LOOSE)));
    const walls = SIDES.map((side, index): PieceWire => {
      const [lower, upper] = [`frame ${side === 'first' ? 0 : 2}`, 'frame 1'];
      return {
        id: `wall ${index + 1}`,
        name: 'weaving wire of a wall',
        cutFrom: 'weaving',
        size: weaving,
        first: [
          {
            kind: 'wound',
            name: woven32.value.term.name,
            on: [upper, lower].map((wire) => ({
              wire,
              from: { side, endOf: 'up', on: WOVEN_FROM * D },
              towards: side,
            })),
            groups: Array.from({ length: woven32.value.repeats }, () => THREE_AND_TWO.repeat).flat(),
          },
          {
            kind: 'bound',
            name: `${counted(coiled, 'wrap')} on an outer end`,
            on: [{ wire: upper, from: { side, endOf: 'up' }, towards: side, within: onWall }],
            turns: coiled,
            long: coiled * COIL_PITCH * pitch,
          },
        ],
        second: [],
        tails: { first: WALL_TAIL, second: WALL_TAIL },
      };
    });
    const cut = cutsOfPiece(
      { bodies: [cab], wires: [...wires, thread, ...walls] },
      {
        middle: Object.fromEntries([
          ...wires.map(({ id }) => [id, 'middle: the back of the hand'] as const),
          ['weaving', 'begin to weave'],
          ...walls.map(({ id }) => [id, 'begin to weave'] as const),
        ]),
        tails: 'tails',
      },
    );
    if (!cut.ok) return cut;
    const bare = (R - (D + d) / 2) * round - LOOSE * strip.value.covered;
    return ok({
      ...cut.value,
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 1 },
        {
          id: 'weave',
          name: 'weave the band flat',
          minutes: 3 + minutesToWeave(strip.value),
          cautions: ['gripping'],
        },
        {
          id: 'bend',
          name: `bend it on the mandrel, with a gap as wide as the cab`,
          minutes: 3,
        },
        {
          id: 'seat',
          makes: ['across the gap', 'over the gap: the seat'],
          name: 'lead one wire of each side across the gap and weave over both: the seat',
          minutes: 3,
        },
        { id: 'stone', makes: ['cab'], name: 'set the cab on the seat', minutes: 1 },
        {
          id: 'walls',
          makes: ['up at the gap', 'in the wall round the cab', 'repeats of A3 AB2'],
          name: `weave 3 and 2 on the outer two of each side, ${counted(woven32.value.repeats, 'repeat')}, and bend both walls round the cab`,
          minutes: 3 + 2 * minutesToWeave(woven32.value),
          cautions: ['gripping'],
        },
        {
          id: 'down',
          makes: ['down to the band', 'along the band'],
          name: 'lead the lower wires down through the band, and tuck them under what is woven',
          minutes: 3,
          cautions: ['piercing'],
        },
        {
          id: 'outer',
          makes: ['wraps on an outer end', 'over the edge of the cab', 'scroll'],
          name: `coil the upper ones, ${counted(coiled, 'wrap')} each, lead them over the edge and curl away what is bare of them`,
          minutes: 6,
          cautions: ['cut ends'],
        },
        {
          id: 'size',
          name: 'hammer it gently last, and read the size both ways round',
          minutes: 3,
          cautions: ['hammering'],
        },
      ],
      order: [
        { first: 'weave', then: 'bend', why: 'a bent band cannot be woven' },
        { first: 'seat', then: 'stone', why: 'the cab is set on its seat' },
        { first: 'stone', then: 'walls', why: 'the walls are bent round a cab that is there' },
      ],
      parts: [{ name: `round cab, ${said(across)}`, count: 1 }],
      notes: [
        note,
        `The band is ${said(strip.value.across)} wide.`,
        bare > 0.05
          ? `${strip.value.repeats} whole repeats leave ${said(bare)} bare at the gap.`
          : 'Whole repeats go round without a rest.',
      ],
    });
  },
});
