import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Who buys: as little as is needed, and erased when they ask for it. What they bought is found by the name on its receipts. */
export const customers: Migration = {
  name: '0037-customers',
  statements: ({ appRole }) => [
    `CREATE TABLE customers (
       studio_id uuid NOT NULL REFERENCES studios,
       customer_id uuid NOT NULL,
       name text NOT NULL CHECK (name = btrim(name) AND length(name) BETWEEN 1 AND 120),
       contact text NOT NULL DEFAULT '' CHECK (length(contact) <= 300),
       ring_sizes text NOT NULL DEFAULT '' CHECK (length(ring_sizes) <= 200),
       wishes text NOT NULL DEFAULT '' CHECK (length(wishes) <= 1000),
       since timestamptz NOT NULL,
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, customer_id)
     )`,
    `CREATE UNIQUE INDEX customers_by_name ON customers (studio_id, lower(name))`,
    ...guardByStudio(appRole)('customers'),
    `GRANT SELECT, INSERT, UPDATE, DELETE ON customers TO ${appRole}`,
    `CREATE INDEX sales_by_buyer ON sales (studio_id, lower(buyer)) WHERE buyer <> ''`,
  ],
};
