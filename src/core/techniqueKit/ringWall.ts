import type { Path, Vec3 } from '../geometry/path';
import { pose, type Pose } from '../geometry/pose';
import { vec } from '../geometry/vector';
import { vec3 } from '../geometry/vec3';
import type { Cab } from '../piece/piece';
import { lyingOn } from './onFace';

/** Room beside things that touch, as a part of their thickness. */
const HAIR = 0.06;
/** Inside of the bend over which both are bent, on edge, there is so much room from what is woven on the lower one, in thicknesses of that and of it. */
const BENT = { woven: 2.65, wire: 0.36 };
/** The upper one stands up so far before the middle of the side that it comes up on, along the cab, mm; the lower one beside it. */
const STANDS = 0.25;
/** Where both end on the other side of the cab, degrees from where they came up: as much as leaves room for those that come up there. */
const END = 169;
/** There the lower one is bent out: how far off the wall and how far down, in thicknesses, and how steeply it goes on down. */
const OUT = { off: 0.9, down: 0.3, slope: 0.5 };
/** The lower one lies at least so high over the foot of the cab, in thicknesses: lower its wires would be bent over too short. */
const LEAST_HIGH = 0.4;
/** Over so much of its way from there on the upper one comes up over the edge, and in over it, in times of it and what is coiled on it. */
const COMES_IN = { up: 2.25, in: 3.6 };
/** Points to a millimetre of a line. */
const FINE = 16;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** From 0 to 1 softly on both ends, and 1 from there on. */
const softly = (part: number): number => {
  const within = Math.min(1, part);
  return (1 - Math.cos(Math.PI * within)) / 2;
};

/** What a wall of two wires is made of and what it goes round; mm. */
export interface WallTold {
  /** Its size and how high its back lies over the middle of the ring. */
  readonly cab: Cab;
  readonly foot: number;
  /** Thickness of the wires of the wall, and of the one that is woven on them. */
  readonly D: number;
  readonly d: number;
  /** From the middle of one of both wires to the middle of the other. */
  readonly step: number;
  /** How far the upper one comes in over the edge. */
  readonly reach: number;
  /** How far round the cab it lies there, degrees. */
  readonly over: number;
}

/**
 * Half a wall about a round cab on top of a ring: two wires that come up beside one another on the left of it, are bent over together, on edge, lie
 * one above the other along its front half, and end on its right. The other half is it turned half round.
 */
export function ringWall({ cab, foot, D, d, step, reach, over }: WallTold) {
  const { length: across, edge } = cab.size;
  const c = across / 2 + d * (1 + HAIR) + D / 2;
  const low = Math.max(LEAST_HIGH * D, edge - step);
  const high = low + step;
  const end = c * radians(END);
  /** A place so far along the cab from its left on, towards its front, so high over its foot. */
  const at = (along: number, height: number, off = c): Vec3 =>
    vec3(-off * Math.cos(along / c), -(foot + height), off * Math.sin(along / c));
  const bend = (D + d) / 2 + BENT.woven * d + BENT.wire * D;
  const turnsAt = STANDS + step + bend;
  const linesOf = (radius: number, height: number): Path => {
    const quarter = Math.ceil((radius * Math.PI * FINE) / 2);
    const along = Math.ceil((end - turnsAt) * FINE);
    return [
      ...Array.from({ length: quarter }, (_, index) => {
        const angle = ((Math.PI / 2) * index) / quarter;
        return at(turnsAt - radius * Math.cos(angle), height - radius + radius * Math.sin(angle));
      }),
      ...Array.from({ length: along + 1 }, (_, index) =>
        at(turnsAt + ((end - turnsAt) * index) / along, height),
      ),
    ];
  };
  const standing = (radius: number, height: number): Pose => {
    const here = at(turnsAt - radius, height - radius);
    return pose(here, vec3(0, -1), vec3(here.x, 0, here.z));
  };
  // What is coiled on it lies on the face as a ball rolls over it, and clear of the wall that begins there.
  const ball = D / 2 + d;
  const lies: Cab = { ...cab, pose: pose(vec3(0, 0), vec3(1, 0)) };
  const inside = across / 2 - reach + D / 2;
  const clear = high + Math.sqrt(Math.max(0, (2 * ball * (1 + HAIR)) ** 2 - (c - inside) ** 2));
  const rolled = lyingOn(lies, ball * (1 + HAIR), high);
  const lying = Math.max(clear, rolled(vec(inside, 0)));
  const parts = Math.ceil(radians(over) * c * FINE);
  const overEdge: Path = Array.from({ length: parts + 1 }, (_, index) => {
    const along = (c * radians(over) * index) / parts;
    // First up, then in: round the edge, not through it.
    const off = c + (inside - c) * softly(along / (COMES_IN.in * (D + d)));
    return at(end + along, high + (lying - high) * softly(along / (COMES_IN.up * (D + d))), off);
  });
  // Out of the way of those that come up there the lower one is bent out at once.
  const beyond = at(end, low - OUT.down * D, c + OUT.off * D);
  const away = pose(beyond, vec3(Math.cos(radians(180 - END)), OUT.slope));
  return {
    lower: { stands: standing(bend, low), line: linesOf(bend, low), away },
    upper: { stands: standing(bend + step, high), line: linesOf(bend + step, high), overEdge },
    /** So much of the line of the lower one is a bend, radians: what is woven on it comes the less far. */
    turned: Math.PI / 2 + (end - turnsAt) / c,
  };
}
