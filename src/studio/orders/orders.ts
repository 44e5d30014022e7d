import type { Day } from '@/core/calendar/day';
import type { WantedLine } from '@/core/batch/batchState';
import type { Id } from '@/core/id';
import {
  reckonOrder,
  standingOfOrder,
  stillToPay,
  type OrderState,
  type OrderStanding,
  type PaymentKind,
} from '@/core/selling/order';
import type { PaidBy } from '@/core/selling/sale';
import type { SaleTyped } from '@/core/selling/stall';
import { numberOnTag, tag } from '@/core/tag';
import { minor, plainMoney, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Batch, BatchPiece } from '@/data/models/batches';
import { Order, OrderLine, OrderPayment } from '@/data/models/orders';
import { readPage, readSums } from '@/data/pages';
import { madeForBatchSql, onShelfOfPatternsSql, ordersList, owedOfOrderSql } from '@/data/sql/orders';
import { anywhere } from '../kernel/called';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { paperStudio, settingsIn, type PaperStudio } from '../settings/settings';
import { channelsIn, type KnownChannel } from '../selling/channels';
import { MOST_SOLD } from '../selling/sell.input';
import type { OrdersQuery } from './orders.input';

/** An order as it is listed. */
export interface OrderListed {
  readonly number: number;
  readonly buyer: string;
  readonly channel: string;
  readonly standing: OrderStanding;
  readonly quotedOn: Day;
  readonly validUntil: Day | null;
  readonly dueOn: Day | null;
  readonly payBy: Day | null;
  readonly pieces: number;
  /** What they are called, with how many there are of each. */
  readonly names: string;
  readonly gross: MinorUnits;
  readonly paid: MinorUnits;
  readonly owed: MinorUnits;
}

export interface OrdersPage {
  readonly orders: readonly OrderListed[];
  readonly total: number;
  readonly quoted: number;
  readonly ordered: number;
  /** What was paid for what is still to be handed over, and what is owed of what was. */
  readonly held: MinorUnits;
  readonly owed: MinorUnits;
  readonly next: string | null;
}

/** The ways of sorting them. */
export const ORDER_SORTINGS = ordersList.orders;

const PAGE = 40;

/** Orders as they are asked for: a page of them. For the owner. */
export function listOrders(session: StudioSession, query: OrdersQuery = {}): Promise<OrdersPage> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const words = (query.words ?? '').split(/\s+/).filter((word) => word !== '');
    const tagged = numberOnTag('order', query.words ?? '');
    const asked = {
      ...(tagged === undefined ? { called: words.length > 0 ? words.map(anywhere) : undefined } : { tagged }),
      ...(query.state === 'open' ? { isOpen: true } : { state: query.state }),
    };
    const [sums] = await readSums(tx, ordersList, {}, asked);
    const { rows, next } = await readPage(tx, ordersList, {}, asked, { ...query, size: PAGE });
    const today = todayOf(session);
    const { total = 0, quoted = 0, ordered = 0, held = minor(0), owed = minor(0) } = sums ?? {};
    return {
      ...{ total, quoted, ordered, held, owed, next },
      orders: rows.map(({ state, kind: _, ...row }) => ({
        ...row,
        standing: standingOfOrder({ ...row, state, ...moneyOf(row) }, today),
      })),
    };
  });
}

/** What is still to pay of a row, in a way that its standing goes by. */
const moneyOf = ({ gross, owed }: { readonly gross: MinorUnits; readonly owed: MinorUnits }) => ({
  gross,
  paid: minor(gross - owed),
});

/** A line of an order. */
export interface OrderLineShown {
  readonly line: number;
  readonly patternId: Id<'pattern'>;
  readonly patternNumber: number;
  readonly name: string;
  readonly count: number;
  readonly wanted: WantedLine;
  readonly price: MinorUnits;
  /** How many of them are made in its batch; null where it is in none. */
  readonly made: number | null;
}

