import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Findings that are made carry the hours they took besides their wire: how many, and at which rates, is kept with their posting. */
export const labour: Migration = {
  name: '0013-labour',
  statements: ({ appRole }) => [
    `CREATE TABLE made_labour (
       studio_id uuid NOT NULL REFERENCES studios,
       post_key uuid NOT NULL,
       minutes numeric(8, 2) NOT NULL CHECK (minutes BETWEEN 0 AND 10000),
       -- Minor units an hour, as they were on the day.
       hourly_rate bigint NOT NULL CHECK (hourly_rate >= 0),
       overhead_per_hour bigint NOT NULL CHECK (overhead_per_hour >= 0),
       cost_units bigint NOT NULL CHECK (cost_units >= 0),
       PRIMARY KEY (studio_id, post_key)
     )`,
    ...guardByStudio(appRole)('made_labour'),
    `GRANT SELECT, INSERT ON made_labour TO ${appRole}`,
  ],
};
