import type { Day } from '@/core/calendar/day';
import type { SharedBy } from '@/core/stock/delivery';
import type { MinorUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import { deliveryList } from '@/data/sql/lists';
import { readPage } from '@/data/pages';
import type { Tx } from '@/data/inStudio';
import { linesOfDeliverySql, deliveryOfNumberSql } from '@/data/sql/purchases';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { linesAgain, type LineAgain } from './again';

/** A delivery in the list of them. Its amounts are in the invoice's currency. */
export interface DeliveryListed {
  readonly number: number;
  readonly boughtOn: Day;
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
export type DeliveredLine = RowOf<typeof linesOfDeliverySql>;

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
  /** Where the next page begins after; null on the last. */
  readonly next: string | null;
}

const A_PAGE = 50;

/** Deliveries, the latest first. */
export function listDeliveries(session: StudioSession, after?: string): Promise<DeliveryPage> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const { rows, next } = await readPage(tx, deliveryList, {}, {}, { after, size: A_PAGE });
    return { deliveries: rows, next };
  });
}

type DeliveryRow = RowOf<typeof deliveryOfNumberSql>;

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
