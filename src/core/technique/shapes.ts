import type { Path, Vec3 } from '../geometry/path';
import { placeAt, pointsOf, type Outline, type Place } from '../outline/outline';

/** Paths that techniques are drawn by, mm. Each is as long as its formula says, but for its chords. */

const STEPS = 96;

const sampled = (at: (t: number) => Vec3, steps = STEPS): Path =>
  Array.from({ length: steps + 1 }, (_, index) => at(index / steps));

/** A straight wire. */
export const straight = (fromX: number, fromY: number, toX: number, toY: number, z = 0): Path => [
  { x: fromX, y: fromY, z },
  { x: toX, y: toY, z },
];

/**
 * A part of a circle in the plane of the paper.
 * @param start angle from the x axis, radians, clockwise on the paper
 */
export const bow = (x: number, y: number, radius: number, start: number, sweep: number, z = 0): Path =>
  sampled((t) => ({
    x: x + radius * Math.cos(start + sweep * t),
    y: y + radius * Math.sin(start + sweep * t),
    z,
  }));

/** A helix along x: turns of a radius about an axis. */
export const helix = (x: number, y: number, radius: number, turns: number, pitch: number, begin = 0): Path =>
  sampled(
    (t) => ({
      x: x + pitch * turns * t,
      y: y + radius * Math.sin(begin + 2 * Math.PI * turns * t),
      z: radius * Math.cos(begin + 2 * Math.PI * turns * t),
    }),
    Math.max(12, Math.ceil(48 * turns)),
  );

/** An Archimedean spiral about a point, from one radius out to another, its turns a pitch apart. */
export const spiral = (x: number, y: number, from: number, to: number, pitch: number): Path => {
  const [first, last] = [(2 * Math.PI * from) / pitch, (2 * Math.PI * to) / pitch];
  return sampled(
    (t) => {
      const angle = first + (last - first) * t;
      const radius = (pitch * angle) / (2 * Math.PI);
      return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle), z: 0 };
    },
    Math.max(24, Math.ceil(((last - first) / (2 * Math.PI)) * 72)),
  );
};

/** A path moved. */
export const moved = (path: Path, dx: number, dy: number, dz = 0): Path =>
  path.map(({ x, y, z }) => ({ x: x + dx, y: y + dy, z: z + dz }));

/** A path turned about the eye’s axis through the origin, radians clockwise on the paper. */
export const turned = (path: Path, angle: number): Path => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return path.map(({ x, y, z }) => ({ x: x * c - y * s, y: x * s + y * c, z }));
};

/** A path that runs along x, set down at a place of an outline, along it. */
export const setAt = (path: Path, { point, direction }: Pick<Place, 'point' | 'direction'>): Path =>
  moved(turned(path, Math.atan2(direction.y, direction.x)), point.x, point.y);

/** Points that a whole outline is drawn by, about. */
const ROUND = 360;

/** A wire that runs once round along an outline, at a height above the paper. */
export function allRound(outline: Outline, z = 0): Path {
  const first = outline.curves[0]?.at(0);
  return [...pointsOf(outline, Math.ceil(ROUND / outline.curves.length)), ...(first ? [first] : [])].map(
    ({ x, y }) => ({ x, y, z }),
  );
}

/** A wire that runs along a part of an outline, between two lengths from its start, mm. */
export function partRound(outline: Outline, from: number, to: number, z = 0): Path {
  return sampled((t) => {
    const { x, y } = placeAt(outline, from + (to - from) * t).point;
    return { x, y, z };
  }, 160);
}
