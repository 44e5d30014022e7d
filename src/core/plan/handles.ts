import { atPart } from '../geometry/onLine';
import type { Vec3 } from '../geometry/path';
import { minus } from '../geometry/vector';
import { ok, refuse, type Result } from '../result';
import type { RunCourse } from '../piece/steps';
import { choiceHandle, measureHandle, pointHandles, type ChoiceHandle, type Make } from './foundHandles';
import { drawnTo, guidesOf, type Guide } from './guides';
import type { ActUse } from '../technique/joinActs';
import { madeWith, type Made, type OwnCourse } from './madeWith';
import { pulledBy, straightTo, valuesPulled, type Handle } from './pulls';
import type { Values } from '../parameter/readValues';

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
    const make: Make = (values) => this.#make(values);
    for (const key of keys) {
      const parameter = this.#use.technique.parameters[key];
      const now = this.values[key];
      if (parameter?.kind !== 'choice' || typeof now !== 'string') continue;
      yield choiceHandle(make, this.#now, this.values, key, parameter, now);
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
