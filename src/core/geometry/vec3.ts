import type { Vec3 } from './path';

/**
 * Points and directions in space, mm: x to the right and y down as on the paper, z towards the eye. A piece asks for them by the million, so each
 * answer is made at once, without others on the way to it.
 */

export const vec3 = (x: number, y: number, z = 0): Vec3 => ({ x, y, z });
export const plus3 = (a: Vec3, b: Vec3): Vec3 => vec3(a.x + b.x, a.y + b.y, a.z + b.z);
export const minus3 = (a: Vec3, b: Vec3): Vec3 => vec3(a.x - b.x, a.y - b.y, a.z - b.z);
export const scaled3 = (a: Vec3, by: number): Vec3 => vec3(a.x * by, a.y * by, a.z * by);
export const dot3 = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
/** Square to both; from x to y it points towards the eye. */
export const cross3 = (a: Vec3, b: Vec3): Vec3 =>
  vec3(a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x);
// A square root is several times as fast as Math.hypot, which guards against numbers that no piece has.
export const norm3 = (a: Vec3): number => Math.sqrt(a.x * a.x + a.y * a.y + a.z * a.z);
export function distance3(a: Vec3, b: Vec3): number {
  const [x, y, z] = [b.x - a.x, b.y - a.y, b.z - a.z];
  return Math.sqrt(x * x + y * y + z * z);
}
export const unit3 = (a: Vec3): Vec3 => scaled3(a, 1 / norm3(a));
/** The point between two, `part` of the way from the first. */
export const between3 = (a: Vec3, b: Vec3, part: number): Vec3 =>
  vec3(a.x + (b.x - a.x) * part, a.y + (b.y - a.y) * part, a.z + (b.z - a.z) * part);

/**
 * A direction turned about an axis (Rodrigues, 1840).
 * @param axis of length 1
 * @param angle radians; about the eye's axis, positive is clockwise on the paper
 */
export function turned3(a: Vec3, axis: Vec3, angle: number): Vec3 {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const on = dot3(axis, a) * (1 - c);
  return vec3(
    a.x * c + (axis.y * a.z - axis.z * a.y) * s + axis.x * on,
    a.y * c + (axis.z * a.x - axis.x * a.z) * s + axis.y * on,
    a.z * c + (axis.x * a.y - axis.y * a.x) * s + axis.z * on,
  );
}

/** Some direction of length 1 that is square to another. */
export const squareTo = (along: Vec3): Vec3 =>
  unit3(cross3(along, Math.abs(along.z) < 0.9 * norm3(along) ? vec3(0, 0, 1) : vec3(1, 0, 0)));

/** What of a direction is square to another of length 1, as a length of 1; some square direction when nothing of it is. */
export function straightened(direction: Vec3, along: Vec3): Vec3 {
  const on = dot3(direction, along);
  const [x, y, z] = [direction.x - along.x * on, direction.y - along.y * on, direction.z - along.z * on];
  const long = Math.sqrt(x * x + y * y + z * z);
  return long > 1e-9 * Math.max(1, norm3(direction)) ? vec3(x / long, y / long, z / long) : squareTo(along);
}
