import { seenFrom, type View } from '../drawing/view';
import type { Vec3 } from '../geometry/path';
import { norm3, plus3, scaled3 } from '../geometry/vec3';
import type { Vec } from '../geometry/vector';
import type { LengthSystem } from '../units/length';
import type { CountParameter, LengthParameter, LineParameter } from '../parameter/parameter';
import { textsOf } from '../parameter/readTexts';
import type { Values } from '../parameter/readValues';

/** A measure that one pulls at. */
export interface Pull {
  readonly value: number;
  readonly from: number;
  readonly to: number;
  /** What one stroke of a key changes it by. */
  readonly step: number;
  /** How the handle moves for each unit of it, mm. */
  readonly per: Vec3;
}

/** Where on a piece one takes hold of what a technique does, to change a measure of it. */
export interface Handle {
  /** The parameter, and of a line which of its points. */
  readonly key: string;
  readonly point?: number;
  readonly parameter: LengthParameter | CountParameter | LineParameter;
  readonly label: string;
  readonly at: Vec3;
  /** Its course, and how far along that it sits, as a part of its length; it goes with the course while one pulls. */
  readonly on: { readonly course: string; readonly part: number };
  /** One for a measure; for a point of a line how far on and how far to the right it is. */
  readonly pulls: readonly [Pull] | readonly [Pull, Pull];
}

/** Lengths are pulled to this, mm. */
export const TO = 0.1;

const within = ({ from, to }: Pull, value: number, parameter: Handle['parameter']): number => {
  const rounded =
    parameter.kind === 'count' ? Math.round(value) : Number((Math.round(value / TO) * TO).toFixed(3));
  return Math.min(to, Math.max(from, rounded));
};

/** A handle that moves less than this part of what it does is pulled toward the eye: it is not pulled from there. */
const SEEN_PART = 0.2;

/**
 * What a handle’s measures become when it is pulled across a picture.
 * @param view that the picture is
 * @param by how far it is pulled on the picture, mm
 * @returns one value for each pull, within what is allowed; undefined when it moves toward the eye there
 */
export function pulledBy({ pulls, parameter }: Handle, view: View, by: Vec): readonly number[] | undefined {
  const ways = seenFrom(
    view,
    pulls.map(({ per }) => per),
  );
  const [a, b] = ways;
  const [first, second] = pulls;
  if (!a) return undefined;
  if (!b || !second) {
    const square = a.x ** 2 + a.y ** 2;
    if (Math.sqrt(square) < SEEN_PART * norm3(first.per)) return undefined;
    return [within(first, first.value + (by.x * a.x + by.y * a.y) / square, parameter)];
  }
  const across = a.x * b.y - a.y * b.x;
  if (Math.abs(across) < SEEN_PART * norm3(first.per) * norm3(second.per)) return undefined;
  return [
    within(first, first.value + (by.x * b.y - by.y * b.x) / across, parameter),
    within(second, second.value + (a.x * by.y - a.y * by.x) / across, parameter),
  ];
}

/** A handle that was pulled so far already: it is pulled on from there. */
export const pulledSoFar = <H extends Pick<Handle, 'pulls'>>(handle: H, to: readonly number[]): H => {
  const [first, second] = handle.pulls;
  const along = { ...first, value: to[0] ?? first.value };
  return { ...handle, pulls: second ? [along, { ...second, value: to[1] ?? second.value }] : [along] };
};

/** What a handle’s measures become by strokes of a key. @param strokes of each pull */
export const stepped = ({ pulls, parameter }: Handle, strokes: readonly number[]): readonly number[] =>
  pulls.map((pull, index) => within(pull, pull.value + (strokes[index] ?? 0) * pull.step, parameter));

/** Values with what a handle was pulled to. */
export function valuesPulled(values: Values, { key, point }: Handle, to: readonly number[]): Values {
  const [x = 0, y = 0] = to;
  if (point === undefined) return { ...values, [key]: x };
  return {
    ...values,
    [key]: (values[key] as readonly Vec[]).map((each, index) => (index === point ? { x, y } : each)),
  };
}

/** What is typed when a handle was pulled so far, by field. */
export const textsPulled = (
  values: Values,
  handle: Handle,
  to: readonly number[],
  system: LengthSystem,
): Readonly<Record<string, string>> =>
  textsOf({ [handle.key]: handle.parameter }, valuesPulled(values, handle, to), system);

/** Where the handle of a point comes to: it moves straight. */
export const straightTo = ({ at, pulls }: Handle, to: readonly number[]): Vec3 =>
  pulls.reduce((now, { value, per }, index) => plus3(now, scaled3(per, (to[index] ?? value) - value)), at);
