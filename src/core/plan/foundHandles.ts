import { atParts, nearestOn } from '../geometry/onLine';
import type { Vec3 } from '../geometry/path';
import { minus3, norm3, plus3, scaled3 } from '../geometry/vec3';
import type { Vec } from '../geometry/vector';
import type { Result } from '../result';
import type { Made, OwnCourse } from './madeWith';
import type { ChoiceParameter, CountParameter, LengthParameter, LineParameter } from '../parameter/parameter';
import { TO, type Handle, type Pull } from './pulls';
import type { Values } from '../parameter/readValues';

/** Places along a course that are compared. */
const PLACES = 24;
/** What moves less than this for the least change, mm, has no handle. */
const STILL = 0.02;
/** A length moves what it says by so much and a little for each mm of it. */
const EVEN = 1.1;
/** Of places that move about alike, by this part, the first one is taken. */
const ALIKE = 0.98;
/** Points of a line lie no farther from where it begins, mm. */
const LINE_REACH = 1000;

/** What one stroke of a key changes a length by, mm; one that ranges over less than `FINE` is changed by less. */
const STROKE = 0.5;
const FINE = 5;
/** What a length is changed by to see what moves, mm. */
const TRIED = 0.2;

interface Moved {
  readonly course: OwnCourse;
  readonly part: number;
  readonly at: Vec3;
  readonly by: Vec3;
}

/**
 * Where a change moves courses most, by how far they then lie from where they lay: what slides along itself does not move.
 * @param even a place that moves by no more than this is taken before all that move by more, mm: a hand that pulls at it stays with it
 * @returns the place as it was, and by how much it moves
 */
function mostMoved(
  before: readonly OwnCourse[],
  after: readonly OwnCourse[],
  even: number,
): Moved | undefined {
  const there = new Map(after.map((each) => [each.key, each.path]));
  const most: { evenly?: Moved; all?: Moved } = {};
  const look = (moved: Moved) => {
    const far = norm3(moved.by);
    const as = far <= even ? 'evenly' : 'all';
    const before = most[as];
    if (far * ALIKE > (before ? norm3(before.by) : 0)) most[as] = moved;
  };
  for (const course of before) {
    const path = there.get(course.key);
    if (!path) continue;
    // Where it grew: what lies there now and did not.
    for (const is of atParts(path, PLACES)) {
      const { at, part } = nearestOn(course.path, is);
      look({ course, at, part, by: minus3(is, at) });
    }
    // Where it shrank: what lay there and does no more.
    for (const [index, at] of atParts(course.path, PLACES).entries())
      look({ course, at, part: index / PLACES, by: minus3(nearestOn(path, at).at, at) });
  }
  return most.evenly && norm3(most.evenly.by) >= STILL ? most.evenly : most.all;
}

/** The place of courses that lies farthest from where they lie then, and how far, mm. */
function mostLeft(before: readonly OwnCourse[], after: readonly OwnCourse[]): { at: Vec3; far: number } {
  const places = before.flatMap(({ path }) => atParts(path, PLACES));
  const farFrom = (at: Vec3) => Math.min(...after.map(({ path }) => nearestOn(path, at).far), LINE_REACH);
  return places
    .map((at) => ({ at, far: farFrom(at) }))
    .reduce((most, each) => (each.far > most.far ? each : most), { at: places[0] as Vec3, far: 0 });
}

/** Makes a use with other values of it. */
export type Make = (values: Values) => Result<Made>;

export function measureHandle(
  make: Make,
  now: Made,
  values: Values,
  key: string,
  parameter: LengthParameter | CountParameter,
): Handle | undefined {
  const { label, from, to } = parameter;
  const value = values[key] as number;
  const isCount = parameter.kind === 'count';
  const tried = isCount ? 1 : TRIED;
  for (const by of [tried, -tried]) {
    if (value + by < from || value + by > to) continue;
    const then = make({ ...values, [key]: value + by });
    const moved = then.ok
      ? mostMoved(now.courses, then.value.courses, isCount ? Infinity : EVEN * TRIED)
      : undefined;
    if (!moved || norm3(moved.by) < STILL) continue;
    const { course, part, at } = moved;
    const step = isCount ? 1 : to - from < FINE ? TO : STROKE;
    return {
      key,
      parameter,
      label,
      at,
      on: { course: course.key, part },
      pulls: [{ value, from, to, step, per: scaled3(moved.by, 1 / by) }],
    };
  }
  return undefined;
}

/** Handles of the points of a line: it ends at its last point, so what moves that moves them all alike. */
export function pointHandles(
  make: Make,
  { courses: [course] }: Made,
  values: Values,
  key: string,
  parameter: LineParameter,
): readonly Handle[] {
  const points = values[key] as readonly Vec[];
  const last = points.at(-1);
  const ends = course?.path.at(-1);
  if (!course || !last || !ends) return [];
  const moved = (x: number, y: number): Vec3 | undefined => {
    const then = make({ ...values, [key]: [...points.slice(0, -1), { x: last.x + x, y: last.y + y }] });
    const to = then.ok ? then.value.courses.find((each) => each.key === course.key)?.path.at(-1) : undefined;
    return to && scaled3(minus3(to, ends), 1 / (x + y));
  };
  const [on, right] = [moved(TRIED, 0), moved(0, TRIED)];
  if (!on || !right) return [];
  const pull = (value: number, per: Vec3): Pull => ({
    value,
    from: -LINE_REACH,
    to: LINE_REACH,
    step: STROKE,
    per,
  });
  return points.map(({ x, y }, point): Handle => ({
    key,
    point,
    parameter,
    label: `point ${point + 1} of ${points.length}`,
    at: plus3(ends, plus3(scaled3(on, x - last.x), scaled3(right, y - last.y))),
    on: { course: course.key, part: 1 },
    pulls: [pull(x, on), pull(y, right)],
  }));
}

/** A choice of a use that changes how it lies: to which side, round which way, in front or behind. */
export interface ChoiceHandle {
  readonly key: string;
  readonly parameter: ChoiceParameter;
  /** Where it changes most. */
  readonly at: Vec3;
  readonly now: string;
  /** What it becomes next; of those that can be made. */
  readonly next: string;
}

/**
 * The choice of a use, there where it lies no more with the next one that can be made.
 * @param value what is chosen now
 * @returns undefined when nothing lies elsewhere by it
 */
export function choiceHandle(
  make: Make,
  now: Made,
  values: Values,
  key: string,
  parameter: ChoiceParameter,
  value: string,
): ChoiceHandle | undefined {
  const at = parameter.choices.indexOf(value);
  const inTurn = [...parameter.choices.slice(at + 1), ...parameter.choices.slice(0, at)];
  for (const next of inTurn) {
    const then = make({ ...values, [key]: next });
    const left = then.ok ? mostLeft(now.courses, then.value.courses) : undefined;
    if (left && left.far >= STILL) return { key, parameter, at: left.at, now: value, next };
  }
  return undefined;
}
