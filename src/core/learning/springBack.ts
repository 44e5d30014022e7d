import type { Micrometres } from '../units/length';
import { estimate, type Entry, type Estimate } from './estimate';

/** A turn that was bent round something and measured when it was let go. */
export interface Bend {
  /** Diameter of what it was bent round, and its inside after that. */
  readonly on: Micrometres;
  readonly came: Micrometres;
  /** Days since. */
  readonly age: number;
}

/** How far bends lie about what is usual before anything is measured: a hundredth of the diameter. The house's choice. */
const USUAL_DEVIATION = 0.01;

/** How much a wire springs open. */
export interface SpringLearned extends Estimate {
  /** Bends of this wire that it comes from, and of others of its metal and temper. */
  readonly own: number;
  readonly others: number;
}

const entriesOf = (bends: readonly Bend[]): Entry[] =>
  bends.map(({ on, came, age }) => ({ value: came / on - 1, age }));

/**
 * What is learned of how much a wire springs open, as a part of the diameter that it is bent round: its own bends, drawn toward those of other wires
 * of its metal and temper, and those toward what is usual. Nothing while nothing was measured.
 * @param usual as a part of the diameter
 * @example learnSpring([], [], 0.02) // undefined
 */
export function learnSpring(
  own: readonly Bend[],
  others: readonly Bend[],
  usual: number,
): SpringLearned | undefined {
  if (own.length + others.length === 0) return undefined;
  const alike = estimate(entriesOf(others), { value: usual, deviation: USUAL_DEVIATION });
  return { ...estimate(entriesOf(own), alike), own: own.length, others: others.length };
}
