import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Month closings become a cache that may be thrown away; what the daily check of the books found. */
export const checks: Migration = {
  name: '0009-checks',
  statements: ({ appRole }) => [
    `DROP TRIGGER append_only ON closings`,
    `GRANT DELETE ON closings TO ${appRole}`,
    // What a check of all the books found for one studio; written by the role that sees all studios.
    `CREATE TABLE book_checks (
       studio_id uuid NOT NULL REFERENCES studios,
       checked_at timestamptz NOT NULL,
       movements bigint NOT NULL CHECK (movements >= 0),
       differences int NOT NULL CHECK (differences >= 0),
       first_difference text NOT NULL DEFAULT '',
       PRIMARY KEY (studio_id, checked_at)
     )`,
    ...guardByStudio(appRole)('book_checks'),
    `GRANT SELECT ON book_checks TO ${appRole}`,
  ],
};
