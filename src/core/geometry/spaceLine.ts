import type { Path, Vec3 } from './path';
import type { Pose } from './pose';
import { between3, distance3, dot3, minus3, norm3, scaled3, straightened, unit3, vec3 } from './vec3';

/** A line in space that is measured along itself. */
export interface SpaceLine {
  readonly points: Path;
  /** Length, mm. */
  readonly length: number;
  /** The pose at a length along it; before its start and beyond its end it goes on straight. */
  readonly at: (s: number) => Pose;
}

/** Closer together than this two points are one, mm. */
const SAME = 1e-9;

/**
 * A line through points, with a frame that is carried along it without twisting about it (double reflection: Wang, Jüttler, Zheng and Liu,
 * “Computation of rotation minimizing frames”, 2008).
 * @param up the way up at its start; what of it is not square to the line is left out
 * @throws RangeError when the points are all one
 */
export function spaceLine(given: Path, up: Vec3 = vec3(0, 0, 1)): SpaceLine {
  const points = given.filter(
    (point, index) => index === 0 || distance3(point, given[index - 1] as Vec3) > SAME,
  );
  if (points.length < 2) throw new RangeError('a line needs two points that are not one');
  const starts = [0];
  for (const [index, point] of points.entries())
    if (index > 0) starts.push((starts[index - 1] as number) + distance3(points[index - 1] as Vec3, point));
  const ways = points.slice(1).map((point, index) => unit3(minus3(point, points[index] as Vec3)));
  const tangents = points.map((_, index) => tangentAt(ways, index));
  const ups = carriedUps(points, tangents, up);
  const length = starts.at(-1) as number;
  const at = (s: number): Pose => {
    const run = Math.min(ways.length - 1, Math.max(0, lastAtOrBelow(starts, s)));
    const from = starts[run] as number;
    const long = (starts[run + 1] as number) - from;
    const part = Math.min(1, Math.max(0, (s - from) / long));
    const outside = s < 0 ? s : s > length ? s - length : 0;
    const along = unit3(between3(tangents[run] as Vec3, tangents[run + 1] as Vec3, part));
    const on = between3(points[run] as Vec3, points[run + 1] as Vec3, part);
    return {
      at:
        outside === 0
          ? on
          : { x: on.x + along.x * outside, y: on.y + along.y * outside, z: on.z + along.z * outside },
      along,
      up: straightened(between3(ups[run] as Vec3, ups[run + 1] as Vec3, part), along),
    };
  };
  return { points, length, at };
}

/** The way of a line at one of its points: between the way to it and the way from it. */
function tangentAt(ways: readonly Vec3[], index: number): Vec3 {
  const before = ways[Math.max(0, index - 1)] as Vec3;
  const after = ways[Math.min(ways.length - 1, index)] as Vec3;
  const both = { x: before.x + after.x, y: before.y + after.y, z: before.z + after.z };
  // A line that goes straight back has no way in between.
  return norm3(both) > 1e-6 ? unit3(both) : after;
}

function carriedUps(points: Path, tangents: readonly Vec3[], up: Vec3): Vec3[] {
  const ups = [straightened(up, tangents[0] as Vec3)];
  for (let index = 1; index < points.length; index += 1) {
    const [from, to] = [points[index - 1] as Vec3, points[index] as Vec3];
    const mirrored = (a: Vec3, over: Vec3, square: number): Vec3 =>
      minus3(a, scaled3(over, (2 * dot3(over, a)) / square));
    const chord = minus3(to, from);
    const square = dot3(chord, chord);
    const carried = mirrored(ups[index - 1] as Vec3, chord, square);
    const tangent = mirrored(tangents[index - 1] as Vec3, chord, square);
    const rest = minus3(tangents[index] as Vec3, tangent);
    const size = dot3(rest, rest);
    const next = size > 1e-18 ? mirrored(carried, rest, size) : carried;
    ups.push(straightened(next, tangents[index] as Vec3));
  }
  return ups;
}

/** The last of some rising numbers that is not above another, by halving; −1 when all are. */
function lastAtOrBelow(rising: readonly number[], wanted: number): number {
  let [low, high] = [-1, rising.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((rising[middle] as number) <= wanted) low = middle;
    else high = middle - 1;
  }
  return low;
}
