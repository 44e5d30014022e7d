import { daysLater, type Day } from '../calendar/day';
import { ok, refuse, type Result } from '../result';
import { formatMoney, minor, type MinorUnits } from '../units/money';
import { reckonSale, type ChannelTerms, type SaleReckoned } from './channel';
import type { TaxRounding } from './tax';

/** How far an order is: a price was named for it, it is to be made, its pieces are with their buyer, or nothing comes of it. */
export const ORDER_STATES = ['quoted', 'ordered', 'handed over', 'cancelled'] as const;
export type OrderState = (typeof ORDER_STATES)[number];

/** What money of an order is: paid before it is handed over, paid back, kept where nothing comes of it, or paid of its invoice. */
export const PAYMENT_KINDS = ['deposit', 'paid back', 'kept', 'invoice'] as const;
export type PaymentKind = (typeof PAYMENT_KINDS)[number];

/** What is done with an order. */
export type OrderAct = 'change' | 'accept' | 'take money' | 'hand over' | 'cancel';

const MAY: Readonly<Record<OrderAct, readonly OrderState[]>> = {
  change: ['quoted'],
  accept: ['quoted'],
  'take money': ['ordered', 'handed over'],
  'hand over': ['ordered'],
  cancel: ['quoted', 'ordered'],
};

const SAID: Readonly<Record<OrderAct, string>> = {
  change: 'it is not changed any more',
  accept: 'it is not accepted again',
  'take money': 'nothing is paid for it',
  'hand over': 'nothing of it is handed over',
  cancel: 'it is not cancelled any more',
};

/** @example mayOrder('handed over', 'cancel') // false */
export const mayOrder = (state: OrderState, act: OrderAct): boolean => MAY[act].includes(state);

/**
 * Whether something may be done with an order.
 * @returns a sentence when it may not
 */
export const allowOrder = (state: OrderState, act: OrderAct, called: string): Result<null> =>
  mayOrder(state, act) ? ok(null) : refuse(`${called} is ${state}; ${SAID[act]}.`);

/** So many of something for a price each. */
export interface OrderedLine {
  readonly count: number;
  /** Of one, as it is asked in the channel. */
  readonly price: MinorUnits;
}

/** Prices of its pieces one by one, in the order of its lines. */
export const pricesOfOrder = (lines: readonly OrderedLine[]): readonly MinorUnits[] =>
  lines.flatMap(({ count, price }) => Array.from({ length: count }, () => price));

/** What an order comes to, with tax and sending as its channel has them. */
export const reckonOrder = (
  lines: readonly OrderedLine[],
  terms: ChannelTerms,
  rounding: TaxRounding,
): SaleReckoned => reckonSale(pricesOfOrder(lines), terms, rounding);

/** What was paid for an order, and what it comes to. */
export interface OrderMoney {
  /** What the buyer pays for all of it. */
  readonly gross: MinorUnits;
  /** What was paid for it so far, less what was paid back. */
  readonly paid: MinorUnits;
}

/** What is still to be paid of an order; nothing less than nothing. */
export const stillToPay = ({ gross, paid }: OrderMoney): MinorUnits => minor(Math.max(0, gross - paid));

/**
 * Money is taken for an order: never more than is still to be paid.
 * @returns what was paid then; a sentence when it is too much
 * @example takeMoney({ gross: minor(9000), paid: minor(3000) }, minor(2000), 'USD') // { ok: true, value: 5000 }
 */
export function takeMoney(money: OrderMoney, amount: MinorUnits, currency: string): Result<MinorUnits> {
  const left = stillToPay(money);
  if (amount <= left) return ok(minor(money.paid + amount));
  return refuse(
    left === 0
      ? `${formatMoney(amount, currency)} was given; all of it is paid.`
      : `${formatMoney(amount, currency)} was given; ${formatMoney(left, currency)} is still to pay.`,
  );
}

/**
 * Money is paid back: never more than was paid.
 * @returns what is left of it then; a sentence when it is too much
 */
export function payBack(
  { paid }: Pick<OrderMoney, 'paid'>,
  amount: MinorUnits,
  currency: string,
): Result<MinorUnits> {
  return amount <= paid
    ? ok(minor(paid - amount))
    : refuse(`${formatMoney(amount, currency)} was given; ${formatMoney(paid, currency)} was paid for it.`);
}

/** How an order stands on a day, as it is told. */
export type OrderStanding = OrderState | 'lapsed' | 'late' | 'owed' | 'overdue';

/** What tells how an order stands. */
export interface OrderDays extends OrderMoney {
  readonly state: OrderState;
  /** The last day that its prices hold. */
  readonly validUntil: Day | null;
  /** The day that it is promised for. */
  readonly dueOn: Day | null;
  /** The day that it is to be paid by, once it is handed over. */
  readonly payBy: Day | null;
}

/**
 * How an order stands: a quote lapses after its last day, what is promised may be late, and what was handed over may be owed still.
 * @example standingOfOrder({ state: 'quoted', validUntil: day('2026-03-01'), dueOn: null, payBy: null, gross: minor(100), paid: minor(0) }, day('2026-03-02')) // 'lapsed'
 */
export function standingOfOrder(order: OrderDays, today: Day): OrderStanding {
  const { state, validUntil, dueOn, payBy } = order;
  switch (state) {
    case 'quoted':
      return validUntil !== null && validUntil < today ? 'lapsed' : state;
    case 'ordered':
      return dueOn !== null && dueOn < today ? 'late' : state;
    case 'handed over':
      if (stillToPay(order) === 0) return state;
      return payBy !== null && payBy < today ? 'overdue' : 'owed';
    case 'cancelled':
      return state;
  }
}

/** The day that an invoice is to be paid by: null where it is paid when it is handed over. */
export const payByOf = (handedOver: Day, payDays: number): Day | null =>
  payDays === 0 ? null : daysLater(handedOver, payDays);
