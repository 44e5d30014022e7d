import { largestReached } from '../ring/drift';
import { diameterOfUs, RING_RANGE } from '../ring/ringSize';
import { ok, refuse, type Result } from '../result';
import type { CountParameter, LengthParameter } from '../parameter/parameter';
import type { Values } from '../parameter/readValues';
import { cutOf, said, type AnyTechnique } from '../technique/technique';

/** The parameter that says how wide a ring is inside; undefined of techniques that make none. */
export const ringParameter = ({ parameters }: AnyTechnique): string | undefined =>
  Object.entries(parameters).find(([, each]) => each.kind === 'length' && each.as === 'ring')?.[0];

/**
 * The largest ring that a technique makes from a length of its first wire, all else as it is.
 * @param length mm
 * @returns the US size, or undefined when the wire does not even reach the smallest one
 */
export function ringReached(technique: AnyTechnique, values: Values, length: number): number | undefined {
  const key = ringParameter(technique);
  if (key === undefined) return undefined;
  return largestReached(length, (us) => {
    const inside = Math.max(RING_RANGE.from, Math.min(RING_RANGE.to, diameterOfUs(us)));
    const planned = technique.plan({ ...values, [key]: inside } as never);
    const first = planned.ok ? planned.value.cuts[0] : undefined;
    return first ? cutOf(first) : Infinity;
  });
}

/** Parameters that say nothing of what is made: what is trimmed, holes, what is left open. */
const NOT_MADE = /tail|trim|hole|drilled|cutter|gap|open|clear|apart/i;

/** A parameter that can be asked for backwards. */
export interface Asked {
  readonly key: string;
  readonly parameter: LengthParameter | CountParameter;
}

/** What of a technique more wire makes more of: turns, beads, lengths; the inside of a ring is asked by its size instead. */
export const askedFor = ({ parameters }: AnyTechnique): readonly Asked[] =>
  Object.entries(parameters).flatMap(([key, parameter]): Asked[] =>
    (parameter.kind === 'count' || (parameter.kind === 'length' && parameter.as !== 'ring')) &&
    !NOT_MADE.test(key)
      ? [{ key, parameter }]
      : [],
  );

/** How much of something a length of wire makes. */
export interface Reached {
  readonly value: number;
  /** What that takes of the wire, mm. */
  readonly cut: number;
  /** Whether no more of it is allowed, whatever the wire is. */
  readonly isMost: boolean;
}

/** Lengths are told to this, mm. */
const TO = 0.1;
/** Needs that differ by less are one, mm. */
const SAME = 0.01;
/** Places that are tried for one that can be made at all. */
const TRIED = 4;

/**
 * How much of a measure a length of wire is enough for: by halving between what it is enough for and what it is not.
 * @param now what it is told to be
 * @param needOf how much of the wire a value takes, mm; Infinity when it cannot be made
 * @param length of the wire in hand, mm
 * @returns a sentence when it is enough for nothing of it, or when the wire does not depend on it
 */
export function reachedBy(
  { from, to, label, kind }: Asked['parameter'],
  now: number,
  needOf: (value: number) => number,
  length: number,
): Result<Reached> {
  const step = kind === 'count' ? 1 : TO;
  const known = new Map<number, number>();
  const need = (value: number): number => {
    const before = known.get(value) ?? needOf(value);
    known.set(value, before);
    return before;
  };
  const rounded = (value: number) =>
    Number(Math.min(to, Math.max(from, Math.round(value / step) * step)).toFixed(6));
  const tried = [
    rounded(now),
    from,
    ...Array.from({ length: TRIED }, (_, index) => rounded(from + ((to - from) * (index + 1)) / (TRIED + 1))),
  ];
  const made = tried.filter((value) => Number.isFinite(need(value)));
  if (made.length === 0) return refuse('Nothing can be made with these measures.');
  // The least that can be made at all may lie between what was tried.
  let [not, smallest] = [from, Math.min(...made)];
  while (smallest - not > step * 1.5) {
    const middle = rounded((not + smallest) / 2);
    if (Number.isFinite(need(middle))) smallest = middle;
    else not = middle;
  }
  const needs = [smallest, ...made].map(need);
  const [least, most] = [Math.min(...needs), Math.max(...needs)];
  if (most - least < SAME) return refuse(`How much of this wire is taken does not depend on “${label}”.`);
  const enough = [...made, smallest].find((value) => need(value) <= length);
  if (enough === undefined)
    return refuse(`${said(length)} are not enough: ${said(least)} are the least that it takes.`);
  let [low, high] = [enough, to];
  if (need(high) <= length) low = high;
  while (high - low > step * 1.5) {
    const middle = rounded((low + high) / 2);
    if (need(middle) <= length) low = middle;
    else high = middle;
  }
  return ok({ value: low, cut: need(low), isMost: low === to });
}

/**
 * How much of a measure a length of one wire is enough for, all else as it is.
 * @param wire the name of the cut
 * @param length of the wire in hand, with its tails, mm
 * @returns a sentence as {@link reachedBy} does
 */
export function measureReached(
  technique: AnyTechnique,
  values: Values,
  { key, parameter }: Asked,
  wire: string,
  length: number,
): Result<Reached> {
  const needOf = (value: number): number => {
    const planned = technique.plan({ ...values, [key]: value } as never);
    const cuts = planned.ok ? planned.value.cuts.filter(({ name }) => name === wire) : [];
    return cuts.length > 0 ? Math.max(...cuts.map(cutOf)) : Infinity;
  };
  return reachedBy(parameter, values[key] as number, needOf, length);
}
