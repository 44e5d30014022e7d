import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { pose, smoothWay, type Pose } from '../geometry/pose';
import { spaceLine, type SpaceLine } from '../geometry/spaceLine';
import { distance3, dot3, minus3, plus3, scaled3 } from '../geometry/vec3';
import { poseAtEnd } from './body';
import { pathOfLaying, type Laying } from './laying';
import type { Course, Side } from './piece';
import { drawnShape, type Shape } from './shape';

/** A course as it came to lie. */
export interface RunCourse {
  readonly name: string;
  /** By its formula, mm; what has none is measured. */
  readonly length: number;
  readonly path: Path;
  readonly course: Course | undefined;
  /** How long it was before it was pulled in, where it was; its points part that evenly. */
  readonly plain?: number | undefined;
}

/** Places of a wire that are nearer to one another than this are one, mm. */
export const NEAR = 1e-9;

/** What a hand has come to so far. */
export interface HandRun {
  /** The id of its wire. */
  readonly wire: string;
  readonly side: Side;
  /** Where its work begins. */
  readonly begin: Pose | undefined;
  readonly courses: RunCourse[];
  readonly lines: (LazyLine | undefined)[];
  /** Lengths, measured, at which each course begins. */
  readonly starts: number[];
  measured: number;
  end: Pose | undefined;
  /** Where it has come to on the wires that it was wound about last. */
  wound: Laying | undefined;
  next: number;
  isBusy: boolean;
}

/** Points of a way aside. */
const ASIDE_POINTS = 24;

/**
 * A way on and aside, softly on both ends: first across and then out of the row, as round a quarter of a circle, so that wires that stand behind
 * one another come past one another.
 */
export function asideWay(from: Vec3, to: Vec3, way: Vec3, across: Vec3): Path {
  const off = minus3(to, from);
  const [on, aside] = [dot3(off, way), dot3(off, across)];
  const rest = minus3(off, plus3(scaled3(way, on), scaled3(across, aside)));
  return Array.from({ length: ASIDE_POINTS + 1 }, (_, index) => {
    const part = index / ASIDE_POINTS;
    const quarter = (Math.PI / 2) * part * part * (3 - 2 * part);
    const sideways = plus3(scaled3(across, aside * Math.sin(quarter)), scaled3(rest, 1 - Math.cos(quarter)));
    return plus3(plus3(from, scaled3(way, on * part)), sideways);
  });
}

/** A line that is measured when somebody asks for a place on it: nothing is wound on most of them. */
export type LazyLine = () => SpaceLine;

function lazyLine(path: Path, up: Vec3 | undefined): LazyLine {
  let line: SpaceLine | undefined;
  return () => (line ??= spaceLine(path, up));
}

export interface Shaped {
  readonly name: string;
  readonly shape: Shape;
  readonly course: Course | undefined;
}

/** A course as it came to lie, measured. */
export interface Step {
  readonly run: RunCourse;
  readonly long: number;
  readonly line: LazyLine | undefined;
  readonly end: Pose;
}

export const stepOf = (
  { name, shape: { path, length, end, plain }, course }: Shaped,
  up: Vec3 | undefined,
): Step => {
  const long = lengthOfPath(path);
  return {
    run: { name, length, path, course, plain },
    long,
    line: long > NEAR ? lazyLine(path, up) : undefined,
    end,
  };
};

export function add(hand: HandRun, { run, long, line, end }: Step): void {
  hand.starts.push(hand.measured);
  hand.lines.push(line);
  hand.courses.push(run);
  hand.measured += long;
  hand.end = end;
}

/** What lies longer on bent carriers than it does flat by more than this part is as long as it lies there. */
const BENT = 0.003;

export function shapeAndLaying(laying: Laying): { readonly shape: Shape; readonly laying: Laying } {
  const path = pathOfLaying(laying);
  const longer = lengthOfPath(path) / lengthOfPath(laying.flat);
  const length = Math.abs(longer - 1) < BENT ? laying.length : longer * laying.length;
  const [before, last] = [path.at(-2), path.at(-1)] as [Vec3, Vec3];
  return { shape: { path, length, end: pose(last, minus3(last, before)) }, laying };
}

/** A line that lies where it lies, measured. */
export const alongPath = (path: Path, up: Vec3): Shape => drawnShape(path, poseAtEnd(path, up));

/** Where a shape begins, and which way it sets out. */
export function poseAtStart({ path, end }: Shape): Pose {
  const [first, second] = path;
  return first && second ? pose(first, minus3(second, first), end.up) : end;
}

/** Lines that follow one another as one, without the points that they share. */
export function joined(paths: readonly Path[]): Path {
  const line: Vec3[] = [];
  for (const path of paths)
    for (const [index, at] of path.entries()) if (index > 0 || line.length === 0) line.push(at);
  return line;
}

export const pathOfCourses = (courses: readonly RunCourse[]): Path => joined(courses.map(({ path }) => path));

/** The way from where the second half of a wire begins to where the first does. */
export function halvesWay(back: Path, forth: Path): RunCourse | undefined {
  const [from, before] = back;
  const [to, after] = forth;
  if (!from || !before || !to || !after) return undefined;
  const path = smoothWay(pose(from, minus3(from, before)), pose(to, minus3(after, to)));
  return { name: 'from one half to the other', length: lengthOfPath(path), path, course: undefined };
}

/** The pose of a hand at a length along it, as it was run so far; beyond that it goes on straight. */
export function poseIn({ lines, starts, measured, end }: HandRun, s: number): Pose | undefined {
  if (!end) return undefined;
  if (s >= measured || lines.length === 0)
    return { ...end, at: plus3(end.at, scaled3(end.along, s - measured)) };
  // Where one course ends and the next begins it lies as the one ends, whether the next one is known yet or not.
  const before = starts.findLastIndex((start, at) => start < s - NEAR && lines[at] !== undefined);
  const index = before < 0 ? lines.findIndex((line) => line !== undefined) : before;
  const line = lines[index];
  return line ? line().at(s - (starts[index] as number)) : end;
}

/**
 * Where a place of a hand has come to that is told along it as it was before anything was pulled in: what is wound on it stays where it is, and
 * the wire comes through beneath it.
 */
export function cameTo({ courses, starts, measured }: HandRun, told: number): number {
  let before = 0;
  for (const [index, { path, plain }] of courses.entries()) {
    const start = starts[index] as number;
    const long = plain ?? (starts[index + 1] ?? measured) - start;
    if (told <= before + long)
      return start + (plain === undefined ? told - before : lengthUpTo(path, (told - before) / plain));
    before += long;
  }
  return measured + told - before;
}

/** How long a line is up to a part of its points. */
function lengthUpTo(path: Path, part: number): number {
  const last = part * (path.length - 1);
  const whole = Math.floor(last);
  const [from, to] = [path[whole], path[whole + 1]];
  const rest = from && to ? (last - whole) * distance3(from, to) : 0;
  return lengthOfPath(path.slice(0, whole + 1)) + rest;
}
