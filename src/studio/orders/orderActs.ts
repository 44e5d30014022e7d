import { randomUUID } from 'node:crypto';
import { day } from '@/core/calendar/day';
import type { Id } from '@/core/id';
import {
  payBack,
  payByOf,
  reckonOrder,
  takeMoney,
  type OrderMoney,
  type PaymentKind,
} from '@/core/selling/order';
import { tag } from '@/core/tag';
import { minor, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Order, OrderLine, OrderPayment } from '@/data/models/orders';
import { owedOfOrderSql } from '@/data/sql/orders';
import { workOutLines, type LineAsked } from '../batches/lineBodies';
import { writeBatch } from '../batches/planBatch';
import { takeNumbers } from '../kernel/numbers';
import { invalid, stale, type Outcome } from '../kernel/outcome';
import { posts, type Posted } from '../kernel/posts';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { look, ownerOnly, post, todayOf, type StudioSession } from '../kernel/useCase';
import { channelsIn } from '../selling/channels';
import { enterReady, readySale, type Entered } from '../selling/sell';
import { SellInput } from '../selling/sell.input';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { allowed, lockOrder, pricedLines, type LockedOrder } from './lockOrder';
import { AcceptInput, CancelOrderInput, OrderPaymentInput } from './orders.input';

/** What is to be made for an order, as lines of a batch say it. */
async function linesToMake(tx: Tx, number: number): Promise<readonly LineAsked[]> {
  const order = await tx.one(Order, ['orderId'], { where: { number } });
  if (!order) return [];
  const rows = await tx.allWith(
    OrderLine,
    ['count', 'wanted'],
    { pattern: ['number'] },
    { where: { orderId: order.orderId }, order: ['line'] },
  );
  return rows.map(({ count, wanted, pattern }) => ({ ...wanted, count, pattern: pattern.number }));
}

/**
 * Accepts a quote: it is ordered. What is to be made for it is planned as a batch that is due when it is promised, and takes its place in the
 * schedule; what lies on the shelf already is not.
 */
export function acceptOrder(
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
  plain: unknown,
): Promise<Outcome<{ readonly batch: number | null }>> {
  const prepare = async () => {
    ownerOnly(session);
    const input = await readInput(AcceptInput, plain);
    const lines = input.isMade ? await look(session, (tx) => linesToMake(tx, number)) : [];
    return { input, lines, ahead: (await workOutLines(session, lines)).bodies };
  };
  return post(session, 'acceptOrder', postKey, prepare, async (tx, { input, lines, ahead }) => {
    const order = await lockOrder(tx, number);
    allowed(order, 'accept');
    if (order.version !== input.version)
      throw stale(`Somebody changed ${tag('order', number)} while you had it open. Reload it.`);
    const { dueOn } = input;
    const name = `${tag('order', number)} for ${order.buyer}`;
    const batch = input.isMade
      ? await writeBatch(tx, null, { name, dueOn, notes: order.wishes, lines: [...lines] }, ahead)
      : null;
    await setOrder(tx, order, {
      state: 'ordered',
      orderedOn: todayOf(session),
      dueOn,
      batchId: batch?.batchId ?? null,
    });
    return { batch: batch?.number ?? null };
  });
}

/** Changes an order that is locked. */
const setOrder = (
  tx: Tx,
  { orderId, version }: LockedOrder,
  values: Parameters<typeof tx.change<InstanceType<typeof Order>>>[2],
): Promise<number> => tx.change(Order, { orderId }, { ...values, version: version + 1 });

/** What an order comes to, and what is paid of it. Once it is handed over that is its invoice. */
async function moneyOf(tx: Tx, order: LockedOrder): Promise<OrderMoney> {
  const { paid, orderId, channelId, saleId } = order;
  if (saleId !== null) {
    const owed = (await tx.row(owedOfOrderSql, { orderId }))?.owed ?? minor(0);
    return { gross: minor(paid + owed), paid };
  }
  const channel = (await channelsIn(tx)).find(({ id }) => id === channelId);
  const lines = await pricedLines(tx, order);
  return { gross: channel ? reckonOrder(lines, channel.terms, channel.rounding).total.gross : paid, paid };
}

