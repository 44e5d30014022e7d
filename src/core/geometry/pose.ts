import type { Path, Vec3 } from './path';
import { cross3, dot3, minus3, norm3, plus3, scaled3, straightened, turned3, unit3, vec3 } from './vec3';

/** Where a wire has come to, and how it lies there. */
export interface Pose {
  readonly at: Vec3;
  /** The way it goes on; length 1. */
  readonly along: Vec3;
  /** The way up from the plane that it is worked in; length 1, square to `along`. */
  readonly up: Vec3;
}

/** A pose from a point and two directions of any length; what of `up` does not stand square is left out. */
export function pose(at: Vec3, along: Vec3, up: Vec3 = vec3(0, 0, 1)): Pose {
  const way = unit3(along);
  return { at, along: way, up: straightened(up, way) };
}

/** The way to the right of a wire, seen from above its plane: where it turns when it turns clockwise. */
export const sideOf = ({ along, up }: Pick<Pose, 'along' | 'up'>): Vec3 => cross3(up, along);

/** The same pose on the way back. */
export const facingBack = ({ at, along, up }: Pose): Pose => ({ at, along: scaled3(along, -1), up });

/** A pose whose plane is turned about the wire. @param roll radians; a quarter makes of its right what was up */
export const rolled = ({ at, along, up }: Pose, roll: number): Pose => ({
  at,
  along,
  up: turned3(up, along, roll),
});

/** A point that is told in a pose's own directions: on along it, to its right, up from its plane. */
export const inPose = ({ at, along, up }: Pose, on: number, right: number, above: number): Vec3 =>
  vec3(
    at.x + along.x * on + (up.y * along.z - up.z * along.y) * right + up.x * above,
    at.y + along.y * on + (up.z * along.x - up.x * along.z) * right + up.y * above,
    at.z + along.z * on + (up.x * along.y - up.y * along.x) * right + up.z * above,
  );

/**
 * A piece of line of even curvature and even torsion: straight, part of a circle, or of a helix (the three curves of constant curvature and
 * torsion; Frenet and Serret, 1847).
 * @param length mm along it
 * @param curvature 1/mm, to the right of the pose, seen from above its plane; negative to its left
 * @param torsion 1/mm, positive when it climbs out of its plane on the side of `up`
 */
export interface EvenBend {
  readonly length: number;
  readonly curvature: number;
  readonly torsion?: number;
}

/** A place on an even bend that begins at a pose, `s` mm along it. */
export function bentTo(start: Pose, { curvature, torsion = 0 }: EvenBend, s: number): Pose {
  const speed = Math.hypot(curvature, torsion);
  if (speed === 0) return { ...start, at: plus3(start.at, scaled3(start.along, s)) };
  const side = sideOf(start);
  // The axis about which the whole line screws on: Darboux's vector, torsion along the wire and curvature about `up`.
  const axis = unit3(plus3(scaled3(start.along, torsion), scaled3(start.up, curvature)));
  const angle = speed * s;
  const climb = (torsion / speed) * s;
  // The point turns about an axis that stands κ/(κ² + τ²) to the side of the start.
  const radius = curvature / speed ** 2;
  const centre = plus3(start.at, scaled3(side, radius));
  return {
    at: plus3(plus3(centre, turned3(scaled3(side, -radius), axis, angle)), scaled3(axis, climb)),
    along: turned3(start.along, axis, angle),
    up: turned3(start.up, axis, angle),
  };
}

/** Largest angle between neighbouring points of a line that is bent, radians: its chords are short of it by 0.06 %. */
const FINE = 0.12;
/** How far a chord may lie off what it is a chord of, mm: what touches a bent wire is a hundredth of a millimetre off it at most. */
const OFF = 0.003;

/** The points of an even bend, its start and its end among them. */
export function pointsOfBend(start: Pose, bend: EvenBend): Path {
  const turn = Math.hypot(bend.curvature, bend.torsion ?? 0);
  const fine = Math.min(FINE, Math.sqrt(8 * OFF * Math.abs(bend.curvature)));
  const steps = Math.max(1, Math.ceil((turn * bend.length) / fine));
  return Array.from({ length: steps + 1 }, (_, step) => bentTo(start, bend, (bend.length * step) / steps).at);
}

/**
 * Points that were told in the paper's own directions about a pose of their own, set down so that this pose comes to lie on another.
 * @param own where the line begins and which way it sets out, as it was told
 */
export function setDown(path: Path, own: Pose, start: Pose): Path {
  const side = sideOf(own);
  return path.map((point) => {
    const off = minus3(point, own.at);
    return inPose(start, dot3(off, own.along), dot3(off, side), dot3(off, own.up));
  });
}

/** Handles of a smooth way, as a part of its straight one. */
const HANDLE = 0.4;
const WAY_POINTS = 24;

/**
 * A smooth way from one pose to another (a cubic of Bézier), its ends among the points; the straight one when they face each other.
 * @param handle how long its handles are, as a part of the straight way
 */
export function smoothWay(from: Pose, to: Pose, handle = HANDLE): Path {
  const reach = handle * norm3(minus3(to.at, from.at));
  const [a, b] = [plus3(from.at, scaled3(from.along, reach)), plus3(to.at, scaled3(to.along, -reach))];
  return Array.from({ length: WAY_POINTS + 1 }, (_, index) => {
    const t = index / WAY_POINTS;
    const u = 1 - t;
    return plus3(
      plus3(scaled3(from.at, u ** 3), scaled3(a, 3 * u * u * t)),
      plus3(scaled3(b, 3 * u * t * t), scaled3(to.at, t ** 3)),
    );
  });
}
