import { ok, refuse, type Result } from '../result';
import type { Vec } from '../geometry/vector';
import { counted } from '../units/counted';

/** How many points are allowed. */
export interface PointsAllowed {
  readonly least: number;
  readonly most: number;
}

/** Fewest and most points that make an outline. */
export const OUTLINE_POINTS: PointsAllowed = { least: 3, most: 200 };

/** Points as one text, mm: "-9.5,2 0,11 9.5,2". */
export const printPoints = (points: readonly Vec[]): string =>
  points.map(({ x, y }) => `${x},${y}`).join(' ');

/** Reads points as they were printed. @returns a sentence when they are none */
export function parsePoints(text: string, { least, most }: PointsAllowed = OUTLINE_POINTS): Result<Vec[]> {
  const parts = text.trim().split(/\s+/).filter(Boolean);
  const points = parts.map((part) => {
    const [x = NaN, y = NaN, more] = part.split(',').map(Number);
    return { x, y, fine: more === undefined && Number.isFinite(x) && Number.isFinite(y) };
  });
  const wrong = points.findIndex(({ fine }) => !fine);
  if (wrong >= 0)
    return refuse(`“${(parts[wrong] ?? '').slice(0, 30)}” is no point; write them like -9.5,2 0,11.`);
  if (points.length < least || points.length > most)
    return refuse(`There are ${counted(points.length, 'point')}; ${least} to ${most} are allowed.`);
  return ok(points.map(({ x, y }) => ({ x, y })));
}