/** Money that moves, and what it is. */
interface Moved extends Pick<ValuesOf<OrderPaymentInput>, 'paidBy' | 'paidOn' | 'note'> {
  readonly kind: PaymentKind;
  readonly amount: MinorUnits;
}

/** Numbers what was paid, or went back, and writes it down. @returns its number */
async function enterPayment(
  { tx, session, postKey }: Posted,
  { orderId }: LockedOrder,
  { kind, amount, paidBy, paidOn, note }: Moved,
): Promise<number> {
  const number = await takeNumbers(tx, 'payment');
  await tx.add(OrderPayment, [
    {
      ...{ paymentId: randomUUID(), orderId, number, kind, amount, paidBy, note },
      ...{ paidOn: day(paidOn), postKey, userId: session.userId, postedAt: session.now },
    },
  ]);
  return number;
}

/** Money is taken for an order, before it is handed over or of its invoice; or what was paid before is paid back. Each is numbered. */
export const payOrder = posts(
  'payOrder',
  { input: OrderPaymentInput, by: 'owner' },
  async (posted, input, number: number): Promise<Entered> => {
    const { tx } = posted;
    const order = await lockOrder(tx, number);
    allowed(order, 'take money');
    const { currency } = await settingsIn(tx);
    const amount = inCurrency('amount', input.amount, currency);
    const money = await moneyOf(tx, order);
    const isBack = input.way === 'paid back';
    if (isBack && order.saleId !== null)
      throw invalid('way', 'It is handed over: what goes back of it is entered where it was sold.');
    const paid = isBack ? payBack(money, amount, currency) : takeMoney(money, amount, currency);
    if (!paid.ok) throw invalid('amount', paid.error);
    const taken: PaymentKind = order.saleId === null ? 'deposit' : 'invoice';
    const entered = await enterPayment(posted, order, {
      ...input,
      kind: isBack ? 'paid back' : taken,
      amount: isBack ? minor(0 - amount) : amount,
    });
    await setOrder(tx, order, { paid: paid.value });
    return { number: entered };
  },
);

/** Nothing comes of an order: what was paid for it is paid back, or kept. Its batch is left as it is. */
export const cancelOrder = posts(
  'cancelOrder',
  { input: CancelOrderInput, by: 'owner' },
  async (posted, { deposit: kind, ...how }, number: number) => {
    const { tx } = posted;
    const order = await lockOrder(tx, number);
    allowed(order, 'cancel');
    if (order.paid > 0) await enterPayment(posted, order, { ...how, kind, amount: minor(0 - order.paid) });
    await setOrder(tx, order, { state: 'cancelled', paid: minor(0) });
    return null;
  },
);

/**
 * Hands an order over: its pieces are sold together, what was paid before is taken off, and the rest is paid then or by a day. That is a sale with
 * a receipt as any other.
 */
export const handOver = posts(
  'handOver',
  { input: SellInput, by: 'owner' },
  async (posted, input, number: number): Promise<Entered> => {
    const { tx } = posted;
    const order = await lockOrder(tx, number);
    allowed(order, 'hand over');
    const { paid: paidBefore, payDays, address } = order;
    const agreed = { paidBefore, payBy: payByOf(day(input.soldOn), payDays), address };
    const ready = await readySale(tx, input, agreed);
    // What is paid whole already is no invoice.
    const isPaid = ready.sold.total.gross === paidBefore;
    const { number: sold, saleId } = await enterReady(
      posted,
      input,
      isPaid ? { ...ready, agreed: { ...agreed, payBy: null } } : ready,
    );
    await setOrder(tx, order, { state: 'handed over', saleId });
    return { number: sold };
  },
);
