import type { CostIs } from '@/core/stock/costIs';
import type { MovementKind } from '@/core/stock/movement';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';

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
  const rows = await tx.select<HistoryLine>(
    `SELECT m.movement_id AS id, m.happened_at AS at, u.name AS who, m.kind, m.quantity, m.cost_units AS cost, m.reason,
            f.number AS "pieceNumber", f.name AS "pieceName", m.reverses
       FROM movements m
       JOIN users u ON u.studio_id = m.studio_id AND u.user_id = m.user_id
       LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id
      WHERE m.studio_id = $1 AND m.stock_piece_id = $2 ORDER BY m.movement_id DESC LIMIT ${HISTORY}`,
    [tx.session.studioId, stockPieceId],
  );
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
  const lot = await tx.first<LotView>(
    `SELECT l.bought_on::text AS "boughtOn", u.name AS supplier, l.gauge_number || ' ' || l.gauge_system AS label, l.price, l.quantity,
            l.note, l.paid, l.paid_currency AS "paidCurrency", l.cost_is AS "costIs", d.number AS delivery,
            l.postage_share + l.tax_share AS extras
       FROM stock_pieces p JOIN lots l ON l.studio_id = p.studio_id AND l.lot_id = p.lot_id
       LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id
       LEFT JOIN deliveries d ON d.studio_id = l.studio_id AND d.delivery_id = l.delivery_id
      WHERE p.studio_id = $1 AND p.stock_piece_id = $2`,
    [tx.session.studioId, stockPieceId],
  );
  if (!lot) return null;
  return tx.session.role === 'owner' ? lot : { ...lot, price: null, paid: null, extras: null, note: null };
}
