import { radians } from '../geometry/angle';
import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import {
  bentTo,
  inPose,
  pointsOfBend,
  pose,
  rolled,
  setDown,
  type EvenBend,
  type Pose,
} from '../geometry/pose';
import { spaceLine } from '../geometry/spaceLine';
import { minus3, norm3, plus3, scaled3, vec3 } from '../geometry/vec3';
import { minus, outward, scaled } from '../geometry/vector';
import { alongAtAngle, perimeterOf, type Outline } from '../outline/outline';
import { ok, refuse, type Result } from '../result';
import { flatSpiral } from '../geometry/formulas';
import type { WireSize } from '../wire/wireSize';
import { bendOf } from '../wrap/winding';
import { onBody } from './body';
import { lineRound, type LineRound } from './lineRound';
import type { Bent, Cab, Coiled, Curled, Laid, Pull, Round, Twisted } from './piece';

/** A course as it lies: its line, from where it begins to where it ends, and how long it is by its formula, mm. */
export interface Shape {
  readonly path: Path;
  readonly length: number;
  readonly end: Pose;
  /** How long it was before it was pulled in somewhere, where it was; its points part that evenly. */
  readonly plain?: number;
}

export const laidShape = ({ length }: Laid, start: Pose): Shape => {
  const end = { ...start, at: plus3(start.at, scaled3(start.along, length)) };
  return { path: [start.at, end.at], length, end };
};

/** What bends evenly in a plane that is turned about the wire; the plane that it is worked in goes with it. */
function evenly(start: Pose, bend: EvenBend, roll: number): Shape {
  const begin = rolled(start, radians(roll));
  return {
    path: pointsOfBend(begin, bend),
    length: bend.length,
    end: rolled(bentTo(begin, bend, bend.length), -radians(roll)),
  };
}

/** Bent about something round: the centre line lies half a thickness off it. */
export function bentShape({ about, angle, roll = 0 }: Bent, start: Pose, size: WireSize): Shape {
  const radius = (about + bendOf(size).thick) / 2;
  const length = radius * Math.abs(radians(angle));
  return evenly(start, { length, curvature: Math.sign(angle) / radius }, roll);
}

/** A helix about something round: its turns are √[(π(D + d))² + p²] each. */
export function coiledShape({ about, turns, pitch, roll = 0 }: Coiled, start: Pose, size: WireSize): Shape {
  const radius = (about + bendOf(size).thick) / 2;
  const climb = pitch / (2 * Math.PI);
  const square = radius ** 2 + climb ** 2;
  const way = Math.sign(turns);
  const bend = {
    length: 2 * Math.PI * Math.abs(turns) * Math.sqrt(square),
    curvature: (way * radius) / square,
    torsion: (way * climb) / square,
  };
  return evenly(start, bend, roll);
}

/** Points to each turn of a spiral. */
const SPIRAL_POINTS = 64;

/** An Archimedean spiral from its wide end to its narrow one, flat or drawn out to a cone. */
export function curledShape({ inside, turns, pitch, rise = 0 }: Curled, start: Pose, size: WireSize): Shape {
  const narrow = (inside + bendOf(size).thick) / 2;
  const wide = narrow + pitch * Math.abs(turns);
  const way = Math.sign(turns);
  const [shrink, climb] = [-pitch / (2 * Math.PI), rise / (2 * Math.PI)];
  const radiusOf = (angle: number) => wide + shrink * angle;
  const at = (angle: number) => {
    const radius = radiusOf(angle);
    return vec3(radius * Math.cos(angle), way * radius * Math.sin(angle), climb * angle);
  };
  const heading = (angle: number): Pose => {
    const [c, s, radius] = [Math.cos(angle), Math.sin(angle), radiusOf(angle)];
    return pose(at(angle), vec3(shrink * c - radius * s, way * (shrink * s + radius * c), climb));
  };
  const whole = 2 * Math.PI * Math.abs(turns);
  const steps = Math.max(8, Math.ceil(SPIRAL_POINTS * Math.abs(turns)));
  // A cone stands upright on its beginning, which goes straight round it.
  const own = rise === 0 ? heading(0) : pose(at(0), vec3(0, way * wide, climb));
  const points = Array.from({ length: steps + 1 }, (_, step) => at((whole * step) / steps));
  const last = heading(whole);
  const path = setDown(points, own, start);
  const [end, ahead, above] = setDown(
    [last.at, plus3(last.at, last.along), plus3(last.at, last.up)],
    own,
    start,
  ) as [Vec3, Vec3, Vec3];
  return {
    path,
    // A cone is measured: its spiral has a sum of its own only when it lies flat.
    length: rise === 0 ? flatSpiral(narrow, wide, pitch) : lengthOfPath(path),
    end: pose(end, minus3(ahead, end), minus3(above, end)),
  };
}

