import { line } from '../../geometry/curve';
import { cross, distance, plus, scaled, vec, type Vec } from '../../geometry/vector';
import type { Outline } from '../outline';

/** A polygon through points, walked clockwise whichever way they were given. */
function polygon(points: readonly Vec[]): Outline {
  const turned = points.reduce(
    (sum, point, index) => sum + cross(point, points[(index + 1) % points.length] ?? point),
    0,
  );
  const way = turned < 0 ? [...points].reverse() : points;
  return {
    curves: way.flatMap((from, index) => {
      const to = way[(index + 1) % way.length] ?? from;
      return distance(from, to) > 1e-9 ? [line(from, to)] : [];
    }),
  };
}

/** Steps between two traced points. */
const STEPS = 8;

/**
 * A smooth closed line through points that were traced over a photograph: a Catmull–Rom spline, which passes through every
 * point. Source: Catmull and Rom 1974.
 */
export function traced(points: readonly Vec[]): Outline {
  const at = (index: number) => points[(index + points.length) % points.length] ?? vec(0, 0);
  return polygon(
    points.flatMap((from, index) => {
      const [before, to, after] = [at(index - 1), at(index + 1), at(index + 2)];
      return Array.from({ length: STEPS }, (_, step) => spline(before, from, to, after, step / STEPS));
    }),
  );
}

function spline(before: Vec, from: Vec, to: Vec, after: Vec, t: number): Vec {
  const weights = [
    -0.5 * t + t ** 2 - 0.5 * t ** 3,
    1 - 2.5 * t ** 2 + 1.5 * t ** 3,
    0.5 * t + 2 * t ** 2 - 1.5 * t ** 3,
    -0.5 * t ** 2 + 0.5 * t ** 3,
  ];
  return [before, from, to, after].reduce(
    (sum, point, index) => plus(sum, scaled(point, weights[index] ?? 0)),
    vec(0, 0),
  );
}

const SIDES = 180;

/** |x/a|ⁿ + |y/b|ⁿ = 1 (Lamé’s curve): from a rhombus, n = 1, over the ellipse, n = 2, towards a rectangle. */
function lame(length: number, width: number, power: number): Outline {
  const bent = (value: number) => Math.sign(value) * Math.abs(value) ** (2 / power);
  return polygon(
    Array.from({ length: SIDES }, (_, index) => {
      const angle = (2 * Math.PI * index) / SIDES;
      return vec((width / 2) * bent(Math.cos(angle)), (length / 2) * bent(Math.sin(angle)));
    }),
  );
}

/** Roundness of a pebble that nobody has traced. */
const PEBBLE = 2.3;

export const pebble = (length: number, width: number): Outline => lame(length, width, PEBBLE);

const [ROUNDEST, SQUAREST] = [1, 40];

/** The shortest and longest way round a stone of two measures that bulges nowhere inward: a rhombus and nearly its rectangle. */
export function stripRange(length: number, width: number): { least: number; most: number } {
  const round = (power: number) =>
    lame(length, width, power).curves.reduce((sum, each) => sum + each.length, 0);
  return { least: round(ROUNDEST), most: round(SQUAREST) };
}

/**
 * A shape of two measures that is just so long around as a strip of paper laid about the stone said.
 * @param strip mm, within {@link stripRange}
 */
export function byStrip(length: number, width: number, strip: number): Outline {
  let [low, high] = [ROUNDEST, SQUAREST];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    const round = lame(length, width, middle).curves.reduce((sum, each) => sum + each.length, 0);
    if (round < strip) low = middle;
    else high = middle;
  }
  return lame(length, width, (low + high) / 2);
}
