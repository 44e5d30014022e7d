/** How a batch stands. */
export const BATCH_STATES = ['open', 'made', 'cancelled'] as const;
export type BatchState = (typeof BATCH_STATES)[number];

/** How the cutting plan of a batch stands, as it is kept. That it is out of date follows from what the batch has lost. */
export type PlanningState = 'none' | 'working' | 'planned' | 'failed';

/** How the cuts of a batch stand; `stale` when stock that was set aside for them is not there any more. */
export type Planning = PlanningState | 'stale';

/** What was done at the cutting table: a wire cut as it was asked for, or one cut wrong. */
export type CutKind = 'cut' | 'miscut';

/** What stock is reserved for: wire to be cut as planned, parts from the drawers, wire that is cut and lies in the tray, or by hand. */
export type Purpose = 'planned' | 'picked' | 'tray' | 'hand';

/** A line of a batch as it was asked for, in the words that were typed; empty for the pattern's own. */
export interface WantedLine {
  /** Number of the pattern. */
  readonly pattern: string;
  readonly count: string;
  /** Tag of a stone of the drawer. */
  readonly stone: string;
  readonly ring: string;
  readonly bead: string;
  readonly metal: string;
}
