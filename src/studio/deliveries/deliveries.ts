import type { SharedBy } from '@/core/stock/delivery';
import type { SupplyUnit } from '@/core/stock/amount';
import type { CostIs } from '@/core/stock/costIs';
import type { MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { linesOfDeliverySql, deliveryOfNumberSql } from '@/data/sql/purchases';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { linesAgain, type LineAgain } from './again';
import type { DeliveredWare } from './delivery.input';

/** A delivery in the list of them. Its amounts are in the invoice's currency. */
export interface DeliveryListed {
  readonly number: number;
  readonly boughtOn: string;
  readonly supplier: string | null;
  readonly note: string;
  readonly currency: string;
  readonly lines: number;
  /** Of everything: lines, postage and tax. */
  readonly total: MinorUnits;
  /** Whether it was taken back in the ledger. */
  readonly isTakenBack: boolean;
}

/** A line of a delivery, with what it came to. */
export interface DeliveredLine {
  readonly ware: DeliveredWare;
  readonly number: number;
  readonly name: string;
  readonly unit: SupplyUnit | null;
  readonly quantity: number;
  readonly costIs: CostIs;
  /** Before postage and tax, in the invoice's currency. */
  readonly goods: MinorUnits;
  readonly postage: MinorUnits;
  readonly tax: MinorUnits;
  /** What the stock carries, in the studio's currency. */
  readonly cost: MinorUnits;
}

export interface DeliveryView extends Omit<DeliveryListed, 'lines'> {
  readonly receivedAt: Date;
  readonly receivedBy: string;
  readonly postage: MinorUnits;
  readonly tax: MinorUnits;
  readonly sharedBy: SharedBy;
  readonly lines: readonly DeliveredLine[];
}

/** A page of deliveries. */
export interface DeliveryPage {
  readonly deliveries: readonly DeliveryListed[];
  /** Number to go on after; undefined on the last page. */
  readonly next: number | undefined;
}

const A_PAGE = 50;

const LISTED = `d.number, d.bought_on::text AS "boughtOn", u.name AS supplier, d.note, d.currency,
  (SELECT COALESCE(sum(l.paid), 0)::bigint FROM lots l WHERE l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id) AS total,
  EXISTS (SELECT FROM movements m JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id
           WHERE m.studio_id = d.studio_id AND m.post_key = d.post_key) AS "isTakenBack"`;

/** Deliveries, the latest first. @param after only those of lower numbers */
export function listDeliveries(session: StudioSession, after?: number): Promise<DeliveryPage> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const rows = await tx.select<DeliveryListed>(
      `SELECT ${LISTED}, (SELECT count(*)::int FROM lots l WHERE l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id) AS lines
         FROM deliveries d LEFT JOIN suppliers u ON u.studio_id = d.studio_id AND u.supplier_id = d.supplier_id
        WHERE d.studio_id = $1 AND ($2::int IS NULL OR d.number < $2) ORDER BY d.number DESC LIMIT ${A_PAGE + 1}`,
      [session.studioId, after ?? null],
    );
    return {
      deliveries: rows.slice(0, A_PAGE),
      next: rows.length > A_PAGE ? rows[A_PAGE - 1]?.number : undefined,
    };
  });
}

interface DeliveryRow extends Omit<DeliveryView, 'lines'> {
  readonly deliveryId: string;
}

const deliveryNumbered = (tx: Tx, number: number): Promise<DeliveryRow | undefined> =>
  tx.row(deliveryOfNumberSql, { number });

/** A delivery with all of its lines; null when there is none of this number. */
export function showDelivery(session: StudioSession, number: number): Promise<DeliveryView | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const found = await deliveryNumbered(tx, number);
    if (!found) return null;
    const { deliveryId, ...delivery } = found;
    const lines = await tx.rows(linesOfDeliverySql, { deliveryId });
    return { ...delivery, lines };
  });
}

/** What a form sends to order a delivery once more; null when there is none of this number. */
export function deliveryAgain(
  session: StudioSession,
  number: number,
): Promise<{
  readonly supplier: string;
  readonly currency: string;
  readonly sharedBy: SharedBy;
  readonly lines: readonly LineAgain[];
} | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const found = await deliveryNumbered(tx, number);
    if (!found) return null;
    const { deliveryId, supplier, currency, sharedBy } = found;
    return { supplier: supplier ?? '', currency, sharedBy, lines: await linesAgain(tx, deliveryId) };
  });
}
