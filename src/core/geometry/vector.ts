/** A point or direction in the plane, mm. The x axis points right, the y axis down, as on paper that lies before you. */
export interface Vec {
  readonly x: number;
  readonly y: number;
}

export const vec = (x: number, y: number): Vec => ({ x, y });
export const plus = (a: Vec, b: Vec): Vec => vec(a.x + b.x, a.y + b.y);
export const minus = (a: Vec, b: Vec): Vec => vec(a.x - b.x, a.y - b.y);
export const scaled = (a: Vec, by: number): Vec => vec(a.x * by, a.y * by);
export const dot = (a: Vec, b: Vec): number => a.x * b.x + a.y * b.y;
/** Positive when b turns clockwise from a, seen on the paper. */
export const cross = (a: Vec, b: Vec): number => a.x * b.y - a.y * b.x;
// A square root is several times as fast as Math.hypot, which guards against numbers that no piece has.
export const norm = (a: Vec): number => Math.sqrt(a.x * a.x + a.y * a.y);
export function distance(a: Vec, b: Vec): number {
  const [x, y] = [b.x - a.x, b.y - a.y];
  return Math.sqrt(x * x + y * y);
}
export const unit = (a: Vec): Vec => scaled(a, 1 / norm(a));
/** The point of a circle about a centre, at an angle from the x axis clockwise on the paper, radians. */
export const onCircle = (centre: Vec, radius: number, angle: number): Vec =>
  vec(centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle));
/** The normal to the left of a direction, which points outward when a closed outline is walked clockwise. */
export const outward = (direction: Vec): Vec => vec(direction.y, -direction.x);
/** How far b turns from a, radians from −π to π, clockwise on the paper positive. */
export const turnBetween = (a: Vec, b: Vec): number => Math.atan2(cross(a, b), dot(a, b));
