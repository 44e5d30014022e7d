import { integrate } from './integrate';
import { minus, norm, onCircle, outward, plus, scaled, unit, vec, distance, type Vec } from './vector';

/** A smooth piece of a line in the plane, walked from t = 0 to t = 1. Lengths in mm. */
export interface Curve {
  readonly length: number;
  readonly at: (t: number) => Vec;
  /** Derivative of the point by t. */
  readonly slope: (t: number) => Vec;
  /** The curve that lies to the left of this one by a distance: outside of an outline that is walked clockwise. */
  readonly offset: (by: number) => Curve;
  /** Commands of an SVG path from its start to its end. */
  readonly svg: string;
}

const figure = (value: number): string => String(Number(value.toFixed(4)));
/** Numbers of an SVG path, to a ten-thousandth of a millimetre. */
export const figures = (...values: readonly number[]): string => values.map(figure).join(' ');

/** A straight line. */
export function line(from: Vec, to: Vec): Curve {
  const way = minus(to, from);
  return {
    length: distance(from, to),
    at: (t) => plus(from, scaled(way, t)),
    slope: () => way,
    offset: (by) => {
      const aside = scaled(outward(unit(way)), by);
      return line(plus(from, aside), plus(to, aside));
    },
    svg: `L ${figures(to.x, to.y)}`,
  };
}

/**
 * An arc of a circle.
 * @param start angle of its first point, radians
 * @param sweep how far it goes round, radians: positive clockwise on the paper
 * @throws RangeError when an offset to the inside leaves no radius
 */
export function arc(centre: Vec, radius: number, start: number, sweep: number): Curve {
  if (!(radius >= 0)) throw new RangeError(`an arc of radius ${radius} mm bends in on itself`);
  const angle = (t: number) => start + sweep * t;
  const end = onCircle(centre, radius, start + sweep);
  // A whole circle has no direction in an SVG arc, so it is drawn as two halves.
  const half = onCircle(centre, radius, start + sweep / 2);
  const to = (point: Vec) =>
    `A ${figures(radius, radius)} 0 0 ${sweep > 0 ? 1 : 0} ${figures(point.x, point.y)}`;
  return {
    length: radius * Math.abs(sweep),
    at: (t) => onCircle(centre, radius, angle(t)),
    slope: (t) => vec(-radius * sweep * Math.sin(angle(t)), radius * sweep * Math.cos(angle(t))),
    offset: (by) => arc(centre, radius + Math.sign(sweep) * by, start, sweep),
    svg: `${to(half)} ${to(end)}`,
  };
}

/** Perimeter of an ellipse, mm: four times the complete elliptic integral, by the arithmetic-geometric mean (Gauss; Abramowitz and Stegun 17.6). */
export function ellipsePerimeter(a: number, b: number): number {
  let [x, y] = [Math.max(a, b), Math.min(a, b)];
  if (y === 0) return 4 * x;
  let sum = x * x - (x * x - y * y) / 2;
  for (let power = 0.5; x - y > 1e-15 * x; power *= 2) {
    const gap = (x - y) / 2;
    [x, y] = [(x + y) / 2, Math.sqrt(x * y)];
    sum -= 2 * power * gap * gap;
  }
  return (2 * Math.PI * sum) / x;
}

/** Points that a curve without an SVG command of its own is drawn by. */
const DRAWN_BY = 96;

/**
 * A whole ellipse about the origin, walked clockwise from its top, or the curve that runs beside it at a distance (which is
 * no ellipse). A curve beside a closed convex one is longer by 2π times the distance.
 */
export function ellipse(rx: number, ry: number, aside = 0): Curve {
  const angle = (t: number) => 2 * Math.PI * t - Math.PI / 2;
  const core = (t: number) => vec(rx * Math.cos(angle(t)), ry * Math.sin(angle(t)));
  const slopeOfCore = (t: number) =>
    scaled(vec(-rx * Math.sin(angle(t)), ry * Math.cos(angle(t))), 2 * Math.PI);
  const at = (t: number) => plus(core(t), scaled(outward(unit(slopeOfCore(t))), aside));
  // The curvature of the ellipse stretches the curve beside it by 1 + aside × curvature.
  const stretch = (t: number) => {
    const [c, s] = [Math.cos(angle(t)), Math.sin(angle(t))];
    return 1 + (aside * rx * ry) / Math.hypot(rx * s, ry * c) ** 3;
  };
  const whole = ellipsePerimeter(rx, ry) + 2 * Math.PI * aside;
  return {
    length: whole,
    at,
    slope: (t) => scaled(slopeOfCore(t), stretch(t)),
    offset: (by) => ellipse(rx, ry, aside + by),
    svg:
      aside === 0
        ? `A ${figures(rx, ry)} 0 0 1 ${figures(0, ry)} A ${figures(rx, ry)} 0 0 1 ${figures(0, -ry)}`
        : Array.from({ length: DRAWN_BY }, (_, index) => {
            const { x, y } = at((index + 1) / DRAWN_BY);
            return `L ${figures(x, y)}`;
          }).join(' '),
  };
}

/** Length of a part of a curve, mm. */
export const lengthBetween = (curve: Curve, from: number, to: number): number =>
  integrate((t) => norm(curve.slope(t)), from, to, 4);
