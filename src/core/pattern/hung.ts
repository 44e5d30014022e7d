import type { Path, Vec3 } from '../geometry/path';
import { cross3, dot3, minus3, norm3, plus3, scaled3, turned3, unit3, vec3 } from '../geometry/vec3';
import type { RunCourse, RunPiece } from '../piece/run';

const DOWN = vec3(0, 1);
/** Sine of an angle that is no angle. */
const STRAIGHT = 1e-9;

/** How a piece turns when it is let to hang. */
export interface HangingTurn {
  readonly turned: (direction: Vec3) => Vec3;
  /** Where a place of it comes to. */
  readonly moved: (at: Vec3) => Vec3;
}

/**
 * How a piece turns about where it hangs until its centre of mass is straight below.
 * @param hang where it hangs; nearer to its middle than a thousandth of a millimetre it stays as it is
 */
export function hangingTurn(hang: Vec3, { middle }: { readonly middle: Vec3 }): HangingTurn {
  const off = minus3(middle, hang);
  if (norm3(off) < 1e-3) return { turned: (direction) => direction, moved: (at) => at };
  const way = unit3(off);
  const across = cross3(way, DOWN);
  const sine = norm3(across);
  // Upside down it turns over in the plane of the paper.
  const axis = sine < STRAIGHT ? vec3(0, 0, 1) : scaled3(across, 1 / sine);
  const angle = Math.atan2(sine, dot3(way, DOWN));
  const turned = (direction: Vec3) => turned3(direction, axis, angle);
  return { turned, moved: (at) => plus3(hang, turned(minus3(at, hang))) };
}

/** A piece as it hangs. */
export function hungRun({ wires, bodies }: RunPiece, { turned, moved }: HangingTurn): RunPiece {
  const led = (path: Path): Path => path.map(moved);
  const laid = (course: RunCourse): RunCourse => ({ ...course, path: led(course.path) });
  return {
    wires: wires.map((wire) => ({
      ...wire,
      first: wire.first.map(laid),
      second: wire.second.map(laid),
      between: wire.between && laid(wire.between),
      path: led(wire.path),
    })),
    bodies: bodies.map((body) => ({
      ...body,
      pose: { at: moved(body.pose.at), along: turned(body.pose.along), up: turned(body.pose.up) },
    })),
  };
}
