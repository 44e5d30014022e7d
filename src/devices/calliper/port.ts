import type { Micrometres } from '@/core/units/length';

/** A calliper that tells what its jaws are closed on. */
export interface Calliper {
  /** Closes the jaws. @returns the reading, to the calliper's own division */
  close(): Promise<Micrometres>;
}

/** One division of a workshop calliper. */
export const CALLIPER_DIVISION = 10;
