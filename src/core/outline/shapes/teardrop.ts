import { arc, line } from '../../geometry/curve';
import { onCircle, vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/**
 * A circle of radius r = W/2 with two tangents to the tip at the top; its perimeter is 2√(e² − r²) + r(2π − 2 acos(r/e)) with
 * e = L − r. Source: handbook of the trade; plane geometry. The length must be more than the width.
 */
export function teardrop(length: number, width: number): Outline {
  const radius = width / 2;
  const reach = length - radius;
  const centre = vec(0, length / 2 - radius);
  const tip = vec(0, -length / 2);
  const open = Math.acos(radius / reach);
  const [right, left] = [open - Math.PI / 2, 1.5 * Math.PI - open];
  return {
    curves: [
      line(tip, onCircle(centre, radius, right)),
      arc(centre, radius, right, left - right),
      line(onCircle(centre, radius, left), tip),
    ],
  };
}
