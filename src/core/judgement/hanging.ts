import { alongAtAngle, centroidOf, placeAt, type Outline } from '../outline/outline';
import { minus, type Vec } from '../geometry/vector';

/** Where a bail goes so that a stone hangs as wanted. */
export interface HangingPoint {
  /** mm along the outline from its start. */
  readonly along: number;
  readonly point: Vec;
  /** Sideways from the middle of the drawing, mm; positive to the right. */
  readonly aside: number;
}

/**
 * The place on the outline that lies straight above the centre of area when the stone hangs at a tilt. Source: a body hangs with
 * its centre of mass straight below the point it hangs from; the stone is taken as equally thick.
 * @param tilt degrees clockwise from the way the outline is drawn
 */
export function hangingPoint(outline: Outline, tilt = 0): HangingPoint {
  const along = alongAtAngle(outline, -tilt);
  const { point } = placeAt(outline, along);
  return { along, point, aside: point.x };
}

/** How far a stone tilts when it hangs from a point of its outline, degrees, clockwise positive. */
export function tiltWhenHungFrom(outline: Outline, from: Vec): number {
  const { x, y } = minus(from, centroidOf(outline));
  return -(Math.atan2(x, -y) * 180) / Math.PI;
}
