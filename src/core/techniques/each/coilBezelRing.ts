import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Cab, Course, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { ringShank, turnedHalf } from '../../techniqueKit/ringShank';
import { said, technique } from '../../technique/technique';

/** Each hand makes three quarters of a turn of the bezel from its centre. */
const QUARTERS = 0.75;
/** Where its ends come onto the mandrel, and where the wraps up the shank end, so many thicknesses beyond the bezel. */
const [BEYOND, BEFORE] = [2.4, 3.6];
/** The upper end goes down so far outside of the turn below it, so far aside and so far down in that, in thicknesses. */
const [OUTSIDE, ASIDE, DROP] = [1.15, 0.9, 0.5];
/** So far outside of the bezel both go down into their lanes, in thicknesses. */
const [LANE, IN_LANE] = [1.2, 0.3];
/** Turns of the tie beneath, of each half. */
const BENEATH = 2;
const HAIR = 0.05;
const SIDES = ['first', 'second'] as const;

/**
 * A drilled coin in a bezel of one and a half turns, begun at the centre of the wire; both ends go down and round the mandrel, none crossing, and
 * are wound up the shank on both sides; the coin is tied down through its hole.
 */
export const coilBezelRing = technique({
  id: 'coil-bezel-ring',
  title: 'Coil-bezel ring',
  group: 'rings',
  source:
    'a turn and a half of the bezel about s + 1, rounds about the mandrel, wraps about the hull of the shank’s wires, measured as they lie; the bezel is formed 1 mm over the stone (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'bead ring'),
    inside: insideWanted,
    rounds: count('Rounds of each end', 2, 2, 4, 'Two are four wires at the back'),
    stone: length('Coin across', 10, 3, 30),
    thick: length('Thickness of the coin', 3.5, 1, 12),
    drilled: drilled(1),
    over: length('Bezel larger than the coin by', 1, 0.5, 5),
    wraps: count('Wraps up each side of the shank', 3, 1, 15),
    tying: wire('Tying wire', roundWire(0.405), 'weaving'),
    tail: length('Handling tail at each end', 60, 0, 200),
    tieTail: length('Tail at each end of the tying wire', 20, 0, 100),
  },
  plan: ({
    wire: size,
    inside,
    rounds: bands,
    stone,
    thick,
    drilled: hole,
    over,
    wraps,
    tying,
    tail,
    tieTail,
  }) => {
    const [D, d] = [size.width, tying.width];
    if (over < d)
      return refuse(
        `Between a coin and its bezel that is ${said(over)} larger both ends of ${said(d)} do not go down; take ${said(d)} at least.`,
      );
    const { begun, note } = ringStart('coil-bezel-ring', inside, 2 * bands * D);
    const R = (begun.diameter + D) / 2;
    const bezel = (stone + over + D) / 2;
    if (bezel + BEFORE * D > 0.95 * R)
      return refuse(
        `A bezel of ${said(2 * bezel + D)} is as wide as this ring; for ${said(begun.diameter)} inside it is less than ${said(1.9 * R - 2 * BEFORE * D)}.`,
      );
    const from = Math.asin((bezel + BEYOND * D) / R);
    const shank = ringShank({
      wire: 'wire',
      D,
      inside: begun.diameter,
      bands,
      from,
      end: Math.asin((bezel + BEFORE * D) / R),
      wraps,
      right: 'second',
    });
    // The lower end of the bezel lies on the rounds under it, the coin on what ties it.
    const low = R + D * (1 + HAIR);
    const middle = low + QUARTERS * D;
    const coinFoot = R + D / 2 + d * (1 + HAIR);
    const coin: Cab = {
      kind: 'cab',
      id: 'coin',
      size: { outline: 'round', length: stone, width: stone, depth: thick, edge: thick },
      drilled: hole,
      // Its hole lies across the ring, as the tie goes.
      pose: pose(vec3(0, -coinFoot), vec3(0, 0, 1), vec3(0, -1)),
    };
    const handOf = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      return [
        {
          kind: 'coiled',
          name: 'one and a half turns of the bezel',
          id: 'bezel',
          about: stone + over,
          turns: way * QUARTERS,
          pitch: way * D,
        },
        // The upper end goes down outside of the turn below it, the lower one where it is.
        side === 'first'
          ? {
              kind: 'led',
              name: FROM_BEZEL,
              to: pose(
                vec3(-bezel - OUTSIDE * D, -middle - (QUARTERS - DROP) * D, -ASIDE * D),
                vec3(0, 1),
                vec3(0, 0, 1),
              ),
            }
          : { kind: 'bent', name: FROM_BEZEL, about: 0, angle: 90, roll: -90 },
        // Into its own lane before it comes down beside the rounds of the other.
        {
          kind: 'led',
          name: FROM_BEZEL,
          to: turnedHalf(
            pose(vec3(bezel + LANE * D, (-low - R * Math.cos(from)) / 2, IN_LANE * D), vec3(0.4, 0.9)),
            shank.wayOf(side),
          ),
        },
        ...shank.coursesOf(side, FROM_BEZEL),
      ];
    };
    const through = coinFoot + thick / 2;
    const beside = (stone + d * (1 + HAIR)) / 2;
    const tieHand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      // Beneath, about the two rounds that pass under the coin, from its edge inward.
      const angle = Math.asin((stone / 2 - d) / R);
      const onRight = shank.wayOf(side) === way ? side : (SIDES.find((each) => each !== side) as Side);
      const onLeft = SIDES.find((each) => each !== onRight) as Side;
      const under = Array.from({ length: bands - 1 }, (_, round) => 2 * Math.PI * (round + 1)).flatMap(
        (top) => [shank.at(onRight, top + angle, onLeft), shank.at(onLeft, top - angle, onLeft)],
      );
      return [
        { kind: 'laid', name: 'through the coin', length: beside - d / 2, isHidden: true },
        { kind: 'bent', name: DOWN, about: 0, angle: way * 90 },
        { kind: 'laid', name: DOWN, length: through - coinFoot - d },
        {
          kind: 'bound',
          name: `${counted(2 * BENEATH, 'turn')} beneath`,
          on: under,
          turns: way * BENEATH,
          long: BENEATH * d,
        },
      ];
    };
    const start: Pose = pose(vec3(0, -middle, -bezel), vec3(1, 0, 0), vec3(0, -1));
    const cut = cutsOfPiece(
      {
        bodies: [coin],
        wires: [
          {
            id: 'wire',
            name: 'ring wire',
            cutFrom: 'wire',
            size,
            start,
            first: handOf('first'),
            second: handOf('second'),
            tails: { first: tail, second: tail },
          },
          {
            id: 'tie',
            name: 'tying wire',
            cutFrom: 'tying',
            size: tying,
            start: pose(vec3(0, -through), vec3(1, 0)),
            first: tieHand('first'),
            second: tieHand('second'),
            tails: { first: tieTail, second: tieTail },
          },
        ],
      },
      {
        middle: { wire: 'centre: begin the bezel here', tie: 'middle: the coin sits here' },
        marked: SIDES.map((side) => ({
          wire: 'wire',
          side,
          at: 'mandrel',
          what: 'the bezel ends, bend down',
        })),
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'bezel',
          makes: ['of the bezel'],
          name: `wind the bezel on a mandrel of ${said(stone + over)}`,
          minutes: 3,
        },
        {
          id: 'down',
          makes: ['down from the bezel'],
          name: 'bend both ends out at right angles, one down beside the other',
          minutes: 1,
        },
        {
          id: 'bands',
          makes: ['round the finger at the starting size'],
          name: 'wind both ends round the ring mandrel, under the bezel, none crossing',
          minutes: 5,
        },
        {
          id: 'wrap',
          makes: ['up each side of the shank'],
          name: 'wind both ends up the shank and burnish them',
          minutes: 6,
          cautions: ['gripping', 'cut ends'],
        },
        { id: 'seat', name: 'flatten the wires under the bezel into a seat', minutes: 1.5 },
        { id: 'size', name: 'push it to size on the mandrel and read it both ways round', minutes: 3 },
        { id: 'stone', makes: ['coin'], name: 'lay the coin in, its best face up', minutes: 1 },
        {
          id: 'tie',
          makes: ['tying wire'],
          name: 'tie it through its hole, both ends down beside it and twice round beneath',
          minutes: 4,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'size', then: 'stone', why: 'growing a ring after its stone is set pops the stone out' },
        { first: 'seat', then: 'stone', why: 'nothing is flattened under a coin that lies there' },
        { first: 'stone', then: 'tie', why: 'a tie goes through the coin that it holds' },
      ],
      parts: [{ name: `drilled coin, ${said(stone)}`, count: 1 }],
      notes: [note],
    });
  },
});

const DOWN = 'down beside the coin';
const FROM_BEZEL = 'down from the bezel';
