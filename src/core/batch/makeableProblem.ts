import type { StockLength } from '../cuttingStock/propose';
import type { BatchLine } from './batch';

/** What is wanted most of what could be made. */
export const AIMS = ['margin', 'pieces', 'off-cuts'] as const;
export type Aim = (typeof AIMS)[number];

/** A pattern that could be made. */
export interface Candidate extends Pick<BatchLine, 'body'> {
  /** Its number. */
  readonly pattern: number;
  /** What one piece leaves for the hours, in whatever unit; negative when it does not even pay for itself. */
  readonly margin: number;
}

/** A wire that is free, and for how many days it has lain there. */
export interface AgedLength extends StockLength {
  readonly days: number;
}

/** What there is to make something of until a day. */
export interface MakeableProblem {
  readonly candidates: readonly Candidate[];
  readonly wires: readonly AgedLength[];
  /** Parts by the key of their name; a part that nobody counts holds nothing up. */
  readonly parts: ReadonlyMap<string, number>;
  /** Minutes at the bench. */
  readonly minutes: number;
  /** Pieces of one pattern at most, so that a tray is not all of one kind. */
  readonly mostOfEach: number;
  readonly aim: Aim;
}
