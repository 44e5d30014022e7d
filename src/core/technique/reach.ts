import { largestReached } from '../ring/drift';
import { diameterOfUs, RING_RANGE } from '../ring/ringSize';
import type { Values } from './readValues';
import { cutOf, type AnyTechnique } from './technique';

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
