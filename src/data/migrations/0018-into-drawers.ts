import type { Migration } from './migration';

/** What is made of a pattern may go into the drawers instead of onto the shelf: findings that pieces take. */
export const intoDrawers: Migration = {
  name: '0018-into-drawers',
  statements: () => [
    `ALTER TABLE pieces ADD COLUMN drawer_stock_id uuid,
       ADD FOREIGN KEY (studio_id, drawer_stock_id) REFERENCES stock_pieces`,
  ],
};
