import type { Migration } from './migration';

/** Where a studio is: what day it is there, and when its months begin. */
export const zones: Migration = {
  name: '0019-zones',
  statements: () => [`ALTER TABLE studios ADD COLUMN time_zone text NOT NULL DEFAULT 'UTC'`],
};
