import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { choice, type WireSize } from './parameter';
import { bow, helix, straight } from './shapes';
import { bendOf, frameRow, winding } from './winding';

/** Wraps on a frame between beads that are bound to it, the beads above it on the paper, mm. */
export interface BoundBeads {
  /** Of the wraps between two beads. */
  readonly wraps: number;
  readonly along: number;
  /** What each bead takes besides its own length: up to its hole and down again, less the turn that is not finished for it. */
  readonly rise: number;
  /** Height of the hole over the middle of the frame. */
  readonly height: number;
  /** The wraps from x = 0 on, with the ways up to a hole before them, behind them, or both. */
  readonly path: (before: boolean, behind: boolean) => Path;
}

/**
 * Beads bound along a frame. From the frame the wire leaves its turn in a straight line to the hole, tangent to the turn:
 * 2(√(h² − r²) − r·acos(r/h)) for each bead, h the height of the hole over the middle of the frame and r = (D + d)/2. Source:
 * handbook of the trade; plane geometry.
 * @param bead how thick the bead is
 */
export function boundBeads(frame: WireSize, thin: WireSize, wraps: number, bead: number): BoundBeads {
  const bound = winding(frameRow(frame, 1), thin, wraps);
  const r = (frame.width + bendOf(thin).thick) / 2;
  const height = (frame.width + bead) / 2;
  const [tangent, arc] = height > r ? [Math.sqrt(height ** 2 - r ** 2), r * Math.acos(r / height)] : [0, 0];
  const turns =
    frame.profile === 'square' ? bound.path : helix(0, 0, r, wraps, bound.along / wraps, -Math.PI / 2);
  return {
    wraps: bound.length,
    along: bound.along,
    rise: 2 * (tangent - arc),
    height,
    path: (before, behind) => {
      const end = before ? leftOff(turns, arc) : turns;
      const whole = behind ? leftOff([...end].reverse(), arc).reverse() : end;
      const hole = (x: number): Vec3 => ({ x, y: -height, z: 0 });
      const [first, last] = [whole[0], whole.at(-1)];
      return [
        ...(before && first ? [towards(first, hole(0), tangent)] : []),
        ...whole,
        ...(behind && last ? [towards(last, hole(bound.along), tangent)] : []),
      ];
    },
  };
}

/** A path without so much of its beginning. */
function leftOff(path: Path, length: number): Vec3[] {
  let left = length;
  for (let index = 1; index < path.length; index += 1) {
    const [from, to] = [path[index - 1] as Vec3, path[index] as Vec3];
    const step = lengthOfPath([from, to]);
    if (step > left) return [towards(from, to, left), ...path.slice(index)];
    left -= step;
  }
  return [...path];
}

/** The point a distance from one on the way to another. */
function towards(from: Vec3, to: Vec3, distance: number): Vec3 {
  const whole = lengthOfPath([from, to]);
  const part = whole > 0 ? distance / whole : 0;
  return {
    x: from.x + (to.x - from.x) * part,
    y: from.y + (to.y - from.y) * part,
    z: from.z + (to.z - from.z) * part,
  };
}

/** How often the wire goes through each bead: twice, round it and through again, holds it still. */
export const through = choice('The wire goes through each bead', ['once', 'twice'], 'once');

/** A bead as it is threaded, its hole along x from 0, mm. */
export interface Threaded {
  /** Length of wire inside of it, and round it on the way back. */
  readonly inside: number;
  readonly back: number;
  readonly paths: readonly Path[];
}

/**
 * Wire through a round bead, or through it, back round its outside by half a circle, and through again.
 * @param bead along its hole, and across, mm
 * @param wire the wire’s diameter, mm
 */
export function threaded(bead: number, wire: number, times: 'once' | 'twice'): Threaded {
  const hole = straight(0, 0, bead, 0);
  if (times === 'once') return { inside: bead, back: 0, paths: [hole] };
  const radius = (bead + wire) / 2;
  return {
    inside: 2 * bead,
    back: Math.PI * radius,
    paths: [hole, bow(bead / 2, 0, radius, 0, -Math.PI), hole],
  };
}
