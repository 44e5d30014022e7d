import { ringOf } from '../ring/ringSize';
import { UM_PER_MM, type Micrometres } from '../units/length';
import { estimate, type Estimate, type Prior } from './estimate';

/** A ring that was made for a size and read on the mandrel. */
export interface RingMade {
  readonly wanted: Micrometres;
  readonly finished: Micrometres;
  /** Days since. */
  readonly age: number;
}

/** How rings lie about the size that they are made for before anything is logged: a quarter of a US size. The house's choice. */
export const USUAL_DRIFT: Prior = { value: 0, deviation: 0.25 };

const usOf = (inside: Micrometres): number => ringOf(inside / UM_PER_MM).us;

/** How much larger than wanted a ring came out, in US sizes; negative when it is smaller. */
export const driftOf = ({ wanted, finished }: Pick<RingMade, 'wanted' | 'finished'>): number =>
  usOf(finished) - usOf(wanted);

/**
 * What is learned of how rings of a pattern come out, in US sizes: how much larger than wanted; negative when they come out smaller. What its
 * method does to a size is in what was wanted already. Nothing while nothing was read.
 * @param fixed what somebody said in place of what the log says
 */
export function learnDrift(rings: readonly RingMade[], fixed: number | null = null): Estimate | undefined {
  if (rings.length === 0 && fixed === null) return undefined;
  const entries = rings.map((ring) => ({ value: driftOf(ring), age: ring.age }));
  const learned = estimate(entries, USUAL_DRIFT);
  return { ...learned, value: fixed ?? learned.value };
}
