import { arcBetween } from '../../geometry/arcBetween';
import { vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/**
 * Two arcs between the tips, which lie at the ends of the length: the outer one bulges by the width, the inner one by half of
 * it, so that the middle is half as thick as the width. Its horns point up.
 */
export function crescent(length: number, width: number): Outline {
  const [left, right] = [vec(-length / 2, -width / 2), vec(length / 2, -width / 2)];
  return { curves: [arcBetween(left, right, -width / 2), arcBetween(right, left, width)] };
}
