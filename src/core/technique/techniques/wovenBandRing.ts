import { radians } from '../../geometry/angle';
import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { domeAt } from '../../piece/body';
import type { Along, Cab, Course, PieceWire, Pull, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../ofPiece';
import { length, roundWire, weave, wire, type StoneSize } from '../parameter';
import { turnedHalf } from '../ringShank';
import { insideWanted, ringStart } from '../ringStart';
import { said, technique } from '../technique';
import { bendOf } from '../winding';
import { minutesToWeave, stripOf } from '../woven';

/** Bent inward, turns of a weave stand so much farther apart than they are thick. */
const LOOSE = 1.2;
/** Room beside things that touch, as a part of their thickness. */
const HAIR = 0.06;
/** Where a middle wire comes to lie beside the cab and where it leaves it on the other side, degrees round it. */
const [FROM, TO] = [258, 112];
/** Where an outer wire lies along outside of that, and where it curls away. */
const [OUTER_FROM, OUTER_TO] = [244, 150];
/** On each side of the cab the gap is so much wider, the seat begins so far from its edge, and its wires end so far from it; in thicknesses. */
const [GAP, SEAT, SHORT] = [1.7, 2.4, 1.9];
/** A middle end lies over the edge on so much of its way beside the cab. */
const OVER_EDGE = 0.6;
/** Where the coil of an outer end begins beside the cab, in thicknesses; how much farther than it is thick each turn of it goes, and its tails, mm. */
const [COILED_FROM, COIL_LOOSE, COIL_TAIL] = [2.2, 1.06, 15];
const SIDES = ['first', 'second'] as const;
/** How far a middle wire lies on the band on the other side, mm. */
const TUCKED = 3;

/** A band woven round the finger less a gap, a seat woven over the gap, and a small cab that the ends of the wires hold. */
export const wovenBandRing = technique({
  id: 'woven-band-ring',
  title: 'Woven band ring with a seat',
  group: 'rings',
  source:
    'wires round the mandrel less the gap, woven as far as whole repeats go, ends round the cab, measured as they lie; scrolls are Archimedean spirals, exact',
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
    reach: length('Each middle end reaches over the edge of the cab', 0.6, 0, 4),
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
    const beside = foot + edge / 2;
    /** Where the left end of a wire lies, at the edge of the gap. */
    const c = (across + D) / 2;
    const toOther = (at: Pose, way: 1 | -1): Pose => turnedHalf(at, way);
    /** What the left end of a wire does, by its lane: 1 in front, 0 in the middle, −1 behind; the right one is it turned half round. */
    const endOf = (lane: 1 | 0 | -1, way: 1 | -1): readonly Course[] => {
      const turned = way === 1 ? 0 : 180;
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
      const out = c + (lane === 1 ? D + d * 2 : 0) * (1 + HAIR);
      const [from, to] = lane === 1 ? [OUTER_FROM, OUTER_TO] : [FROM, TO];
      const rise = pose(
        vec3(out * Math.sin(radians(from + 8)), -(R + beside) / 2, -out * Math.cos(radians(from + 8))),
        vec3(0, -1, 0.1),
        vec3(-1, 0),
      );
      // On the other side of the cab it comes down onto the woven band.
      const lying = half + TUCKED / R;
      const onBand = R + D + d * (1 + 4 * HAIR);
      const down = pose(
        vec3(onBand * Math.sin(lying), -onBand * Math.cos(lying), 0.55 * step),
        vec3(Math.cos(lying), Math.sin(lying)),
      );
      const inMm = (degrees: number) => (degrees / 360) * Math.PI * (2 * out);
      // Over the edge of the cab in the middle of its way.
      const over: readonly Pull[] =
        lane === 0 && reach > 0
          ? [
              {
                at: inMm((from + to) / 2 + turned),
                long: OVER_EDGE * inMm(from - to),
                inward: reach,
                height: domeAt(held, reach / (across / 2)) + D / 2,
                ramp: (OVER_EDGE / 3) * inMm(from - to),
              },
            ]
          : [];
      const along: Course = {
        kind: 'round',
        name: lane === 1 ? 'beside the cab' : 'round the cab',
        id: lane === 1 ? 'coiled' : 'held',
        body: 'cab',
        from: from + turned,
        to: to + turned,
        play: out - c,
        height: edge / 2,
        pulls: over,
      };
      return [
        { kind: 'led', name: 'up at the gap', id: 'up', to: toOther(rise, way) },
        along,
        lane === 1
          ? { kind: 'curled', name: 'scroll', inside: D, turns, pitch: D * (1 + HAIR) }
          : { kind: 'led', name: 'down to the band', to: toOther(down, way) },
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
    const thread: PieceWire = {
      id: 'weaving',
      name: 'weaving wire',
      cutFrom: 'weaving',
      size: weaving,
      first: [
        { kind: 'wound', name: term.name, on: onBand, groups, pitch: LOOSE * pitch },
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
    // Each outer end is coiled as far as it lies beside the cab; its scroll stays bare.
    const outside = ((across + D) / 2 + (D + d * 2) * (1 + HAIR)) * radians(OUTER_FROM - OUTER_TO);
    const coiled = Math.max(1, Math.floor((outside - (COILED_FROM + 1) * D) / (pitch * COIL_LOOSE)));
    const coils = SIDES.map((side, index): PieceWire => ({
      id: `coil ${index + 1}`,
      name: 'coiling wire',
      cutFrom: 'weaving',
      size: weaving,
      first: [
        {
          kind: 'bound',
          name: `${counted(coiled, 'wrap')} on an outer end`,
          on: [
            {
              wire: `frame ${side === 'first' ? 0 : 2}`,
              from: { side, endOf: 'up', on: COILED_FROM * D },
              towards: side,
            },
          ],
          turns: coiled,
          long: coiled * pitch,
        },
      ],
      second: [],
      tails: { first: COIL_TAIL, second: COIL_TAIL },
    }));
    const cut = cutsOfPiece(
      { bodies: [cab], wires: [...wires, thread, ...coils] },
      {
        middle: Object.fromEntries([
          ...wires.map(({ id }) => [id, 'middle: the back of the hand'] as const),
          ['weaving', 'begin to weave'],
          ...coils.map(({ id }) => [id, 'begin to coil'] as const),
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
          id: 'middle',
          makes: ['up at the gap'],
          name: 'lead the middle wires round the cab, and down onto the woven band',
          minutes: 4,
          cautions: ['piercing'],
        },
        {
          id: 'outer',
          makes: ['coiling wire', 'beside the cab', 'scroll'],
          name: `coil the outer ones, ${counted(coiled, 'wrap')} each, lead them beside the cab and curl away what is bare of them`,
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
        { first: 'stone', then: 'middle', why: 'the middle wires are led round a cab that is there' },
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
