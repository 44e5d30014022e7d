import { arc, figures, lengthBetween, line, type Curve } from '../geometry/curve';
import { integrate } from '../geometry/integrate';
import {
  cross,
  distance,
  minus,
  norm,
  outward,
  plus,
  scaled,
  turnBetween,
  unit,
  type Vec,
} from '../geometry/vector';

/** A closed line round a stone, walked clockwise: each curve begins where the one before it ends. Measures in mm. */
export interface Outline {
  readonly curves: readonly Curve[];
}

/** Turns smaller than this are rounding, not corners, radians. */
const SMOOTH = 1e-7;

/** Length round the whole outline, mm. */
export const perimeterOf = ({ curves }: Outline): number =>
  curves.reduce((sum, { length }) => sum + length, 0);

/** Integral along the outline of a function of point and slope. */
const around = ({ curves }: Outline, f: (point: Vec, slope: Vec) => number): number =>
  curves.reduce((sum, { at, slope }) => sum + integrate((t) => f(at(t), slope(t)), 0, 1), 0);

/** Area inside, mm²: ½ ∮ x dy − y dx (Green’s theorem). */
export const areaOf = (outline: Outline): number =>
  around(outline, (point, slope) => cross(point, slope)) / 2;

/** Centre of area: where the stone balances when it is equally thick everywhere (Green’s theorem). */
export function centroidOf(outline: Outline): Vec {
  const area = areaOf(outline);
  return {
    x: around(outline, ({ x }, { y: dy }) => x * x * dy) / (2 * area),
    y: around(outline, ({ y }, { x: dx }) => -y * y * dx) / (2 * area),
  };
}

/** An SVG path of the outline. */
export function pathOf({ curves }: Outline): string {
  const start = curves[0]?.at(0) ?? { x: 0, y: 0 };
  return `M ${figures(start.x, start.y)} ${curves.map(({ svg }) => svg).join(' ')} Z`;
}

/** Points along the outline, so many to each curve, for what only needs to be near. */
export const pointsOf = ({ curves }: Outline, each = 64): Vec[] =>
  curves.flatMap(({ at }) => Array.from({ length: each }, (_, index) => at(index / each)));

/**
 * The line that runs round an outline at a distance, as the centre of a wire does that lies against the stone. Corners that
 * stick out are rounded by that distance, corners that go in are cut where the two sides meet.
 * @throws FoldedLine when a hollow is narrower than the distance
 */
export function parallelOf({ curves }: Outline, by: number): Outline {
  if (by === 0) return { curves };
  const beside = curves.map((curve) => offsetOf(curve, by));
  const all: Curve[] = [];
  let trimmed = beside;
  for (const [index, curve] of curves.entries()) {
    const next = (index + 1) % curves.length;
    const [end, start] = [curve.slope(1), curves[next]?.slope(0) ?? curve.slope(0)];
    if (turnBetween(unit(end), unit(start)) < -SMOOTH) trimmed = meet(trimmed, index, next, by);
  }
  for (const [index, curve] of curves.entries()) {
    const next = curves[(index + 1) % curves.length] ?? curve;
    const side = trimmed[index];
    if (side) all.push(side);
    const [end, start] = [unit(curve.slope(1)), unit(next.slope(0))];
    const turn = turnBetween(end, start);
    if (turn > SMOOTH) {
      const normal = outward(end);
      const from = Math.atan2(normal.y, normal.x);
      if (index < curves.length - 1) all.push(arc(curve.at(1), by, from, turn));
      else {
        // The line begins where the outline does: in the middle of the corner that is there.
        all.push(arc(curve.at(1), by, from, turn / 2));
        all.unshift(arc(curve.at(1), by, from + turn / 2, turn / 2));
      }
    }
  }
  return { curves: all };
}

/** An outline whose hollow is too narrow for what should lie in it. */
export class FoldedLine extends RangeError {
  constructor(by: number) {
    super(
      `This outline has a hollow that is too narrow for a line ${Number(by.toFixed(2))} mm off it; take thinner wire or another outline.`,
    );
  }
}

function offsetOf(curve: Curve, by: number): Curve {
  try {
    return curve.offset(by);
  } catch (fault) {
    if (fault instanceof RangeError) throw new FoldedLine(by);
    throw fault;
  }
}

/** Shortens two neighbouring curves to where they cross, found by halving. */
function meet(curves: readonly Curve[], first: number, second: number, by: number): Curve[] {
  const [a, b] = [curves[first], curves[second]];
  if (!a || !b) return [...curves];
  const crossing = crossingOf(a, b);
  if (!crossing) throw new FoldedLine(by);
  return curves.map((curve, index) => {
    if (index === first) return part(curve, 0, crossing.onFirst);
    return index === second ? part(curve, crossing.onSecond, 1) : curve;
  });
}

