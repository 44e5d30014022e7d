import { ok, refuse, type Result } from '../result';
import { selfCrossing } from '../geometry/selfCrossing';
import { distance, type Vec } from '../geometry/vector';
import { counted } from '../units/counted';

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

/** Fewest and most points that make an outline. */
export const TRACE_POINTS = { least: 3, most: 200 } as const;

/** How many points are allowed. */
export interface PointsAllowed {
  readonly least: number;
  readonly most: number;
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
  const { least, most } = TRACE_POINTS;
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

/** Points as one text, mm: "-9.5,2 0,11 9.5,2". */
export const printPoints = (points: readonly Vec[]): string =>
  points.map(({ x, y }) => `${x},${y}`).join(' ');

/** Reads points as they were printed. @returns a sentence when they are none */
export function parsePoints(text: string, { least, most }: PointsAllowed = TRACE_POINTS): Result<Vec[]> {
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

/** A sentence for a line that crosses itself: no stone has such an edge. */
export function refuseCrossing(points: readonly Vec[]): Result<never> | undefined {
  const crossing = selfCrossing(points);
  return (
    crossing &&
    refuse(
      `The trace crosses itself after points ${crossing[0] + 1} and ${crossing[1] + 1}; go round the stone once.`,
    )
  );
}
