import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { inPose, pose, type Pose } from '../geometry/pose';
import { minus3 } from '../geometry/vec3';
import { centroidOf, pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import type { StoneSize } from '../stone/stoneSize';
import type { Bead, Body, Cab, Climbing, Point } from './piece';

/** A body that lies somewhere. */
export type PlacedBody = Body & { readonly pose: Pose };

/**
 * How high a cabochon is over its back at a part of the way in from its edge (0) to its middle (1), mm: its edge stands straight up, its face
 * is a dome like part of an ellipsoid.
 */
export const domeAt = ({ edge, depth }: Pick<StoneSize, 'edge' | 'depth'>, inward: number): number =>
  edge + (depth - edge) * Math.sqrt(Math.max(0, 1 - (1 - Math.min(1, inward)) ** 2));

/** How high the face of a cabochon is over its back, so far in from its edge, mm. */
export const faceAt = ({ size }: Cab, inward: number): number =>
  domeAt(size, Math.max(0, inward) / (Math.min(size.length, size.width) / 2));

/** How far off its axis the surface of a point is, mm; 0 at its tips and beyond them. */
export function radiusAt({ length, width, tapers, isDrop }: Point, along: number): number {
  if (along <= 0 || along >= length) return 0;
  if (!tapers) return (width / 2) * Math.sqrt(1 - ((2 * along) / length - 1) ** 2);
  const [first, second] = tapers;
  if (isDrop && along > length - second)
    return (width / 2) * Math.sqrt(1 - ((along - length + second) / second) ** 2);
  const part = Math.min(1, along / first, (length - along) / second);
  return (width / 2) * part;
}

/** Places on a body, in its own pose: to its right on its way, to its right, up. */
export const onBody = ({ pose: lies }: { readonly pose: Pose }, x: number, y: number, z: number): Vec3 =>
  inPose(lies, x, y, z);

/** Points to each curve of an outline, to a round, and from edge to middle of a dome. */
const POINTS = 48;
const ROUND = 32;
const RINGS = 16;

/** Points of the surface of a body, close enough together to see its shape by. */
export function surfaceOf(body: PlacedBody): Path {
  switch (body.kind) {
    case 'cab':
      return cabSurface(body);
    case 'bead':
      return turnedSurface(body, rounding(-body.length / 2, 0, body.length / 2), (along) =>
        beadRadius(body, along),
      );
    case 'point':
      return turnedSurface(body, stationsOf(body), (along) => radiusAt(body, along));
  }
}

/** How far off its hole the surface of a bead is, mm from its middle: an ellipsoid. */
export const beadRadius = ({ width, length }: Bead, along: number): number =>
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

/** Places along a point by which its shape is seen: its corners among them, closer where it is rounded towards a tip. */
function stationsOf({ length, tapers, isDrop }: Point): readonly number[] {
  if (!tapers) return rounding(0, length / 2, length);
  const [first, second] = [tapers[0], length - tapers[1]];
  return isDrop
    ? [0, ...rounding(2 * second - length, second, length).filter((at) => at >= second)]
    : [0, first, second, length];
}

/** Places from one end of a round through its middle to the other, closer towards its ends. */
const rounding = (from: number, middle: number, to: number): readonly number[] =>
  Array.from(
    { length: 2 * POINTS + 1 },
    (_, index) => middle - ((to - from) / 2) * Math.cos((Math.PI * index) / (2 * POINTS)),
  );

function turnedSurface(
  body: PlacedBody,
  stations: readonly number[],
  radius: (along: number) => number,
): Path {
  return stations.flatMap((along) =>
    Array.from({ length: ROUND }, (__, step) => {
      const angle = (2 * Math.PI * step) / ROUND;
      const off = radius(along);
      return onBody(body, along, off * Math.sin(angle), off * Math.cos(angle));
    }),
  );
}

/** Points to each turn round a point. */
const TURN_POINTS = 72;

/** Strands side by side have a hair of air between them, since a point tapers under them. */
const HAIR = 1.04;
/** Between these sines of half its lag a strand swings from beside the other to opposite it. */
const SWINGS = { from: 0.5, to: 0.95 };

/**
 * How far behind another strand one follows that climbs beside it and touches it, radians about the axis: their chord, 2r sin(½ lag), stands
 * off the way they climb by what they are thick; where they climb as steeply as round a tip they lie opposite each other.
 * @param off of their centre lines from the axis
 * @param pitch how far a turn climbs
 */
function lagOf(off: number, pitch: number, thick: number): number {
  const sine = Math.min(1, (HAIR * thick * Math.hypot(2 * Math.PI * off, pitch)) / (2 * off * pitch));
  const beside = 2 * Math.asin(sine);
  // Towards a tip it swings round to the other side over a while, not at once.
  const part = Math.min(1, Math.max(0, (sine - SWINGS.from) / (SWINGS.to - SWINGS.from)));
  return beside + (Math.PI - beside) * part * part * (3 - 2 * part);
}

/**
 * The way of a wire that climbs a point: evenly along its axis and about it, half a thickness off its surface.
 * @param thick of the wire
 */
export function climbingPath(course: Climbing, point: Point, thick: number): Path {
  const { from, to, turns, begin, play, strand = 'upper' } = course;
  const steps = Math.max(12, Math.ceil(Math.abs(turns) * TURN_POINTS));
  const first = (begin * Math.PI) / 180;
  const pitch = Math.abs((to - from) / turns);
  const angleAt = (part: number): number => {
    const off = offAt(part);
    const lag = strand === 'lower' ? Math.sign(turns) * lagOf(off, pitch, thick) : 0;
    return first + 2 * Math.PI * turns * part - lag;
  };
  const offAt = (part: number): number => radiusAt(point, from + (to - from) * part) + play + thick / 2;
  const parts = Array.from({ length: steps }, (_, step) =>
    finely(step / steps, (step + 1) / steps, angleAt),
  ).flat();
  return [...parts, 1].map((part) => {
    const [off, angle] = [offAt(part), angleAt(part)];
    return onBody(point, from + (to - from) * part, off * Math.sin(angle), off * Math.cos(angle));
  });
}

/** Where a strand swings round faster than so much from one point to the next, points are put between, radians. */
const SWING = 0.15;
const MOST_BETWEEN = 32;

/** Places from one part of a way to another, the last left out, close enough together for how fast an angle changes. */
function finely(from: number, to: number, angleAt: (part: number) => number): number[] {
  const count = Math.min(MOST_BETWEEN, Math.max(1, Math.ceil(Math.abs(angleAt(to) - angleAt(from)) / SWING)));
  return Array.from({ length: count }, (_, index) => from + ((to - from) * index) / count);
}

/** The pose at the end of a line. */
export function poseAtEnd(path: Path, up: Vec3): Pose {
  const [before, last] = [path.at(-2), path.at(-1)];
  if (!before || !last || lengthOfPath([before, last]) === 0) throw new RangeError('a line has two ends');
  return pose(last, minus3(last, before), up);
}
