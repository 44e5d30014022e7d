import type { MetalId } from '../wire/metal';

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

/** What is wanted of a line of a batch besides its pattern. */
export interface WantedLine {
  /** Number of a stone of the drawer; null for the stone that the pattern was composed for. */
  readonly stone: number | null;
  /** Ring size or inside diameter as it was typed, which its techniques read; empty for the pattern's own. */
  readonly ring: string;
  /** Length of the bead along its hole as it was typed; empty for the pattern's own. */
  readonly bead: string;
  /** Metal of all its wires; null for the pattern's own. */
  readonly metal: MetalId | null;
}
