import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { between3, distance3, dot3, minus3, norm3, plus3, scaled3 } from '../geometry/vec3';
import { minus, type Vec } from '../geometry/vector';
import { ok, refuse, type Result } from '../result';
import type { RunWire } from '../piece/run';
import type { RunCourse } from '../piece/steps';
import { drawnTo, guidesOf, type Guide } from './guides';
import type { ActUse } from './joinActs';
import type { ChoiceParameter, CountParameter, LengthParameter, LineParameter } from './parameter';
import { planActs, type PlannedPiece } from './planActs';
import { pulledBy, straightTo, TO, valuesPulled, type Handle, type Pull } from './pulls';
import { SIDES } from './wireState';
import type { Values } from './readValues';

/** A course of a use as it lies: told by its wire, its hand and its place along that. */
interface OwnCourse {
  readonly key: string;
  readonly wire: string;
  readonly thick: number;
  readonly path: Path;
}

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

/** The uses of a piece as far as one of them, with its values. */
const asFarAs = (uses: readonly ActUse[], id: string, values: Values): readonly ActUse[] =>
  uses
    .slice(0, uses.findIndex((use) => use.id === id) + 1)
    .map((use) => (use.id === id ? { ...use, values } : use));

/** What a use comes to: its courses as they lie, the wires that they are of, and the piece as far as it. */
interface Made {
  readonly courses: readonly OwnCourse[];
  readonly wires: readonly RunWire[];
  readonly piece: PlannedPiece;
}

/** What a use does to wires when it has these values, and what is cut then; what comes after it is left out. */
function madeWith(uses: readonly ActUse[], id: string, values: Values): Result<Made> {
  const planned = planActs(asFarAs(uses, id, values));
  const use = planned.uses.at(-1);
  if (use?.plan.ok === false) return refuse(use.plan.error);
  const piece = planned.pieces.find((each) => each.uses.includes(id));
  if (!piece) return refuse('Something in it cannot be read.');
  const worked = new Set<string>();
  const courses = piece.run.wires.flatMap(({ wire, ...hands }) =>
    SIDES.flatMap((side) => {
      const named = new Map<string, number>();
      return hands[side].flatMap(({ course, name, path }): OwnCourse[] => {
        if (!course || piece.by.get(course) !== id || path.length < 2) return [];
        worked.add(wire.id);
        // Of courses of one name each is told by which of them it is: others may come and go between.
        const plain = name.replace(/[\d.]+/g, '');
        const nth = (named.get(plain) ?? 0) + 1;
        named.set(plain, nth);
        return [
          { key: `${wire.id} ${side} ${plain} ${nth}`, wire: wire.cutFrom, thick: wire.size.width, path },
        ];
      });
    }),
  );
  const wires = piece.run.wires.filter(({ wire }) => worked.has(wire.id));
  return ok({ courses, wires, piece });
}

/** Points at equal parts of a line, its beginning and its end among them. */
const atParts = (path: Path, parts: number): readonly Vec3[] =>
  Array.from({ length: parts + 1 }, (_, index) => atPart(path, index / parts));

/** The nearest place of a line to a point, and how far along that is, as a part of its length. */
function nearestOn(path: Path, to: Vec3): { readonly at: Vec3; readonly part: number } {
  let [at, gone, along, least] = [path[0] as Vec3, 0, 0, Infinity];
  for (const [index, next] of path.entries()) {
    const from = path[index - 1];
    if (!from) continue;
    const way = minus3(next, from);
    const square = dot3(way, way);
    const part = square > 0 ? Math.min(1, Math.max(0, dot3(minus3(to, from), way) / square)) : 0;
    const place = between3(from, next, part);
    const far = distance3(place, to);
    if (far < least) [at, along, least] = [place, gone + part * Math.sqrt(square), far];
    gone += Math.sqrt(square);
  }
  return { at, part: gone > 0 ? along / gone : 0 };
}

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
  const farFrom = (at: Vec3) =>
    Math.min(...after.map(({ path }) => distance3(nearestOn(path, at).at, at)), LINE_REACH);
  return places
    .map((at) => ({ at, far: farFrom(at) }))
    .reduce((most, each) => (each.far > most.far ? each : most), { at: places[0] as Vec3, far: 0 });
}

/** @param part of the length of a line, 0 to 1 */
function atPart(path: Path, part: number): Vec3 {
  let left = lengthOfPath(path) * part;
  for (const [index, to] of path.entries()) {
    const from = path[index - 1];
    if (!from) continue;
    const long = distance3(from, to);
    if (long > 0 && left <= long) return between3(from, to, left / long);
    left -= long;
  }
  return path.at(-1) as Vec3;
}

/** Makes a use with other values of it. */
type Make = (values: Values) => Result<Made>;

