import { allowOrder, type OrderAct } from '@/core/selling/order';
import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { Order, OrderLine } from '@/data/models/orders';
import type { RowIn } from '@/data/table';
import { refused } from '../kernel/outcome';

const COLUMNS = [
  ...(['orderId', 'number', 'version', 'state', 'channelId', 'buyer', 'address', 'wishes'] as const),
  ...(['payDays', 'paid', 'batchId', 'saleId'] as const),
] as const;

/** An order that something is done with, locked. */
export type LockedOrder = Pick<RowIn<typeof Order>, (typeof COLUMNS)[number]>;

/** Locks an order, so that what is done with it is done one after the other. @throws Refused when there is none of that number */
export async function lockOrder(tx: Tx, number: number): Promise<LockedOrder> {
  const row = await tx.one(Order, COLUMNS, { where: { number }, lock: true });
  if (!row) throw refused(`There is no order ${tag('order', number)}.`);
  return row;
}

/** @throws Refused when something may not be done with an order as it stands */
export function allowed({ state, number }: LockedOrder, act: OrderAct): void {
  const may = allowOrder(state, act, tag('order', number));
  if (!may.ok) throw refused(may.error);
}

/** The lines of an order as far as its price goes by them. */
export const pricedLines = (tx: Tx, { orderId }: Pick<LockedOrder, 'orderId'>) =>
  tx.all(OrderLine, ['line', 'patternId', 'count', 'wanted', 'price'], {
    where: { orderId },
    order: ['line'],
  });
