import type { Path } from './path';
import { pose, smoothWay, type Pose } from './pose';
import { distance3, dot3, minus3, norm3, cross3, plus3, scaled3, unit3, vec3 } from './vec3';
import type { Vec } from './vector';

/**
 * A smooth line in the plane through points, from 0, 0 on: it sets out along x, and goes through each point as its neighbours lie (towards the next
 * as from the one before, in parts of how far they are), with a cubic of Bézier between two of them.
 * @param points mm, at least one, none of them where the one before is
 * @example smoothLine([{ x: 10, y: 0 }]).at(-1)?.x // 10
 */
export function smoothLine(points: readonly Vec[]): Path {
  const through = [vec3(0, 0), ...points.map(({ x, y }) => vec3(x, y))];
  const poses = [pose(vec3(0, 0), vec3(1, 0))];
  for (const [index, at] of through.entries()) {
    const [before, after, last] = [through[index - 1], through[index + 1], poses.at(-1)];
    if (!before || !last) continue;
    const came = minus3(at, before);
    // At its end as round a circle: it comes in as much turned from the straight as it went out.
    if (!after) poses.push(pose(at, mirrored(last.along, unit3(came))));
    else poses.push(pose(at, asTheCircle(came, minus3(after, at))));
  }
  return poses.slice(1).reduce<Path>((line, to, index) => {
    const from = poses[index] as Pose;
    const way = smoothWay(from, to, handleOf(from, to));
    return line.length === 0 ? way : [...line, ...way.slice(1)];
  }, []);
}

/** How the circle goes through a point, that comes to it and goes on so. Where the line turns right back, the point is its farthest: across, to the left. */
function asTheCircle(came: Path[number], goes: Path[number]): Path[number] {
  const [long, next] = [norm3(came), norm3(goes)];
  const along = plus3(scaled3(came, next / long), scaled3(goes, long / next));
  return norm3(along) > 1e-6 * Math.max(long, next) ? along : vec3(-came.y, came.x);
}

/** A turn is followed as a circle would go as far as this, radians. */
const MOST_TURNED = 2;
/** Handles with which a cubic follows a circle, as a part of its chord: 4/3 tan(θ/4) of its radius (the usual approximation of an arc). */
function handleOf(from: Pose, to: Pose): number {
  const turned = Math.min(MOST_TURNED, Math.acos(Math.max(-1, Math.min(1, dot3(from.along, to.along)))));
  return turned < 1e-6 ? 1 / 3 : ((4 / 3) * Math.tan(turned / 4)) / (2 * Math.sin(turned / 2));
}

/** A direction mirrored at another one. */
const mirrored = (given: Path[number], at: Path[number]): Path[number] =>
  minus3(scaled3(at, 2 * (given.x * at.x + given.y * at.y + given.z * at.z)), given);

/**
 * Where a line bends the most.
 * @returns how far along it that is and the radius of the circle through it and its neighbours, mm; Infinity where it is straight
 */
export function tightestBend(line: Path): { readonly on: number; readonly radius: number } {
  let on = 0;
  let tightest = { on: 0, radius: Infinity };
  for (let index = 1; index + 1 < line.length; index += 1) {
    const [a, b, c] = [line[index - 1], line[index], line[index + 1]] as [Path[0], Path[0], Path[0]];
    on += distance3(a, b);
    const twice = norm3(cross3(minus3(b, a), minus3(c, a)));
    const radius =
      twice < 1e-12 ? Infinity : (distance3(a, b) * distance3(b, c) * distance3(a, c)) / (2 * twice);
    if (radius < tightest.radius) tightest = { on, radius };
  }
  return tightest;
}