/** How far round an outline it is from one angle to another: clockwise when the second is greater, with whole rounds; mm. */
function roundBetween(outline: Outline, from: number, to: number): number {
  const whole = perimeterOf(outline);
  const rounds = Math.trunc((to - from) / 360);
  const rest = alongAtAngle(outline, to) - alongAtAngle(outline, from);
  if ((to - from) % 360 === 0) return rounds * whole;
  return rounds * whole + (to > from ? (rest + whole) % whole : -((whole - rest) % whole));
}

/** Points to each mm of a line round a stone, and at least in all. */
const ROUND_POINTS = 3;
const LEAST_ROUND = 24;
/** Points to each ramp of what is pulled in, at least. */
const RAMP_POINTS = 48;

/** How a way round a stone lies: how far off it, how high, and where it is pulled in. */
type RoundLie = Pick<Round, 'play' | 'height' | 'pulls'>;

/** The place on a way round a stone so many mm along it, from the top clockwise. @returns a sentence when the wire does not fit into a hollow */
export function placeRound(lie: RoundLie, body: Cab, size: WireSize, mm: number): Result<Vec3> {
  const off = lie.play + bendOf(size).thick / 2;
  const line = lineRound(body, off);
  return line.ok ? ok(onLineRound(line.value, lie, body, off, mm)) : line;
}

function onLineRound(
  { at, whole }: LineRound,
  { height, pulls = [] }: RoundLie,
  body: Cab,
  off: number,
  mm: number,
): Vec3 {
  const { point, direction } = at(mm);
  const { inward, high } = pulledAt(pulls, mm, whole, off, height);
  const { x, y } = minus(point, scaled(outward(direction), inward));
  return onBody(body, x, y, high);
}

/**
 * Part of the way round a stone, from one angle to another as seen from its centre: clockwise when the second is greater, all round when it is
 * 360 greater.
 * @returns a sentence when the wire does not fit into a hollow of the outline
 */
export function roundShape(course: Round, body: Cab, size: WireSize): Result<Shape> {
  const { from, to, play, pulls = [] } = course;
  const off = play + bendOf(size).thick / 2;
  const line = lineRound(body, off);
  if (!line.ok) return line;
  const { outline } = line.value;
  const begin = typeof from === 'number' ? alongAtAngle(outline, from) : from.mm;
  const long =
    typeof from === 'number' && typeof to === 'number'
      ? roundBetween(outline, from, to)
      : (typeof to === 'number' ? alongAtAngle(outline, to) : to.mm) - begin;
  if (long === 0)
    return refuse('A way round a stone from a place to itself is none; say how far round it goes.');
  const ramp = Math.min(Infinity, ...pulls.map((pull) => pull.ramp ?? pull.long / 2));
  const fine = Math.max(ROUND_POINTS, RAMP_POINTS / ramp);
  const steps = Math.max(LEAST_ROUND, Math.ceil(Math.abs(long) * fine));
  const path = Array.from({ length: steps + 1 }, (_, step) =>
    onLineRound(line.value, course, body, off, begin + (long * step) / steps),
  );
  const way = Math.sign(long);
  const { x, y } = line.value.at(begin + long).direction;
  const ahead = onBody(body, way * x, way * y, 0);
  const isPulled = pulls.length > 0;
  return ok({
    path,
    length: isPulled ? lengthOfPath(path) : Math.abs(long),
    end: pose(path.at(-1) ?? body.pose.at, minus3(ahead, body.pose.at), body.pose.up),
    ...(isPulled ? { plain: Math.abs(long) } : {}),
  });
}

/** How steeply it sets out, and how late it comes in: the exponents of its height and of its way in, 1 for a plain ellipse. */
const [STEEP, LATE] = [0.6, 2];

