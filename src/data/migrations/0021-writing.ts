import type { Migration } from './migration';

/** How a studio writes: what stands before decimals, what comes first in a date, how it sizes rings, and what it prints on. */
export const writing: Migration = {
  name: '0021-writing',
  statements: () => [
    `ALTER TABLE studios
       ADD COLUMN numbers text NOT NULL DEFAULT 'point' CHECK (numbers IN ('point', 'comma')),
       ADD COLUMN days text NOT NULL DEFAULT 'day' CHECK (days IN ('day', 'month', 'year')),
       ADD COLUMN rings text NOT NULL DEFAULT 'US' CHECK (rings IN ('US', 'UK', 'ISO', 'mm')),
       ADD COLUMN sheet text NOT NULL DEFAULT 'A4' CHECK (sheet IN ('A4', 'Letter'))`,
    `UPDATE studios SET rings = 'ISO' WHERE length_system = 'mm'`,
    `UPDATE studios SET days = 'month', sheet = 'Letter' WHERE length_system = 'in' AND currency = 'USD'`,
  ],
};
