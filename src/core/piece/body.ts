import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { inPose, pose, type Pose } from '../geometry/pose';
import { minus3 } from '../geometry/vec3';
import { centroidOf, pointsOf } from '../outline/outline';
import { outlineOf } from '../outline/outlineOf';
import { expectOk } from '../result';
import type { StoneSize } from '../technique/parameter';
import type { Bead, Body, Cab, Climbing, Point } from './piece';

/** A body that lies somewhere. */
export type PlacedBody = Body & { readonly pose: Pose };

/**
 * How high a cabochon is over its back at a part of the way in from its edge (0) to its middle (1), mm: its edge stands straight up, its face
 * is a dome like part of an ellipsoid.
 */
export const domeAt = ({ edge, depth }: Pick<StoneSize, 'edge' | 'depth'>, inward: number): number =>
  edge + (depth - edge) * Math.sqrt(Math.max(0, 1 - (1 - Math.min(1, inward)) ** 2));

/** How far off its axis the surface of a point is, mm; 0 at its tips and beyond them. */
export function radiusAt({ length, width, tapers }: Point, along: number): number {
  if (along <= 0 || along >= length) return 0;
  if (!tapers) return (width / 2) * Math.sqrt(1 - ((2 * along) / length - 1) ** 2);
  const [first, second] = tapers;
  const part = Math.min(1, along / first, (length - along) / second);
  return (width / 2) * part;
}

/** Places on a body, in its own pose: to its right on its way, to its right, up. */
export const onBody = ({ pose: lies }: { readonly pose: Pose }, x: number, y: number, z: number): Vec3 =>
  inPose(lies, x, y, z);

/** Points to each curve of an outline, to a round, and from edge to middle of a dome. */
const POINTS = 24;
const ROUND = 32;
const RINGS = 8;

/** Points of the surface of a body, close enough together to see its shape by. */
export function surfaceOf(body: PlacedBody): Path {
  switch (body.kind) {
    case 'cab':
      return cabSurface(body);
    case 'bead':
      return turnedSurface(body, body.length, -body.length / 2, (along) => beadRadius(body, along));
    case 'point':
      return turnedSurface(body, body.length, 0, (along) => radiusAt(body, along));
  }
}

/** How far off its hole the surface of a bead is, mm from its middle: an ellipsoid. */
const beadRadius = ({ width, length }: Bead, along: number): number =>
  (width / 2) * Math.sqrt(Math.max(0, 1 - (2 * along) ** 2 / length ** 2));

function cabSurface(body: Cab): Path {
  const outline = expectOk(outlineOf(body.size));
  const edge = pointsOf(outline, POINTS);
  const middle = centroidOf(outline);
  const rings = Array.from({ length: RINGS + 1 }, (_, ring) => ring / RINGS);
  return [
    ...edge.map(({ x, y }) => onBody(body, x, y, 0)),
    ...rings.flatMap((inward) =>
      edge.map(({ x, y }) =>
        onBody(body, x + (middle.x - x) * inward, y + (middle.y - y) * inward, domeAt(body.size, inward)),
      ),
    ),
  ];
}

function turnedSurface(
  body: PlacedBody,
  long: number,
  begin: number,
  radius: (along: number) => number,
): Path {
  return Array.from({ length: POINTS + 1 }, (_, index) => begin + (long * index) / POINTS).flatMap((along) =>
    Array.from({ length: ROUND }, (__, step) => {
      const angle = (2 * Math.PI * step) / ROUND;
      const off = radius(along);
      return onBody(body, along, off * Math.sin(angle), off * Math.cos(angle));
    }),
  );
}

/** Points to each turn round a point. */
const TURN_POINTS = 72;

/**
 * The way of a wire that climbs a point: evenly along its axis and about it, half a thickness off its surface.
 * @param thick of the wire
 */
export function climbingPath({ from, to, turns, begin, play }: Climbing, point: Point, thick: number): Path {
  const steps = Math.max(12, Math.ceil(Math.abs(turns) * TURN_POINTS));
  const first = (begin * Math.PI) / 180;
  return Array.from({ length: steps + 1 }, (_, step) => {
    const part = step / steps;
    const along = from + (to - from) * part;
    const angle = first + 2 * Math.PI * turns * part;
    const off = radiusAt(point, along) + play + thick / 2;
    return onBody(point, along, off * Math.sin(angle), off * Math.cos(angle));
  });
}

/** The pose at the end of a line. */
export function poseAtEnd(path: Path, up: Vec3): Pose {
  const [before, last] = [path.at(-2), path.at(-1)];
  if (!before || !last || lengthOfPath([before, last]) === 0) throw new RangeError('a line has two ends');
  return pose(last, minus3(last, before), up);
}
