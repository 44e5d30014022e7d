import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, Side } from '../../piece/piece';
import { ok } from '../../result';
import { describeRing } from '../../ring/ringSize';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { ringShank, turnedHalf } from '../../techniqueKit/ringShank';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';

/** Where the kinked wire runs out onto the mandrel, so many thicknesses beyond the bead. */
const BEYOND = 2.2;
/** What is wound round the foot of the bead leaves so much air between it and what is below, in thicknesses. */
const AIR = 0.7;
/** Wraps up the shank end so far before the foot of the bead, in thicknesses. */
const BEFORE = 4;

/**
 * A bead at the exact middle of a wire, both ends wound round the mandrel from there, up the shank on both sides, and round the foot of the bead.
 */
export const beadRing = technique({
  id: 'bead-ring',
  title: 'Ring wrapped round a bead',
  group: 'rings',
  source:
    'turns about the mandrel, wraps about the hull of the shank’s wires, a helix round the foot, measured as they lie. Start one size large (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'bead ring'),
    inside: insideWanted,
    rounds: count('Rounds of each end, the last of them a half', 2, 1, 6, 'Two are four wires at the back'),
    bead: beadLength('Bead', 6, 2, 30),
    drilled: drilled(1),
    swirls: count('Turns round the foot of the bead', 2, 0, 10),
    wraps: count('Wraps up the shank at each side', 3, 1, 12),
    tail: length('Handling tail at each end', 15, 0, 80),
  },
  plan: ({ wire: size, inside, rounds: bands, bead, drilled: hole, swirls, wraps, tail }) => {
    const D = size.width;
    const { begun, note } = ringStart('bead-ring', inside, 2 * bands * D);
    const ring = ringOf({ D, inside: begun.diameter, bands, bead, swirls, wraps });
    const handOf = (side: Side): readonly Course[] => {
      const way = ring.shank.wayOf(side);
      const foot: readonly Course[] =
        swirls > 0
          ? [
              { kind: 'led', name: FOOT, to: turnedHalf(ring.foot, way) },
              { kind: 'coiled', name: FOOT, about: ring.footInside, turns: -swirls / 2, pitch: 2 * D },
            ]
          : [];
      return [
        { kind: 'bent', name: KINK, id: 'kink', about: 0, angle: way * 90 },
        { kind: 'laid', name: KINK, length: ring.down },
        ...ring.shank.coursesOf(side, KINK),
        ...foot,
      ];
    };
    const cut = cutsOfPiece(
      {
        bodies: [
          {
            kind: 'bead',
            id: 'bead',
            width: bead,
            length: bead,
            hole,
            pose: pose(vec3(0, -ring.beadAt), vec3(1, 0)),
          },
        ],
        wires: [
          {
            id: 'wire',
            name: 'ring wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, -ring.beadAt), vec3(1, 0)),
            first: [{ kind: 'laid', name: THROUGH, length: bead / 2 }, ...handOf('first')],
            second: [{ kind: 'laid', name: THROUGH, length: bead / 2 }, ...handOf('second')],
            tails: { first: tail, second: tail },
          },
        ],
      },
      {
        middle: 'middle: the bead sits here',
        marked: [
          { wire: 'wire', side: 'second', at: 'kink', what: 'kink: the bead begins' },
          { wire: 'wire', side: 'first', at: 'kink', what: 'kink: the bead ends' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'thread-bead',
          makes: ['through the bead', 'kink'],
          name: 'thread the bead to the middle, and kink the wire on both sides',
          minutes: 1,
        },
        {
          id: 'wrap',
          makes: ['mandrel', 'round the finger at the starting size'],
          name: `wrap it on the mandrel at ${describeRing(begun)}`,
          minutes: 3,
        },
        { id: 'read', name: 'tug it snug and read the size before it slides off', minutes: 0.5 },
        {
          id: 'shank',
          makes: ['up each side of the shank'],
          name: 'wind each end up the shank, towards the bead',
          minutes: 4,
        },
        ...(swirls > 0
          ? [
              {
                id: 'swirl',
                makes: ['round the foot of the bead'],
                name: 'wind the ends round the foot of the bead',
                minutes: 4,
              },
            ]
          : []),
        {
          id: 'tuck',
          name: 'trim, tuck, and read the size both ways round',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'thread-bead', then: 'wrap', why: 'the bead cannot be threaded when the bands are wrapped' },
        { first: 'read', then: 'shank', why: 'a shank that is wound cannot be pulled to another size' },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      notes: [note, `At the back ${counted(2 * bands, 'wire')} lie side by side.`],
    });
  },
});

const KINK = 'kinked beside the bead';
const THROUGH = 'through the bead';
const FOOT = 'round the foot of the bead';

/** A ring about the middle of the paper, its bead at the top; mm and radians. */
function ringOf({
  D,
  inside,
  bands,
  bead,
  swirls,
  wraps,
}: {
  readonly D: number;
  readonly inside: number;
  readonly bands: number;
  readonly bead: number;
  readonly swirls: number;
  readonly wraps: number;
}) {
  const R = (inside + D) / 2;
  // From the hole down to where the wire leaves the bead: at least as far as what goes round its foot reaches.
  const down = Math.max(bead / 2 - D, (swirls + AIR) * D);
  const beadAt = R + D / 2 + Math.max(bead / 2, (swirls + 1 + 2 * AIR) * D);
  const beside = bead / 2 + D / 2;
  const clear = beside + BEYOND * D;
  const from = Math.asin(Math.min(0.9, clear / R));
  // Where the wraps of a side end, round from the top.
  const end = Math.asin(Math.min(0.95, (beside + BEFORE * D) / R));
  const shank = ringShank({ wire: 'wire', D, inside, bands, from, end, wraps, right: 'first' });
  const footRadius = beside + D;
  const slope = D / (Math.PI * footRadius);
  const footFrom = vec3(-Math.SQRT1_2 * footRadius, -beadAt + (swirls + 0.5) * D, Math.SQRT1_2 * footRadius);
  return {
    beadAt,
    down,
    shank,
    footInside: 2 * footRadius - D,
    foot: pose(footFrom, vec3(Math.SQRT1_2, -slope, Math.SQRT1_2), vec3(0, -1)),
  };
}
