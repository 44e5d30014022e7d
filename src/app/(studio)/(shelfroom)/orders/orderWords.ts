import type { OrderStanding, PaymentKind } from '@/core/selling/order';

/** How an order stands, as it is said beside it. */
export const STANDING_SAID: Readonly<Record<OrderStanding, string>> = {
  quoted: 'quoted',
  lapsed: 'its prices hold no more',
  ordered: 'ordered',
  late: 'late',
  owed: 'to be paid',
  overdue: 'not paid in time',
  'handed over': 'done',
  cancelled: 'cancelled',
};

/** Those that somebody has to do something about. */
export const IS_URGENT: Readonly<Partial<Record<OrderStanding, true>>> = {
  lapsed: true,
  late: true,
  overdue: true,
};

/** What money of an order is. */
export const PAYMENT_SAID: Readonly<Record<PaymentKind, string>> = {
  deposit: 'paid before',
  'paid back': 'paid back',
  kept: 'kept',
  invoice: 'paid of the invoice',
};
