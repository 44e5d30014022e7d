import { arc, type Curve } from './curve';
import { distance, minus, outward, plus, scaled, unit, type Vec } from './vector';

/**
 * The arc from one point to another that rises so far above the straight way between them: to the left when positive, which
 * is outside on an outline that is walked clockwise. Radius (h² + s²)/(2s) for half a chord h and a rise s.
 */
export function arcBetween(from: Vec, to: Vec, rise: number): Curve {
  const half = distance(from, to) / 2;
  const height = Math.abs(rise);
  const radius = (half ** 2 + height ** 2) / (2 * height);
  const side = Math.sign(rise);
  const middle = scaled(plus(from, to), 0.5);
  const centre = plus(middle, scaled(outward(unit(minus(to, from))), -side * (radius - height)));
  const start = Math.atan2(from.y - centre.y, from.x - centre.x);
  return arc(centre, radius, start, side * 4 * Math.atan(height / half));
}
