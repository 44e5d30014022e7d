import type { Migration } from './migration';

/**
 * Names in lower case, kept by the database: under row security no index serves an expression that may leak what it reads, so
 * that comparing lower(name) looks at every row.
 */
export const names: Migration = {
  name: '0010-names',
  statements: () => [
    ...['articles', 'patterns', 'pieces', 'batches'].map(
      (table) => `ALTER TABLE ${table} ADD COLUMN name_lower text GENERATED ALWAYS AS (lower(name)) STORED`,
    ),
    `ALTER TABLE stones ADD COLUMN material_lower text GENERATED ALWAYS AS (lower(material)) STORED`,
    `CREATE INDEX articles_by_name ON articles (studio_id, name_lower)`,
  ],
};
