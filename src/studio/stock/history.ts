import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { lotOfStockSql } from '@/data/sql/purchases';
import { historyOfSql } from '@/data/sql/ledger';

/** One movement in the history of a stock piece. Costs are null for helpers. */
export type HistoryLine = RowOf<typeof historyOfSql>;

/** The most movements of one stock piece that its page shows. */
export const HISTORY = 100;

/** The latest movements of a stock piece, newest first. */
export async function historyOf(tx: Tx, stockPieceId: string): Promise<HistoryLine[]> {
  const rows = await tx.rows(historyOfSql, { stockPieceId, most: HISTORY });
  return tx.session.role === 'owner' ? rows : rows.map((row) => ({ ...row, cost: null }));
}

/** The purchase that a stock piece came from. Amounts are null for helpers. */
export type LotView = RowOf<typeof lotOfStockSql>;

export async function lotOf(tx: Tx, stockPieceId: string): Promise<LotView | null> {
  const lot = await tx.row(lotOfStockSql, { stockPieceId });
  if (!lot) return null;
  return tx.session.role === 'owner' ? lot : { ...lot, price: null, paid: null, extras: null, note: null };
}