/**
 * How far in a way round a stone is pulled at a place, and how high it lies there: up or down beside the edge first, then over it, as a
 * quarter of an ellipse that is steeper, so that it clears the edge.
 * @param off of the line from the stone, mm
 * @param height of the line where it is not pulled
 */
function pulledAt(pulls: readonly Pull[], along: number, whole: number, off: number, height: number) {
  for (const { at, long, inward, height: high, ramp = long / 2 } of pulls) {
    const away = Math.abs(along - at - whole * Math.round((along - at) / whole));
    if (away >= long / 2) continue;
    const part = Math.min(1, (long / 2 - away) / ramp);
    const quarter = (Math.PI / 4) * (1 - Math.cos(Math.PI * part));
    return {
      inward: (off + inward) * (1 - Math.cos(quarter)) ** LATE,
      high: height + (high - height) * Math.sin(quarter) ** STEEP,
    };
  }
  return { inward: 0, high: height };
}

/** Whether a wire is where something begins already: then it goes on from there, at a corner where that heads another way. */
export const isThere = (from: Pose, to: Pose): boolean => norm3(minus3(from.at, to.at)) < 1e-6;

/** A line of its own length. */
export const drawnShape = (path: Path, end: Pose): Shape => ({ path, length: lengthOfPath(path), end });

const TWIST_POINTS = 48;

/** How far off their axis strands lie that touch one another. */
export const offAxis = (strands: number, thick: number): number =>
  strands < 2 ? 0 : thick / 2 / Math.sin(Math.PI / strands);

/** Strands of a twist that is bent, all of them, and how long they are on average, mm. */
interface Strands {
  readonly key: string;
  readonly paths: readonly Path[];
  readonly length: number;
}

/** Strands by the line that they are twisted about, while nothing else of them changes. */
const strandsKnown = new WeakMap<Path, Strands>();

function strandsAbout(course: Twisted, line: Path, size: WireSize): Strands {
  const { axis, strands, along, turns } = course;
  const { x, y, z } = axis.up;
  const key = [strands, along, turns, size.width, x, y, z].join();
  const known = strandsKnown.get(line);
  if (known?.key === key) return known;
  const bent = spaceLine(line, axis.up);
  const stations = Array.from({ length: stepsOf(turns) + 1 }, (_, step) =>
    bent.at((along * step) / stepsOf(turns)),
  );
  const paths = Array.from({ length: strands }, (_, strand) =>
    strandPath({ ...course, strand }, size, stations),
  );
  const length = paths.reduce((sum, path) => sum + lengthOfPath(path), 0) / strands;
  const made = { key, paths, length };
  strandsKnown.set(line, made);
  return made;
}

/** How long a strand of a twist is, mm: a helix unrolled; of a twist that is bent, as long as its strands are on average, measured. */
export const lengthOfStrand = (course: Twisted, size: WireSize): number =>
  course.line
    ? strandsAbout(course, course.line, size).length
    : Math.hypot(course.along, 2 * Math.PI * offAxis(course.strands, size.width) * course.turns);

/** A strand of a twist: a helix about its axis, as far off it as strands of its thickness lie that touch one another. */
export const twistedPath = (course: Twisted, size: WireSize): Path =>
  (course.line && strandsAbout(course, course.line, size).paths[course.strand]) ??
  strandPath(course, size, undefined);

/** Points of a strand that is twisted so often. */
const stepsOf = (turns: number): number => Math.max(8, Math.ceil(Math.abs(turns) * TWIST_POINTS));

/** @param stations poses of a bent axis at even parts of it, one for each point of a strand; a straight one needs none */
function strandPath(
  { axis, strands, strand, along, turns }: Twisted,
  size: WireSize,
  stations: readonly Pose[] | undefined,
): Path {
  const off = offAxis(strands, size.width);
  const steps = stepsOf(turns);
  return Array.from({ length: steps + 1 }, (_, step) => {
    const part = step / steps;
    const angle = 2 * Math.PI * (strand / strands + turns * part);
    const [right, up] = [off * Math.sin(angle), off * Math.cos(angle)];
    const station = stations?.[step];
    return station ? inPose(station, 0, right, up) : inPose(axis, along * part, right, up);
  });
}
