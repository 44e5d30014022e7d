import { arc, line } from '../../geometry/curve';
import { onCircle, vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/** How far the centres of the lobes lie from the axis, as a part of the lobes’ radius: the shape of this house; hearts vary. */
const APART = 0.8;

/**
 * Two lobes and two tangents to the tip, which points down. The lobes’ radius is W/(2(1 + {@link APART})); they meet in a cleft
 * on the axis. Source: plane geometry. The length must be more than twice the lobes’ radius.
 */
export function heart(length: number, width: number): Outline {
  const radius = lobeRadius(width);
  const across = APART * radius;
  const height = -length / 2 + radius;
  const [right, left] = [vec(across, height), vec(-across, height)];
  const tip = vec(0, length / 2);
  // Angle at the axis from the lobe’s centre to the cleft, and where the tangent from the tip touches.
  const cleft = Math.acos(APART);
  const toTip = Math.atan2(tip.y - height, -across);
  const touch = toTip - Math.acos(radius / Math.hypot(across, tip.y - height));
  const sweep = Math.PI - cleft + touch;
  return {
    curves: [
      arc(right, radius, Math.PI + cleft, sweep),
      line(onCircle(right, radius, touch), tip),
      line(tip, onCircle(left, radius, Math.PI - touch)),
      arc(left, radius, Math.PI - touch, sweep),
    ],
  };
}

/** Radius of a heart’s lobes for its width. */
export const lobeRadius = (width: number): number => width / (2 * (1 + APART));