/** Where the end of one curve crosses the start of the next: the last such place on the first; undefined when they do not. */
function crossingOf(a: Curve, b: Curve): { onFirst: number; onSecond: number } | undefined {
  const steps = 256;
  for (let i = steps - 1; i >= 0; i -= 1) {
    const [p, q] = [a.at(i / steps), a.at((i + 1) / steps)];
    for (let j = 0; j < steps; j += 1) {
      const [r, s] = [b.at(j / steps), b.at((j + 1) / steps)];
      const found = crossLines(p, q, r, s);
      if (found) return refine(a, b, (i + found.first) / steps, (j + found.second) / steps);
    }
  }
  return undefined;
}

/** Where two short lines cross, as parts of each. */
function crossLines(p: Vec, q: Vec, r: Vec, s: Vec): { first: number; second: number } | undefined {
  const [u, v, w] = [minus(q, p), minus(s, r), minus(r, p)];
  const whole = cross(u, v);
  if (whole === 0) return undefined;
  const [first, second] = [cross(w, v) / whole, cross(w, u) / whole];
  return first >= 0 && first <= 1 && second >= 0 && second <= 1 ? { first, second } : undefined;
}

/** Newton’s method on both curves at once. */
function refine(a: Curve, b: Curve, onFirst: number, onSecond: number) {
  let [t, s] = [onFirst, onSecond];
  for (let step = 0; step < 8; step += 1) {
    const gap = minus(b.at(s), a.at(t));
    const [u, v] = [a.slope(t), b.slope(s)];
    const whole = cross(u, v);
    if (whole === 0 || norm(gap) < 1e-12) break;
    t += cross(gap, v) / whole;
    s += cross(gap, u) / whole;
  }
  return { onFirst: t, onSecond: s };
}

/** A part of a curve as a curve of its own. */
function part(curve: Curve, from: number, to: number): Curve {
  const span = to - from;
  const steps = 48;
  return {
    length: lengthBetween(curve, from, to),
    at: (t) => curve.at(from + span * t),
    slope: (t) => scaled(curve.slope(from + span * t), span),
    offset: (by) => part(curve.offset(by), from, to),
    svg: Array.from({ length: steps }, (_, index) => {
      const { x, y } = curve.at(from + (span * (index + 1)) / steps);
      return `L ${figures(x, y)}`;
    }).join(' '),
  };
}

/** A point of an outline, how far along it lies from the start, and which way the outline runs there. */
export interface Place {
  readonly point: Vec;
  readonly along: number;
  readonly direction: Vec;
}

/** The place at a distance along an outline, mm from its start; distances beyond the end go round again. */
export function placeAt({ curves }: Outline, along: number): Place {
  const whole = perimeterOf({ curves });
  const wanted = ((along % whole) + whole) % whole;
  let before = 0;
  for (const curve of curves) {
    if (wanted <= before + curve.length) {
      const t = partAt(curve, wanted - before);
      return { point: curve.at(t), along: wanted, direction: unit(curve.slope(t)) };
    }
    before += curve.length;
  }
  const first = curves[0] ?? line({ x: 0, y: 0 }, { x: 1, y: 0 });
  return { point: first.at(0), along: 0, direction: unit(first.slope(0)) };
}

/** Steps to find a place on a curve: Newton’s are few, halving takes as many as a number has digits. */
const STEPS = 60;

/** The t at which a length of a curve is behind, by Newton’s method from the even guess; by halving where that would leave what is known. */
function partAt(curve: Curve, length: number): number {
  let [low, high] = [0, 1];
  let t = curve.length === 0 ? 0 : Math.min(1, Math.max(0, length / curve.length));
  for (let step = 0; step < STEPS; step += 1) {
    const gap = lengthBetween(curve, 0, t) - length;
    if (Math.abs(gap) < 1e-9) break;
    if (gap > 0) high = t;
    else low = t;
    const next = t - gap / norm(curve.slope(t));
    t = next > low && next < high ? next : (low + high) / 2;
  }
  return t;
}

/**
 * How far along an outline the ray at an angle from its centre of area leaves it, mm: the farthest place when it leaves several
 * times.
 * @param degrees from the top, clockwise on the paper
 */
export function alongAtAngle(outline: Outline, degrees: number): number {
  const centre = centroidOf(outline);
  const angle = ((degrees - 90) * Math.PI) / 180;
  const far = { x: Math.cos(angle), y: Math.sin(angle) };
  const reach = Math.max(...pointsOf(outline).map((point) => distance(point, centre))) * 2;
  const end = plus(centre, scaled(far, reach));
  let [best, farthest] = [0, -1];
  let before = 0;
  const steps = 128;
  for (const curve of outline.curves) {
    for (let index = 0; index < steps; index += 1) {
      const [p, q] = [curve.at(index / steps), curve.at((index + 1) / steps)];
      const found = crossLines(p, q, centre, end);
      if (!found || found.second < farthest) continue;
      farthest = found.second;
      best = before + lengthBetween(curve, 0, (index + found.first) / steps);
    }
    before += curve.length;
  }
  return best;
}
