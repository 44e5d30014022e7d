import type { Migration } from './migration';

/** How long a work took is read for all patterns that have it, the latest first. */
export const timedSteps: Migration = {
  name: '0031-timed-steps',
  statements: () => [
    `CREATE INDEX step_log_of_subject ON step_log (studio_id, subject, made_at DESC) INCLUDE (piece_id, pattern_id, planned_minutes, minutes)
       WHERE planned_minutes > 0`,
  ],
};