function measureHandle(
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
function pointHandles(
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

/** What a use comes to while one pulls at it. */
export interface Pulled {
  /** Its courses as they lie then. */
  readonly lines: readonly Omit<OwnCourse, 'key'>[];
  /** Where the handle is then. */
  readonly at: Vec3;
  /** By wire that it works, what is cut of it then and as it stands, mm. */
  readonly cuts: readonly { readonly name: string; readonly cut: number; readonly was: number }[];
}

/** What is to be shaped by hand: one use among those of its piece, and the parameters of it that may be pulled at. */
export interface ToShape {
  /** Of the piece, in the order of the work. */
  readonly uses: readonly ActUse[];
  readonly id: string;
  readonly keys: readonly string[];
}

/** A use of a piece, to be shaped by hand. It is a class so that it holds what it is of and nothing of who asked for it. */
export class Shaping {
  readonly #uses: readonly ActUse[];
  readonly #use: ActUse;
  /** What it is shaped from. */
  readonly values: Values;
  readonly #now: Made;
  #guides: readonly Guide[] | undefined;

  private constructor(uses: readonly ActUse[], use: ActUse, values: Values, now: Made) {
    [this.#uses, this.#use, this.values, this.#now] = [uses, use, values, now];
  }

  /**
   * Shapes one use of a piece by hand.
   * @param uses of the piece, in the order of the work
   * @param id of the use
   * @returns a sentence when it cannot be made as it stands
   */
  static of(uses: readonly ActUse[], id: string): Result<Shaping> {
    const use = uses.find((each) => each.id === id);
    if (!use?.values) return refuse('Something in it cannot be read.');
    const made = madeWith(uses, id, use.values);
    return made.ok ? ok(new Shaping(uses, use, use.values, made.value)) : made;
  }

  #make(values: Values): Result<Made> {
    return madeWith(this.#uses, this.#use.id, values);
  }

  /**
   * Its handles, one after the other as they are found: for every measure that moves something of what the use does, where it moves it most.
   * @param keys parameters that may be pulled at
   */
  *handles(keys: readonly string[]): Generator<Handle, void> {
    const make: Make = (values) => this.#make(values);
    for (const key of keys) {
      const parameter = this.#use.technique.parameters[key];
      if (parameter?.kind === 'line') yield* pointHandles(make, this.#now, this.values, key, parameter);
      if (parameter?.kind !== 'length' && parameter?.kind !== 'count') continue;
      const handle = measureHandle(make, this.#now, this.values, key, parameter);
      if (handle) yield handle;
    }
  }

  /**
   * Its choices, one after the other as they are found: those by which something of what the use does lies elsewhere, there where it lies no more with
   * the next one that can be made.
   * @param keys parameters that may be chosen
   */
  *choices(keys: readonly string[]): Generator<ChoiceHandle | undefined, void> {
    for (const key of keys) {
      const parameter = this.#use.technique.parameters[key];
      const now = this.values[key];
      if (parameter?.kind !== 'choice' || typeof now !== 'string') continue;
      const at = parameter.choices.indexOf(now);
      const inTurn = [...parameter.choices.slice(at + 1), ...parameter.choices.slice(0, at)];
      const found = inTurn.flatMap((next): ChoiceHandle[] => {
        const then = this.#make({ ...this.values, [key]: next });
        const left = then.ok ? mostLeft(this.#now.courses, then.value.courses) : undefined;
        return left && left.far >= STILL ? [{ key, parameter, at: left.at, now, next }] : [];
      });
      yield found[0];
    }
  }

  /** What points of its lines are drawn to. */
  #along(): readonly Guide[] {
    const { courses, piece } = this.#now;
    const isOwn = ({ course }: RunCourse) => course !== undefined && piece.by.get(course) === this.#use.id;
    const middle = piece.hang?.x ?? piece.run.bodies[0]?.pose.at.x ?? 0;
    return (this.#guides ??= guidesOf(piece.run, isOwn, courses[0]?.thick ?? 0, middle));
  }

  /**
   * Where the handle of a point is drawn to from where it was pulled: to the edge of a stone, beside a wire, or where a wire lies on the other side.
   * @param reach it is drawn no farther than this, mm
   * @returns undefined when nothing is near, or it is no point
   */
  drawnTo(
    handle: Handle,
    to: readonly number[],
    reach: number,
  ): { readonly to: readonly number[]; readonly said: string } | undefined {
    if (handle.point === undefined) return undefined;
    const drawn = drawnTo(straightTo(handle, to), this.#along(), reach);
    const there = drawn && pulledBy(handle, 'front', minus(drawn.at, handle.at));
    return there && { to: there, said: drawn.said };
  }

  /**
   * What it comes to when a handle is pulled so far; what comes after it in the work is left out.
   * @returns a sentence when it cannot be made
   */
  pulled(handle: Handle, to: readonly number[]): Result<Pulled> {
    const then = this.#make(valuesPulled(this.values, handle, to));
    if (!then.ok) return then;
    const { courses, wires } = then.value;
    const was = new Map(this.#now.wires.map(({ wire, cut }) => [wire.id, cut]));
    const on = courses.find(({ key }) => key === handle.on.course);
    return ok({
      lines: courses.map(({ wire, thick, path }) => ({ wire, thick, path })),
      at: handle.point === undefined && on ? atPart(on.path, handle.on.part) : straightTo(handle, to),
      cuts: wires.map(({ wire, cut }) => ({ name: wire.name, cut, was: was.get(wire.id) ?? cut })),
    });
  }
}
