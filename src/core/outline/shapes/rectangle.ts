import { arc, line } from '../../geometry/curve';
import { vec, type Vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/** A rectangle whose corners are rounded; perimeter 2(L + W) − (8 − 2π)r. Source: plane geometry. */
export function roundedRectangle(length: number, width: number, radius: number): Outline {
  const [x, y] = [width / 2 - radius, length / 2 - radius];
  const quarter = (centre: Vec, from: number) => arc(centre, radius, from, Math.PI / 2);
  return {
    curves: [
      line(vec(-x, -length / 2), vec(x, -length / 2)),
      quarter(vec(x, -y), -Math.PI / 2),
      line(vec(width / 2, -y), vec(width / 2, y)),
      quarter(vec(x, y), 0),
      line(vec(x, length / 2), vec(-x, length / 2)),
      quarter(vec(-x, y), Math.PI / 2),
      line(vec(-width / 2, y), vec(-width / 2, -y)),
      quarter(vec(-x, -y), Math.PI),
    ],
  };
}
