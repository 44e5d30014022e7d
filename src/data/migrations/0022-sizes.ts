import type { Migration } from './migration';

/** The size that a finished piece was made in, as it is said; empty for what has none, and for pieces made before sizes were kept. */
export const sizes: Migration = {
  name: '0022-sizes',
  statements: () => [`ALTER TABLE pieces ADD COLUMN size text NOT NULL DEFAULT ''`],
};
