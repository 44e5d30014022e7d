import { ok, refuse, type Result } from '../result';
import { refuseCrossing } from './refuseCrossing';
import { OUTLINE_POINTS } from './points';
import { distance, type Vec } from '../geometry/vector';

/** A stone traced over a photograph: its points in mm about the middle of its measures, and those measures. */
export interface Traced {
  readonly points: readonly Vec[];
  readonly length: number;
  readonly width: number;
}

/** Two ends of something in the photograph whose length is known, mm: a ruler, or the stone’s own length by the calliper. */
export interface PhotoScale {
  readonly from: Vec;
  readonly to: Vec;
  readonly length: number;
}

/**
 * Turns points that were set over a photograph into an outline of true size.
 * @param points in the photograph’s own units, whatever they are
 * @returns a sentence when they make none
 */
export function traceOutline(points: readonly Vec[], scale: PhotoScale): Result<Traced> {
  const apart = distance(scale.from, scale.to);
  if (!(apart > 0) || !(scale.length > 0))
    return refuse('The scale wants two different places and the length between them.');
  const { least, most } = OUTLINE_POINTS;
  if (points.length < least || points.length > most)
    return refuse(`${points.length} points were set; ${least} to ${most} make an outline.`);
  const folded = refuseCrossing(points);
  if (folded) return folded;
  const perUnit = scale.length / apart;
  const xs = points.map(({ x }) => x * perUnit);
  const ys = points.map(({ y }) => y * perUnit);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  const micron = (value: number) => Math.round(value * 1000) / 1000;
  return ok({
    points: points.map((_, index) => ({
      x: micron((xs[index] ?? 0) - middle.x),
      y: micron((ys[index] ?? 0) - middle.y),
    })),
    length: micron(bottom - top),
    width: micron(right - left),
  });
}
