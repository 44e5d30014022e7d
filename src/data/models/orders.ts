import type { WantedLine } from '@/core/batch/batchState';
import type { OrderState, PaymentKind } from '@/core/selling/order';
import type { PaidBy } from '@/core/selling/sale';
import type { MinorUnits } from '@/core/units/money';
import { big, byDefault, date, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Batch } from './batches';
import { Pattern } from './making';
import { Channel, Sale } from './selling';
import { User } from './studio';

/** What somebody asks to be made, or a shop asks for: named a price for first, then ordered, then handed over. */
export const Order = table(
  'orders',
  {
    orderId: key(uuid<'order'>()),
    number: int(),
    channelId: uuid<'channel'>(),
    buyer: text(),
    /** As papers say it, line by line. */
    address: byDefault(text(), ''),
    wishes: byDefault(text(), ''),
    state: byDefault(text<OrderState>(), 'quoted'),
    quotedOn: date(),
    /** The last day that its prices hold. */
    validUntil: maybe(date()),
    orderedOn: byDefault(maybe(date()), null),
    /** The day that it is promised for. */
    dueOn: maybe(date()),
    /** What is asked before it is begun. */
    deposit: byDefault(big<MinorUnits>(), 0),
    /** How many days there are to pay once it is handed over; none where it is paid then. */
    payDays: byDefault(int(), 0),
    /** What it comes to as it was agreed, with tax and sending. */
    gross: big<MinorUnits>(),
    paid: byDefault(big<MinorUnits>(), 0),
    /** What it is made in; null where it is taken from the shelf. */
    batchId: byDefault(maybe(uuid<'batch'>()), null),
    /** What it was handed over by. */
    saleId: byDefault(maybe(uuid<'sale'>()), null),
    userId: uuid<'user'>(),
    createdAt: instant(),
    version: byDefault(int(), 1),
  },
  {
    channel: belongsTo(Channel, 'channelId'),
    batch: mayBelongTo(Batch, 'batchId'),
    sale: mayBelongTo(Sale, 'saleId'),
    user: belongsTo(User, 'userId'),
  },
);

/** So many pieces of a pattern that are ordered, as they are wanted. */
export const OrderLine = table(
  'order_lines',
  {
    orderId: key(uuid<'order'>()),
    line: key(int()),
    patternId: uuid<'pattern'>(),
    /** What it is called on its papers. */
    name: text(),
    count: int(),
    wanted: json<WantedLine>(),
    /** Of one. */
    price: big<MinorUnits>(),
  },
  {
    order: belongsTo(Order, 'orderId'),
    pattern: belongsTo(Pattern, 'patternId'),
  },
);

/** Money that was taken for an order or given back: never changed, and numbered without gaps. */
export const OrderPayment = table(
  'order_payments',
  {
    paymentId: key(uuid<'payment'>()),
    orderId: uuid<'order'>(),
    number: int(),
    kind: text<PaymentKind>(),
    paidOn: date(),
    /** Less than nothing for what goes back, and for what the studio keeps of an order that nothing came of. */
    amount: big<MinorUnits>(),
    paidBy: text<PaidBy>(),
    note: byDefault(text(), ''),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    postedAt: instant(),
  },
  {
    order: belongsTo(Order, 'orderId'),
    user: belongsTo(User, 'userId'),
  },
);
