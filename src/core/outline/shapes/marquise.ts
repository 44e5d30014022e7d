import { arcBetween } from '../../geometry/arcBetween';
import { vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/** Two arcs of radius R = (L² + W²)/(4W) that meet in points; perimeter 4R asin(L/(2R)). Source: handbook of the trade. */
export function marquise(length: number, width: number): Outline {
  const [top, bottom] = [vec(0, -length / 2), vec(0, length / 2)];
  return { curves: [arcBetween(top, bottom, width / 2), arcBetween(bottom, top, width / 2)] };
}
