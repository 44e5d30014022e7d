import { IsBoolean, IsUUID } from 'class-validator';
import type { Day } from '@/core/calendar/day';
import { ORDER_STATES } from '@/core/selling/order';
import { PAID_BY, type PaidBy } from '@/core/selling/sale';
import { BatchLineInput, EMPTY_LINE } from '../batches/planBatch.input';
import { AsksOneOf, ListQuery } from '../kernel/query';
import {
  Entries,
  ReadsDayOrNone,
  ReadsMoney,
  ReadsMoneyOrNone,
  ReadsName,
  ReadsOneOf,
  ReadsPastDay,
  ReadsText,
  ReadsWhole,
} from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** So many pieces of a pattern, as they are wanted, for a price each. */
export class OrderLineInput extends BatchLineInput {
  @ReadsMoney({ zero: true }) price!: Typed<Amount>;
}

/** One piece of a pattern that is not chosen yet, without a price. */
export const EMPTY_ORDER_LINE: OrderLineInput = { ...EMPTY_LINE, price: '' };

/** What somebody asks for, and what it is to cost. */
export class OrderInput {
  /** The id of the channel. */
  @IsUUID('all', { message: 'Choose where it is sold.' }) channel!: string;
  @ReadsName('who asks for it') buyer!: string;
  @ReadsText(400) address!: string;
  @ReadsText(2000) wishes!: string;
  /** The last day that its prices hold. */
  @ReadsDayOrNone() validUntil!: Typed<Day | null>;
  @ReadsDayOrNone() dueOn!: Typed<Day | null>;
  /** What is asked before it is begun. */
  @ReadsMoneyOrNone({ zero: true }) deposit!: Typed<Amount | null>;
  /** Days to pay once it is handed over; none where it is paid then. */
  @ReadsWhole(0, 365) payDays!: Typed<number>;

  @Entries(() => OrderLineInput, 60, {
    most: 'An order holds at most 60 patterns.',
    least: 'An order holds one pattern at least.',
  })
  lines!: OrderLineInput[];
}

/** That a quote is ordered. */
export class AcceptInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  /** Until when it is promised. */
  @ReadsDayOrNone() dueOn!: Typed<Day | null>;
  /** Whether it is made: a batch is planned for it. Otherwise it is taken from the shelf. */
  @IsBoolean() isMade!: boolean;
}

/** Which way money goes. */
export const MONEY_WAYS = ['taken', 'paid back'] as const;
export type MoneyWay = (typeof MONEY_WAYS)[number];

/** Money that is taken for an order, or paid back. */
export class OrderPaymentInput {
  @ReadsOneOf(MONEY_WAYS, 'which way it goes') way!: Typed<MoneyWay>;
  @ReadsMoney() amount!: Typed<Amount>;
  @ReadsOneOf(PAID_BY, 'how it is paid') paidBy!: Typed<PaidBy>;
  @ReadsPastDay() paidOn!: string;
  @ReadsText(500) note!: string;
}

/** What becomes of what was paid for an order that nothing comes of. */
export const DEPOSIT_FATES = ['paid back', 'kept'] as const;
export type DepositFate = (typeof DEPOSIT_FATES)[number];

/** That nothing comes of an order. */
export class CancelOrderInput {
  @ReadsOneOf(DEPOSIT_FATES, 'what becomes of what was paid') deposit!: Typed<DepositFate>;
  @ReadsOneOf(PAID_BY, 'how it is paid back') paidBy!: Typed<PaidBy>;
  @ReadsPastDay() paidOn!: string;
  @ReadsText(500) note!: string;
}

/** What is asked of the orders. */
export class OrdersQuery extends ListQuery {
  @AsksOneOf(['open', ...ORDER_STATES]) readonly state?: (typeof ORDER_STATES)[number] | 'open' | undefined;
}
