import type { OutlineMeasures } from './outlineOf';

/** A stone as a technique holds it, mm. */
export interface StoneSize extends OutlineMeasures {
  readonly depth: number;
  /** Height of the edge that the holds go round. */
  readonly edge: number;
}
