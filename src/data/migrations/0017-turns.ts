import type { Migration } from './migration';

/**
 * Turns: a table without rows that everybody who writes locks together, and who loses one race after another locks alone, so that its
 * next try is the only one and cannot be lost.
 */
export const turns: Migration = {
  name: '0017-turns',
  statements: ({ appRole }) => [
    'CREATE TABLE turns ()',
    'ALTER TABLE turns ENABLE ROW LEVEL SECURITY',
    // What may be updated may be locked in any way; there is nothing in it to update.
    `GRANT UPDATE ON turns TO ${appRole}`,
  ],
};
