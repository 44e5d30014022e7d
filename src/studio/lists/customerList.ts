import { customersToExportSql } from '@/data/sql/customers';
import type { OutList } from './outList';

/** Who buys, all of them: it is the studio’s own to take elsewhere. */
export const CUSTOMER_LIST: OutList = {
  id: 'customers',
  title: 'Customers',
  columns: [
    ['Name', 'As it stands on receipts'],
    ['Contact', 'How to reach them'],
    ['Ring sizes', 'As they were written down'],
    ['Wishes', 'As they were written down'],
    ['Since', 'The day that they were written down'],
    ['Receipts', 'How many are in their name'],
    ['Last', 'The day of the last of them; empty where there is none'],
  ],
  // Some thousand at most: it comes whole.
  rows: async (tx, _currency, after) =>
    after > 0
      ? []
      : (await tx.rows(customersToExportSql, {})).map((row) => [
          row.name,
          row.contact,
          row.ringSizes,
          row.wishes,
          row.since,
          String(row.sales),
          row.last ?? '',
        ]),
};