/** Money of an order. */
export interface OrderPaymentShown {
  readonly number: number;
  readonly kind: PaymentKind;
  readonly paidOn: Day;
  readonly amount: MinorUnits;
  readonly paidBy: PaidBy;
  readonly note: string;
  readonly by: string;
}

/** An order with all that stands about it. */
export interface OrderShown {
  readonly id: Id<'order'>;
  readonly number: number;
  readonly version: number;
  readonly state: OrderState;
  readonly standing: OrderStanding;
  readonly channel: KnownChannel;
  readonly buyer: string;
  readonly address: string;
  readonly wishes: string;
  readonly quotedOn: Day;
  readonly validUntil: Day | null;
  readonly orderedOn: Day | null;
  readonly dueOn: Day | null;
  readonly deposit: MinorUnits;
  readonly payDays: number;
  readonly lines: readonly OrderLineShown[];
  /** What its lines come to, by the terms of its channel. */
  readonly total: { readonly net: MinorUnits; readonly tax: MinorUnits; readonly gross: MinorUnits };
  /** What of that is for sending. */
  readonly postage: MinorUnits;
  /** What the studio keeps of it after tax, fees and sending; what it costs to make is still in it. */
  readonly left: MinorUnits;
  readonly paid: MinorUnits;
  /** What is to be paid still: of all of it before it is handed over, of its invoice then. */
  readonly toPay: MinorUnits;
  readonly payments: readonly OrderPaymentShown[];
  /** What it is made in: whether that is open still, and how many of its lines are made. */
  readonly batch: { readonly number: number; readonly isOpen: boolean } | null;
  /** What it was handed over by, and by when that is to be paid. */
  readonly sale: { readonly number: number; readonly payBy: Day | null; readonly gross: MinorUnits } | null;
  readonly studio: PaperStudio;
}

const COLUMNS = [
  ...(['orderId', 'number', 'version', 'state', 'channelId', 'buyer', 'address', 'wishes'] as const),
  ...(['quotedOn', 'validUntil', 'orderedOn', 'dueOn', 'deposit', 'payDays', 'paid'] as const),
  ...(['batchId', 'saleId'] as const),
] as const;

/** The lines of an order, with how many of each are made in its batch. */
async function linesOfOrder(
  tx: Tx,
  orderId: Id<'order'>,
  batchId: Id<'batch'> | null,
): Promise<readonly OrderLineShown[]> {
  const rows = await tx.allWith(
    OrderLine,
    ['line', 'patternId', 'name', 'count', 'wanted', 'price'],
    { pattern: ['number'] },
    { where: { orderId }, order: ['line'] },
  );
  const made = batchId === null ? null : await tx.all(BatchPiece, ['line'], { where: { batchId } });
  return rows.map(({ pattern, ...row }) => ({
    ...row,
    patternNumber: pattern.number,
    made: made && made.filter(({ line }) => line === row.line).length,
  }));
}

/** An order of a number; null when there is none. For the owner. */
export function showOrder(session: StudioSession, number: number): Promise<OrderShown | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const row = await tx.oneWith(
      Order,
      COLUMNS,
      { batch: ['number', 'state'], sale: ['number', 'payBy', 'gross'] },
      { where: { number } },
    );
    if (!row) return null;
    const { orderId: id, channelId, batchId, saleId, batch, sale, ...order } = row;
    const channel = (await channelsIn(tx)).find((each) => each.id === channelId);
    if (!channel) throw new Error(`the channel of ${tag('order', number)} is not there`);
    const lines = await linesOfOrder(tx, id, batchId);
    const { total, postage, left } = reckonOrder(lines, channel.terms, channel.rounding);
    const owed = (await tx.row(owedOfOrderSql, { orderId: id }))?.owed ?? minor(0);
    const toPay = saleId === null ? stillToPay({ gross: total.gross, paid: order.paid }) : owed;
    const payments = await tx.allWith(
      OrderPayment,
      ['number', 'kind', 'paidOn', 'amount', 'paidBy', 'note'],
      { user: ['name'] },
      { where: { orderId: id }, order: ['number'] },
    );
    const money = { gross: total.gross, paid: minor(total.gross - toPay) };
    return {
      id,
      ...order,
      ...{ channel, lines, total, left, toPay },
      postage: postage?.gross ?? minor(0),
      standing: standingOfOrder({ ...order, payBy: sale?.payBy ?? null, ...money }, todayOf(session)),
      payments: payments.map(({ user, ...each }) => ({ ...each, by: user.name })),
      batch: batch && { number: batch.number, isOpen: batch.state === 'open' },
      sale,
      studio: paperStudio(await settingsIn(tx)),
    };
  });
}

