import type { Id } from '@/core/id';
import type { Day } from '@/core/calendar/day';
import { StockPiece } from '@/data/models/stock';
import type { CostIs } from '@/core/stock/costIs';
import type { MovementKind } from '@/core/stock/movement';
import { Movement } from '@/data/models/books';
import { type CostUnits, type MinorUnits, minor } from '@/core/units/money';
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
  readonly piece: { readonly number: number; readonly name: string } | null;
  readonly reverses: number | null;
}

/** The most movements of one stock piece that its page shows. */
export const HISTORY = 100;

/** The latest movements of a stock piece, newest first. */
export async function historyOf(tx: Tx, stockPieceId: Id<'stock piece'>): Promise<HistoryLine[]> {
  const rows = await tx.allWith(
    Movement,
    ['movementId', 'happenedAt', 'kind', 'quantity', 'costUnits', 'reason', 'reverses'],
    { user: ['name'], piece: ['number', 'name'] },
    { where: { stockPieceId }, order: [['movementId', 'DESC']], limit: HISTORY },
  );
  const sees = tx.session.role === 'owner';
  return rows.map(({ movementId: id, happenedAt: at, costUnits, user, ...line }) => ({
    ...line,
    id,
    at,
    who: user.name,
    cost: sees ? costUnits : null,
  }));
}

/** The purchase that a stock piece came from. Amounts are null for helpers. */
export interface LotView {
  /** Calendar day, ISO. */
  readonly boughtOn: Day;
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

const LOT_COLUMNS = [
  ...(['boughtOn', 'price', 'quantity', 'note', 'paid', 'paidCurrency', 'costIs'] as const),
  ...(['gaugeNumber', 'gaugeSystem', 'postageShare', 'taxShare'] as const),
] as const;

export async function lotOf(tx: Tx, stockPieceId: Id<'stock piece'>): Promise<LotView | null> {
  const row = await tx.oneWith(
    StockPiece,
    [],
    { lot: { columns: LOT_COLUMNS, with: { supplier: ['name'], delivery: ['number'] } } },
    { where: { stockPieceId } },
  );
  if (!row?.lot) return null;
  const { gaugeNumber, gaugeSystem, postageShare, taxShare, supplier, delivery, ...bought } = row.lot;
  const lot = {
    ...bought,
    label: gaugeNumber && gaugeSystem ? `${gaugeNumber} ${gaugeSystem}` : null,
    supplier: supplier?.name ?? null,
    delivery: delivery?.number ?? null,
    extras: minor(postageShare + taxShare),
  };
  return tx.session.role === 'owner' ? lot : { ...lot, price: null, paid: null, extras: null, note: null };
}
