import type { CostIs } from '@/core/stock/costIs';
import type { MovementKind } from '@/core/stock/movement';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { lotOfStockSql } from '@/data/sql/purchases';
import { historyOfSql } from '@/data/sql/ledger';

/** One movement in the history of a stock piece. Costs are null for helpers. */
export interface HistoryLine {
  readonly id: number;
  readonly at: Date;
  readonly who: string;
  readonly kind: MovementKind;
  readonly quantity: number;
  readonly cost: CostUnits | null;
  readonly reason: string;
  /** The finished piece it went into. */
  readonly pieceNumber: number | null;
  readonly pieceName: string | null;
  readonly reverses: number | null;
}

/** The most movements of one stock piece that its page shows. */
export const HISTORY = 100;

/** The latest movements of a stock piece, newest first. */
export async function historyOf(tx: Tx, stockPieceId: string): Promise<HistoryLine[]> {
  const rows = await tx.rows(historyOfSql, { stockPieceId, most: HISTORY });
  return tx.session.role === 'owner' ? rows : rows.map((row) => ({ ...row, cost: null }));
}

/** The purchase that a stock piece came from. Amounts are null for helpers. */
export interface LotView {
  readonly boughtOn: string;
  readonly supplier: string | null;
  /** The label wire was bought under; null for other wares. */
  readonly label: string | null;
  readonly price: MinorUnits | null;
  readonly quantity: number;
  readonly note: string | null;
  readonly paid: MinorUnits | null;
  readonly paidCurrency: string;
  readonly costIs: CostIs;
  /** Number of the delivery it came with; null when it came by itself. */
  readonly delivery: number | null;
  /** What of the price is postage and tax, in the currency it was paid in. */
  readonly extras: MinorUnits | null;
}

export async function lotOf(tx: Tx, stockPieceId: string): Promise<LotView | null> {
  const lot = await tx.row(lotOfStockSql, { stockPieceId });
  if (!lot) return null;
  return tx.session.role === 'owner' ? lot : { ...lot, price: null, paid: null, extras: null, note: null };
}