/** Money that was paid for an order, with what it was paid for; null when there is none of that number. For the owner. */
export async function showPayment(
  session: StudioSession,
  number: number,
): Promise<{ readonly order: OrderShown; readonly payment: OrderPaymentShown } | null> {
  ownerOnly(session);
  const of = await look(session, (tx) =>
    tx.oneWith(OrderPayment, [], { order: ['number'] }, { where: { number } }),
  );
  const order = of ? await showOrder(session, of.order.number) : null;
  const payment = order?.payments.find((each) => each.number === number);
  return order && payment ? { order, payment } : null;
}

/** Number of the order that a batch is made for; null for any other batch, and for helpers, whom orders do not concern. */
export function orderOfBatch(session: StudioSession, batch: number): Promise<number | null> {
  if (session.role !== 'owner') return Promise.resolve(null);
  return look(session, async (tx) => {
    const row = await tx.one(Batch, ['batchId'], { where: { number: batch } });
    if (!row) return null;
    return (await tx.one(Order, ['number'], { where: { batchId: row.batchId } }))?.number ?? null;
  });
}

/** What is handed over of an order as a form begins with it. */
export interface HandOver {
  readonly order: Pick<OrderShown, 'number' | 'buyer' | 'paid' | 'payDays' | 'lines'>;
  readonly typed: SaleTyped;
  /** Of each line, how many pieces were found for it. */
  readonly found: readonly number[];
}

/** The pieces that are there for an order: those that were made for it, or such as lie on the shelf. Each with the price that was agreed. */
async function piecesFor(
  tx: Tx,
  lines: readonly OrderLineShown[],
  batchId: Id<'batch'> | null,
): Promise<readonly { readonly line: number; readonly number: number }[]> {
  if (batchId !== null) return tx.rows(madeForBatchSql, { batchId });
  const lying = await tx.rows(onShelfOfPatternsSql, {
    patternIds: lines.map(({ patternId }) => patternId),
    most: 10 * MOST_SOLD,
  });
  const taken = new Set<number>();
  return lines.flatMap(({ line, patternId, count }) =>
    lying
      .filter((each) => each.patternId === patternId && !taken.has(each.number))
      .slice(0, count)
      .map(({ number }) => {
        taken.add(number);
        return { line, number };
      }),
  );
}

/** How an order would be handed over today; null when it is not ordered. For the owner. */
export function handOverOf(session: StudioSession, number: number): Promise<HandOver | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const row = await tx.one(Order, COLUMNS, { where: { number } });
    if (row?.state !== 'ordered') return null;
    const { orderId, batchId, channelId, buyer, paid, payDays } = row;
    const lines = await linesOfOrder(tx, orderId, batchId);
    const pieces = await piecesFor(tx, lines, batchId);
    const { currency } = await settingsIn(tx);
    const priceOf = (line: number) => lines.find((each) => each.line === line)?.price ?? minor(0);
    return {
      order: { number, buyer, paid, payDays, lines },
      found: lines.map(({ line }) => pieces.filter((each) => each.line === line).length),
      typed: {
        channel: channelId,
        soldOn: todayOf(session),
        pieces: pieces.slice(0, MOST_SOLD).map((each) => ({
          piece: tag('piece', each.number),
          asked: `${plainMoney(priceOf(each.line), currency)} ${currency}`,
        })),
        ...{ letGo: 'nothing', off: '', paidBy: payDays > 0 ? 'transfer' : 'cash', given: '' },
        ...{ buyer, note: '' },
      },
    };
  });
}
