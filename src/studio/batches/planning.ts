/** How the cuts of a batch stand; `stale` when stock that was set aside for them is not there any more. */
export type Planning = 'none' | 'working' | 'planned' | 'stale' | 'failed';

const LOSS = `SELECT l.reason FROM reservation_losses l WHERE l.studio_id = b.studio_id AND l.batch_id = b.batch_id`;

/** In SQL over batches b: how its cuts stand. That they are stale follows from what the batch has lost, and is kept nowhere. */
export const PLANNING = `CASE WHEN b.state = 'open' AND b.planning <> 'working' AND EXISTS (${LOSS}) THEN 'stale' ELSE b.planning END`;

/** In SQL over batches b: what there is to say of how its cuts stand. */
export const PLANNING_SAID = `CASE WHEN b.state = 'open' AND b.planning <> 'working' THEN COALESCE((${LOSS}), b.planning_said) ELSE b.planning_said END`;
