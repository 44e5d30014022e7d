import { dayIn, daysLater } from '@/core/calendar/day';
import type { StudioSession } from '@/studio/kernel/useCase';
import { acceptOrder, handOver, payOrder } from '@/studio/orders/orderActs';
import { handOverOf } from '@/studio/orders/orders';
import { EMPTY_ORDER_LINE, type OrderLineInput } from '@/studio/orders/orders.input';
import { writeOrder } from '@/studio/orders/writeOrder';
import { patternChoices } from '@/studio/patterns/patterns';
import { listChannels, writeChannel } from '@/studio/selling/channels';
import { keyOf } from './keyOf';
import { taken } from './taken';

/** Ways of selling to order: what each takes is invented. */
const CHANNELS = {
  'to order': {
    ...{ name: 'Made to order', postageAsked: '6.00 USD', postage: '5.10 USD', packing: '1.20 USD' },
    ...{ pricePercent: '115', endings: ['0 USD'] },
  },
  wholesale: {
    ...{ name: 'Shops that buy', postageAsked: '0 USD', postage: '0 USD', packing: '0.20 USD' },
    ...{ pricePercent: '50', endings: ['0 USD', '0.50 USD'] },
  },
} as const;
type OrderChannel = keyof typeof CHANNELS;

interface DemoOrder {
  readonly where: OrderChannel;
  readonly buyer: string;
  readonly address: string;
  readonly wishes: string;
  readonly lines: readonly (readonly [pattern: string, price: number, more?: Partial<OrderLineInput>])[];
  /** Days before today that it was quoted and accepted on, where it was, and handed over. */
  readonly quoted: number;
  readonly accepted?: number;
  readonly handedOver?: number;
  /** Days after it was quoted that it is wanted by. */
  readonly wantedIn: number | null;
  readonly deposit: number;
  readonly payDays: number;
}

/** A shop that has its pieces and owes them still, a ring in work, and a quote that is out. */
const ORDERS: readonly DemoOrder[] = [
  {
    where: 'wholesale',
    buyer: 'Weirside Rooms',
    address: '3 Sluice Road\nHollow Weir',
    wishes: '',
    lines: [
      ['Tidepool drop', 34.5, { count: '2' }],
      ['Sea glass cage', 13.5, { count: '3' }],
    ],
    ...{ quoted: 12, accepted: 9, handedOver: 5, wantedIn: null, deposit: 0, payDays: 30 },
  },
  {
    where: 'to order',
    buyer: 'Ansel',
    address: '',
    wishes: 'For his left hand, where it must not catch on the ropes.',
    lines: [['Gatehouse ring', 64, { ring: 'US 11', metal: 'sterling' }]],
    ...{ quoted: 6, accepted: 4, wantedIn: 24, deposit: 20, payDays: 0 },
  },
  {
    where: 'to order',
    buyer: 'Tamsin',
    address: '41 Tollhouse Street\nNether Weir',
    wishes: 'Two pairs, one of them a gift.',
    lines: [['Hedgerow hoops', 30, { count: '2', metal: 'copper' }]],
    ...{ quoted: 2, wantedIn: 30, deposit: 15, payDays: 0 },
  },
];

const usd = (dollars: number): string => `${dollars.toFixed(2)} USD`;

/** Writes the orders of the demonstration; a run that was cut off goes on where it stopped. @param day the owner on a day of the two years */
export async function takeOrders(day: (n: number) => StudioSession, days: number): Promise<void> {
  const terms = {
    ...{ feePercent: '0', feeOn: 'gross', feeFixed: '0 USD', isOpen: true },
    ...{ taxKind: 'none', taxPercent: '0', taxRounding: 'document' },
  };
  for (const [kind, own] of Object.entries(CHANNELS))
    taken(await writeChannel(day(50), keyOf(`channel ${kind}`), null, { ...terms, ...own, kind }));
  const channels = await listChannels(day(days));
  const patterns = await patternChoices(day(days));
  for (const [index, order] of ORDERS.entries()) {
    const { where, lines, quoted, wantedIn, deposit, payDays, buyer, address, wishes } = order;
    const session = day(days - quoted);
    const today = dayIn('UTC', session.now);
    const dueOn = wantedIn === null ? '' : daysLater(today, wantedIn);
    const { number } = taken(
      await writeOrder(session, keyOf(`order ${index}`), null, {
        channel: channels.find(({ name }) => name === CHANNELS[where].name)?.id ?? '',
        ...{ buyer, address, wishes, dueOn },
        validUntil: daysLater(today, 21),
        deposit: deposit === 0 ? '' : usd(deposit),
        payDays: String(payDays),
        lines: lines.map(([called, price, more = {}]) => ({
          ...EMPTY_ORDER_LINE,
          pattern: String(patterns.find(({ name }) => name === called)?.number ?? 0),
          price: usd(price),
          ...more,
        })),
      }),
    );
    await goOn(day, days, { ...order, number, dueOn });
  }
}

/** What came of an order until today. */
async function goOn(
  day: (n: number) => StudioSession,
  days: number,
  {
    number,
    accepted,
    handedOver,
    deposit,
    dueOn,
  }: DemoOrder & { readonly number: number; readonly dueOn: string },
): Promise<void> {
  if (accepted === undefined) return;
  const session = day(days - accepted);
  const key = (what: string) => keyOf(`${what} of order ${number}`);
  const isMade = handedOver === undefined;
  taken(await acceptOrder(session, key('accepting'), number, { version: '1', dueOn, isMade }));
  if (deposit > 0)
    taken(
      await payOrder(session, key('deposit'), number, {
        ...{ way: 'taken', amount: usd(deposit), paidBy: 'cash', note: '' },
        paidOn: dayIn('UTC', session.now),
      }),
    );
  if (handedOver === undefined) return;
  const later = day(days - handedOver);
  const ready = await handOverOf(later, number);
  if (ready) taken(await handOver(later, key('handing over'), number, ready.typed));
}
