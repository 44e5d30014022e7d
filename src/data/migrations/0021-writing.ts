import type { Migration } from './migration';

/** How a studio writes: what stands before decimals, what comes first in a date, and what it prints on. */
export const writing: Migration = {
  name: '0021-writing',
  statements: () => [
    `ALTER TABLE studios
       ADD COLUMN numbers text NOT NULL DEFAULT 'point' CHECK (numbers IN ('point', 'comma')),
       ADD COLUMN days text NOT NULL DEFAULT 'day' CHECK (days IN ('day', 'month', 'year')),
       ADD COLUMN sheet text NOT NULL DEFAULT 'A4' CHECK (sheet IN ('A4', 'Letter'))`,
  ],
};
