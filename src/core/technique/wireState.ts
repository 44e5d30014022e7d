import { pose, type Pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import type { Course, PieceWire, Side, WirePlace } from '../piece/piece';
import type { Act, Port, Taken } from './act';
import type { WireSize } from '../wire/wireSize';
import type { Values } from '../parameter/readValues';

/** The hands of a wire. */
export const SIDES = ['first', 'second'] as const;

/** A hand of a wire while acts are joined: what it does so far. */
export interface HandState {
  readonly courses: Course[];
  tail: number;
  at: WirePlace;
  wound: readonly WirePlace[];
  /** What the last thing is called that is wound on it. */
  under: string;
}

/** A wire while acts are joined. */
export interface WireState {
  readonly id: string;
  readonly name: string;
  readonly size: WireSize;
  start: Pose | undefined;
  /** Where it lies when nothing shapes it. */
  readonly asCut: Pose | undefined;
  readonly hands: Readonly<Record<Side, HandState>>;
  readonly use: string;
  readonly parameter: string;
  readonly isGiven: boolean;
  middle: string | undefined;
  twisted: number | undefined;
  readonly woven: NonNullable<Act['woven']>[];
}

/** What a wire of a piece is cut from: a parameter of the use that brings it in. */
export const cutFromOf = (use: string, parameter: string): string => `${use}.${parameter}`;
/** The use and the parameter that a wire is cut from; without a use for a piece of one technique. */
export function cutFromParts(cutFrom: string): { readonly use?: string; readonly parameter: string } {
  const dot = cutFrom.indexOf('.');
  return dot < 0 ? { parameter: cutFrom } : { use: cutFrom.slice(0, dot), parameter: cutFrom.slice(dot + 1) };
}

export const freshHand = (tail: number): HandState => ({ courses: [], tail, at: 0, wound: [], under: '' });

/** A wire that was cut afresh, and its end that is free. */
export interface FreshWire extends WireState {
  readonly side: Side;
}

/** Wires that are cut afresh for a port, side by side, upright. */
export function freshWires(
  own: Taken['own'],
  use: string,
  key: string,
  port: Port,
  values: Values,
): readonly FreshWire[] {
  const cut = port.fresh(values as never);
  const each = [cut].flat().flatMap((kind) => Array.from({ length: kind.count }, () => kind));
  return each.map((kind, index): FreshWire => {
    const { count, name, wire = port.wire, tail, isGiven = false, start, side = 'first' } = kind;
    const size = values[wire] as WireSize;
    return {
      side,
      id: own(`${key} ${index + 1}`),
      name: count > 1 ? `${name} ${index + 1}` : name,
      size,
      start: undefined,
      asCut: start
        ? start(index, size)
        : pose(vec3((index - (each.length - 1) / 2) * size.width, 0), vec3(0, -1)),
      hands: { first: freshHand(tail), second: freshHand(tail) },
      use,
      parameter: wire,
      isGiven,
      middle: undefined,
      twisted: undefined,
      woven: [],
    };
  });
}

/** A wire with all it does: straight on as far as something is wound on it. */
export function wireOf({
  id,
  name,
  use,
  parameter,
  size,
  start,
  asCut,
  twisted,
  hands,
}: WireState): PieceWire {
  const [first, second] = SIDES.map((side): readonly Course[] => {
    const { courses, wound, under } = hands[side];
    return wound.length > 0 ? [...courses, { kind: 'reaching', name: under, to: wound }] : courses;
  }) as [readonly Course[], readonly Course[]];
  const begins = start ?? asCut;
  return {
    id,
    name,
    cutFrom: cutFromOf(use, parameter),
    size,
    ...(twisted === undefined ? {} : { twisted }),
    ...(begins ? { start: begins } : {}),
    first,
    second,
    tails: { first: hands.first.tail, second: hands.second.tail },
  };
}
