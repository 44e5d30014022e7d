import { plainAmountOf } from '@/core/stock/amount';
import { type Micrometres } from '@/core/units/length';
import { type Tx } from '@/data/inStudio';
import { COMMON_JOINS, COMMON_SQL, COMMON_WHERE, type CommonRow } from './commonColumns';

/** A size as a cell: plain millimetres, empty for none. */
export const mmCell = (size: Micrometres | null): string =>
  size === null ? '' : plainAmountOf({ ware: 'wire' }, size);

/** Rows of one ware with columns of its own. */
export const selectRows = <Own extends object>(
  tx: Tx,
  ware: string,
  columns: string,
  joins: string,
  after: number,
  most: number,
) =>
  tx.select<CommonRow & Own>(
    `SELECT ${COMMON_SQL}, ${columns} FROM stock_pieces p ${COMMON_JOINS} ${joins} WHERE ${COMMON_WHERE}`,
    [tx.session.studioId, ware, after, most],
  );

/** The table with a ware’s own columns. */
export const own = (table: string) =>
  `JOIN ${table} s ON s.studio_id = p.studio_id AND s.article_id = p.article_id`;
