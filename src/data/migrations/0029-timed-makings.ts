import type { Migration } from './migration';

/** How long the makings of a pattern took is read for hundreds of patterns at once, the latest first. */
export const timedMakings: Migration = {
  name: '0029-timed-makings',
  statements: () => [
    `CREATE INDEX pieces_timed ON pieces (studio_id, pattern_id, number DESC) INCLUDE (minutes, planned_minutes, made_at)
       WHERE struck_at IS NULL AND planned_minutes > 0 AND minutes > 0 AND minutes <> planned_minutes`,
  ],
};
