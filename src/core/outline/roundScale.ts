import { cross, distance, dot, minus, onCircle, plus, vec, type Vec } from '../geometry/vector';
import { ok, refuse, type Result } from '../result';

/** Three places nearer to a line than this part of how far they are apart make no circle that could be trusted. */
const STRAIGHT = 0.05;

/**
 * The ends of a line across something round, a coin or a washer, from three places on its rim.
 * @returns a sentence when they lie in one line, or nearly
 */
export function acrossRound(rim: readonly [Vec, Vec, Vec]): Result<{ readonly from: Vec; readonly to: Vec }> {
  const [first, second, third] = rim;
  const [b, c] = [minus(second, first), minus(third, first)];
  const area = 2 * cross(b, c);
  const longest = Math.max(distance(first, second), distance(second, third), distance(third, first));
  if (Math.abs(area) / 2 < STRAIGHT * longest * longest)
    return refuse('The three places lie nearly in a line: set them well apart, round the rim.');
  // The centre of the circle through three points, the first of them at nothing.
  const [bb, cc] = [dot(b, b), dot(c, c)];
  const centre = plus(first, vec((c.y * bb - b.y * cc) / area, (b.x * cc - c.x * bb) / area));
  const radius = distance(centre, first);
  return ok({ from: onCircle(centre, radius, Math.PI), to: onCircle(centre, radius, 0) });
}
