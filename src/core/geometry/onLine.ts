import { lengthOfPath, type Path, type Vec3 } from './path';
import { between3, distance3, dot3, minus3 } from './vec3';

/** A place on a line. */
export interface OnLine {
  readonly at: Vec3;
  /** How far along it is, as a part of the length of the line: 0 to 1. */
  readonly part: number;
  /** How far it is from what it was looked for, mm. */
  readonly far: number;
  /** Behind which of its points it lies, and how far on to the next, 0 to 1. */
  readonly from: number;
  readonly on: number;
}

/** The nearest place of a line to a point. @param path of one point at least */
export function nearestOn(path: Path, to: Vec3): OnLine {
  let [at, gone, along, behind, on] = [path[0] as Vec3, 0, 0, 0, 0];
  let least = distance3(at, to);
  for (const [index, next] of path.entries()) {
    const from = path[index - 1];
    if (!from) continue;
    const way = minus3(next, from);
    const square = dot3(way, way);
    const part = square > 0 ? Math.min(1, Math.max(0, dot3(minus3(to, from), way) / square)) : 0;
    const place = between3(from, next, part);
    const far = distance3(place, to);
    if (far < least) {
      [at, along, least] = [place, gone + part * Math.sqrt(square), far];
      [behind, on] = [index - 1, part];
    }
    gone += Math.sqrt(square);
  }
  return { at, part: gone > 0 ? along / gone : 0, far: least, from: behind, on };
}

/** The place so far along a line. @param part of its length, 0 to 1 */
export function atPart(path: Path, part: number): Vec3 {
  let left = lengthOfPath(path) * part;
  for (const [index, to] of path.entries()) {
    const from = path[index - 1];
    if (!from) continue;
    const long = distance3(from, to);
    if (long > 0 && left <= long) return between3(from, to, left / long);
    left -= long;
  }
  return path.at(-1) as Vec3;
}

/** Points at equal parts of a line, its beginning and its end among them. */
export const atParts = (path: Path, parts: number): readonly Vec3[] =>
  Array.from({ length: parts + 1 }, (_, index) => atPart(path, index / parts));
