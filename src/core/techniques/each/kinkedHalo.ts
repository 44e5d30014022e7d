import type { Path } from '../../geometry/path';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, PieceWire, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { loopMiddle, plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import type { WireSize } from '../../wire/wireSize';
import { said, technique } from '../../technique/technique';

/** Rounds pass through a loop side by side, so far apart in thicknesses. */
const LANE = 1.08;
/** How far round the wire of a loop an end is caught, degrees. */
const CAUGHT = 200;
/** Kinks begin and end so far from the loops, as a part of a round. */
const PLAIN = 0.2;
/** How wide the bail is across its loops, in thicknesses. */
const BAIL_WIDE = 5.4;
/** How far beside the middle of the ring the wires of the bail lie on it, in thicknesses. */
const BAIL_LIES = 1.8;
/** How far beside their middle, below the loops and before them both ends come down, in thicknesses. */
const [BESIDE, DOWN, LIFT] = [0.95, 4, 1.1];
/** Why a ring is only sketched where it closes. */
const CLOSED = 'a ring is closed: its ends are one';
/** Points to each round. */
const POINTS = 160;
/** Between rounds of one side there is so much air, in thicknesses. */
const AIR = 0.5;

/**
 * A drilled bead on a wire with a loop at each end; a second wire carried from loop to loop round it, first on one side and then on the other,
 * loosely, both its ends caught on the loops; kinked with pliers afterwards. What is left of its cut is the bail.
 */
export const kinkedHalo = technique({
  id: 'kinked-halo',
  title: 'Kinked halo round a bead',
  group: 'beads',
  source: 'half ellipses from loop to loop, kinked as a sine, measured along them; loops π(a + D)',
  parameters: {
    wire: wire('Wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 14, 4, 60),
    drilled: drilled(1.2),
    loop: length('Loops, inside', 3.6, 1, 20),
    rounds: count('Rounds, on one side and on the other in turn', 5, 2, 12),
    gap: length('Gap between bead and halo', 1.5, 0, 20),
    kink: length('Kinks jut out', 0.5, 0, 4),
    apart: length('From kink to kink', 5, 1.5, 30),
    mandrel: length('Bail, inside', 4.5, 2, 20),
    spiral: count('Turns of each spiral of the bail', 2, 1, 6),
    ring: length('Jump ring that it hangs from, inside', 5, 2, 20),
    trim: length('Trim at each end of the bead’s wire', 1, 0, 20),
    tail: length('Handling tail at each end of the halo', 30, 0, 200),
  },
  plan: ({
    wire: size,
    bead,
    drilled: hole,
    loop,
    rounds,
    gap,
    kink,
    apart,
    mandrel,
    spiral,
    ring,
    trim,
    tail,
  }) => {
    const D = size.width;
    const passes = Math.floor(rounds / 2);
    const least = D * (1 + LANE * passes);
    if (loop < least)
      return refuse(
        `${counted(rounds, 'round')} go through each loop ${counted(passes, 'time')}, and an end is caught there: ${said(loop)} inside has no room for that, ${said(least)} has.`,
      );
    if (ring < BAIL_WIDE * D)
      return refuse(
        `A jump ring of ${said(ring)} inside does not go round the two doubled loops of the bail; ${said(BAIL_WIDE * D)} does.`,
      );
    const high = bead / 2 + loopMiddle({ inside: loop, size });
    const reachOf = (round: number) =>
      bead / 2 + gap + D / 2 + kink + Math.floor(round / 2) * (D * (1 + AIR) + 2 * kink);
    /** The lane in which a round passes a loop, from the one beside which an end is caught. */
    const laneAt = (lane: number) => (loop - D) / 2 - lane * LANE * D;
    // After an even number it comes back to the loop that it was begun at: there its end is caught on the other side.
    const isBack = rounds % 2 === 0;
    const last = isBack ? -laneAt(0) : laneAt(0);
    const courses = Array.from({ length: rounds }, (_, round): Course => {
      const isRight = round % 2 === 0;
      // It sets out where the one before came in; the first at the top and the last where it is caught are in the outermost lane.
      const from = laneAt(Math.ceil(round / 2));
      const to = round === rounds - 1 ? last : laneAt(Math.ceil((round + 1) / 2));
      return {
        kind: 'free',
        name: counted(rounds, 'round'),
        line: roundPath({
          across: isRight ? reachOf(round) : -reachOf(round),
          high: isRight ? high : -high,
          from,
          to,
          kink,
          apart,
        }),
        up: vec3(0, 0, 1),
      };
    });
    const caught = (roll: number): Course => ({
      kind: 'bent',
      name: 'caught on the loops',
      about: D,
      angle: CAUGHT,
      roll,
    });
    const loops = plainLoop({ name: 'two plain loops', id: 'loop', inside: loop, size, roll: 90 });
    const wires: readonly PieceWire[] = [
      {
        id: 'link',
        name: 'bead wire',
        cutFrom: 'wire',
        size,
        start: pose(vec3(0, bead / 2), vec3(0, -1)),
        first: [{ kind: 'threaded', name: 'through the bead', bead: 'bead' }, ...loops],
        second: loops,
        tails: { first: trim, second: trim },
      },
      {
        id: 'halo',
        name: 'halo wire',
        cutFrom: 'wire',
        size,
        start: pose(vec3(0, -high, laneAt(0)), vec3(1, 0)),
        first: [...courses, caught(isBack ? -90 : 90)],
        second: [caught(90)],
        tails: { first: tail, second: tail },
      },
      ...hangerOf({ size, mandrel, spiral, ring, lowest: -high - (loop - D) / 2 }),
    ];
    const cut = cutsOfPiece(
      { bodies: [{ kind: 'bead', id: 'bead', width: bead, length: bead, hole }], wires },
      { middle: { halo: 'hook it to the first loop' }, tails: 'trimmed' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'first-loop',
          name: 'turn a loop at one end of the bead’s wire',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
        { id: 'thread-bead', makes: ['through the bead'], name: 'thread the bead', minutes: 0.5 },
        {
          id: 'last-loop',
          makes: ['two plain loops'],
          name: 'turn the other loop, of the same size and in the same plane',
          minutes: 2,
        },
        { id: 'hammer', name: 'hammer both loops lightly', minutes: 1, cautions: ['hammering'] },
        {
          id: 'carry',
          makes: ['halo wire'],
          name: 'carry the second wire loosely from loop to loop, round the bead, and catch its ends',
          minutes: 2 + rounds,
          cautions: ['cut ends'],
        },
        { id: 'kink', name: 'kink the rounds with pliers', minutes: 1 + rounds },
        {
          id: 'flatten',
          name: 'hammer what juts out, never wire on wire',
          minutes: 2,
          cautions: ['hammering'],
        },
        {
          id: 'bail',
          makes: ['bail'],
          name: 'fold what is left of the halo’s wire double, turn both halves twice over a mandrel, and coil the ends outward',
          minutes: 5 + spiral,
          cautions: ['cut ends'],
        },
        { id: 'edge', name: 'hammer the spirals at their edge', minutes: 1, cautions: ['hammering'] },
        { id: 'hang', makes: ['jump ring'], name: 'hang loop and bail in a jump ring', minutes: 1 },
      ],
      order: [
        { first: 'thread-bead', then: 'last-loop', why: 'the bead does not pass a loop' },
        { first: 'hammer', then: 'carry', why: 'a loop is not hammered when wire lies in it' },
        { first: 'carry', then: 'kink', why: 'kinked wire does not go through the loops' },
        { first: 'carry', then: 'bail', why: 'the bail is what the halo leaves of its cut' },
        { first: 'edge', then: 'hang', why: 'a spiral is not hammered where wire lies behind it' },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      notes: [`The halo is ${said(2 * reachOf(rounds - 1) + D + 2 * kink)} across.`],
    });
  },
});

/** What a halo hangs from; mm. */
interface Hanger {
  readonly size: WireSize;
  readonly mandrel: number;
  readonly spiral: number;
  readonly ring: number;
  /** Where the middle of the jump ring lies in the loop of the bead’s wire, at its lowest. */
  readonly lowest: number;
}

/** A jump ring, and a bail of what the halo leaves of its cut: folded double, two doubled loops side by side, both ends coiled outward. */
function hangerOf({ size, mandrel, spiral, ring, lowest }: Hanger): readonly PieceWire[] {
  const D = size.width;
  const highest = lowest - ring - D;
  // The loops of the bail hang over the ring: two of their wires lie side by side under its highest, which falls away to both sides.
  const round = (ring + D) / 2;
  const falls = round - Math.sqrt(round ** 2 - (BAIL_LIES * D) ** 2);
  const [middle, off] = [highest + falls - (mandrel - D) / 2, (mandrel + D) / 2];
  const hand = (side: Side): readonly Course[] => {
    const way = side === 'first' ? 1 : -1;
    return [
      { kind: 'bent', name: 'bail: folded double', about: 0, angle: -90 * way },
      {
        kind: 'coiled',
        name: 'bail: two doubled loops',
        about: mandrel,
        turns: 1.5,
        pitch: 2 * LANE * D,
        roll: 90,
      },
      {
        kind: 'led',
        name: 'bail: down in front',
        to: pose(vec3(way * BESIDE * D, middle + mandrel / 2 + DOWN * D, off + LIFT * D), vec3(0, 1)),
      },
      {
        kind: 'curled',
        name: 'bail: two spirals, mirrored',
        inside: D,
        turns: -way * spiral,
        pitch: LANE * D,
      },
    ];
  };
  return [
    {
      id: 'ring',
      name: 'jump ring',
      cutFrom: 'wire',
      size,
      start: pose(vec3(0, lowest), vec3(1, 0)),
      first: [{ kind: 'bent', name: 'once round', about: ring, angle: -360, sketched: CLOSED }],
      second: [],
      tails: { first: 0, second: 0 },
    },
    {
      id: 'bail',
      name: 'bail',
      cutFrom: 'wire',
      restOf: 'halo',
      size,
      start: pose(vec3(1.5 * LANE * D, middle + D / 2, -off), vec3(1, 0)),
      first: hand('first'),
      second: hand('second'),
      tails: { first: 0, second: 0 },
    },
  ];
}

/** A round of a halo, from one loop to the other; mm. */
interface Round {
  /** How far out it goes, to the right; negative to the left. */
  readonly across: number;
  /** How high over the middle of the bead it begins; negative below it. It ends as far on the other side. */
  readonly high: number;
  /** In front of the middle, where it begins and where it ends. */
  readonly from: number;
  readonly to: number;
  readonly kink: number;
  readonly apart: number;
}

/** Half an ellipse from loop to loop, kinked in and out between them by as many whole kinks as fit. */
function roundPath({ across, high, from, to, kink, apart }: Round): Path {
  const long = (Math.PI * (Math.abs(across) + Math.abs(high))) / 2;
  const kinks = Math.max(1, Math.round((long * (1 - 2 * PLAIN)) / apart));
  return Array.from({ length: POINTS + 1 }, (_, step) => {
    const part = step / POINTS;
    const angle = Math.PI * part;
    const within = (part - PLAIN) / (1 - 2 * PLAIN);
    const isKinked = within > 0 && within < 1;
    // It sets out along the round and comes back to it.
    const soft = isKinked ? Math.sin(Math.PI * within) ** 0.5 : 0;
    const out = kink * soft * Math.sin(2 * Math.PI * kinks * within);
    const stretch = 1 + out / Math.abs(across);
    const turn = (1 - Math.cos(angle)) / 2;
    return vec3(
      across * Math.sin(angle) * stretch,
      -high * Math.cos(angle) * stretch,
      from + (to - from) * turn,
    );
  });
}
