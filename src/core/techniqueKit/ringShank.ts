import { pose, type Pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import type { Along, Course, Side } from '../piece/piece';
import { counted } from '../units/counted';

/** A shank of rounds that both ends of one wire make about a mandrel, wound together on both sides of what it holds; mm and radians. */
export interface ShankTold {
  /** The wire, and how thick it is. */
  readonly wire: string;
  readonly D: number;
  /** Inside diameter that it is begun at. */
  readonly inside: number;
  /** Rounds of each end, the last of them short of what winds up the side. */
  readonly bands: number;
  /** How far round from the top it comes onto the mandrel, and how far from there wraps up each side end. */
  readonly from: number;
  readonly end: number;
  /** Wraps up each side. */
  readonly wraps: number;
  /** The hand that sets out to the right, clockwise. */
  readonly right: Side;
}

/** What the rounds are called. */
const ROUNDS = 'round the finger at the starting size';

const WHOLE = 2 * Math.PI;

/** Half a turn about the upright through the middle of the ring: what one hand does, done by the other. */
export const turnedHalf = ({ at, along, up }: Pose, way: 1 | -1): Pose =>
  pose(
    vec3(way * at.x, at.y, way * at.z),
    vec3(way * along.x, along.y, way * along.z),
    vec3(way * up.x, up.y, way * up.z),
  );

/** The shank of a ring about the middle of the paper, open at the top; its rounds lie side by side, one hand’s in front and the other’s behind. */
export function ringShank({ wire, D, inside, bands, from, end, wraps, right }: ShankTold) {
  const R = (inside + D) / 2;
  const climb = D / WHOLE;
  const perRadian = Math.hypot(R, climb);
  const begin = end + (wraps * D) / R;
  const own = WHOLE * bands - begin;
  const onMandrel = pose(
    vec3(R * Math.sin(from), -R * Math.cos(from), climb * from),
    vec3(R * Math.cos(from), R * Math.sin(from), climb),
  );
  const wayOf = (side: Side): 1 | -1 => (side === right ? 1 : -1);
  /** Where rounds of a hand lie at an angle that it has come to. */
  const at = (side: Side, angle: number, towards: Along['towards']): Along => ({
    wire,
    from: { side, endOf: 'mandrel', on: (angle - from) * perRadian },
    towards,
  });
  /** The wires of the shank on the side where a hand winds up it: its own earlier rounds, and all of the other’s. */
  const shankOf = (side: Side): readonly Along[] => {
    const other = side === 'first' ? 'second' : 'first';
    return [
      ...Array.from({ length: bands - 1 }, (_, round) => at(side, WHOLE * (round + 1) - begin, side)),
      ...Array.from({ length: bands }, (_, round) => at(other, WHOLE * round + begin, side)),
    ];
  };
  return {
    at,
    wayOf,
    /** Onto the mandrel, round it, and up the shank on the other side. */
    coursesOf: (side: Side, name: string): readonly Course[] => [
      { kind: 'led', name, id: 'mandrel', to: turnedHalf(onMandrel, wayOf(side)) },
      { kind: 'coiled', name: ROUNDS, about: inside, turns: (own - from) / WHOLE, pitch: D },
      {
        kind: 'bound',
        name: `${counted(wraps, 'wrap')} up each side of the shank`,
        id: 'shank',
        on: shankOf(side),
        // Beside the shank it comes up; over its outside first, so that its end sets out from there, too.
        begin: bands > 1 ? 0 : 180,
        turns: -wraps,
        long: wraps * D,
      },
    ],
  };
}
