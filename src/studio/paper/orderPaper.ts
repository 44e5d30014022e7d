import { sayDay } from '@/core/calendar/day';
import { typedLines } from '@/core/paper/paperHead';
import { lineSheetPages, type OfferedPiece } from '@/core/paper/lineSheet';
import { receiptPages, type Receipt } from '@/core/paper/receipt';
import type { Page } from '@/core/paper/sheet';
import type { PaymentKind } from '@/core/selling/order';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { formatMoney, minor, type MinorUnits } from '@/core/units/money';
import { formatPercent } from '@/core/units/percent';
import { writeNumbers } from '@/core/units/writing';
import { metalOf } from '@/core/wire/metal';
import { workOutLines } from '../batches/lineBodies';
import { look, type StudioSession } from '../kernel/useCase';
import type { OrderLineShown, OrderPaymentShown, OrderShown } from '../orders/orders';
import { specsOf } from '../patterns/patterns';
import { colouredPicture } from '../pictures/pictures';
import type { PaperStudio } from '../settings/settings';
import { PAID } from './receiptPaper';

const moneyIn =
  ({ currency, numbers }: Pick<PaperStudio, 'currency' | 'numbers'>) =>
  (amount: MinorUnits): string =>
    writeNumbers(formatMoney(amount, currency), numbers);

/** How pieces of a line are wanted: for which stone, in which size, of which metal. */
export const saidWanted = ({
  wanted: { stone, ring, bead, metal },
}: Pick<OrderLineShown, 'wanted'>): string =>
  [
    ring === '' ? '' : `size ${ring}`,
    bead === '' ? '' : `for a bead of ${bead}`,
    metal === null ? '' : `in ${metalOf(metal).name}`,
    stone === null ? '' : `with the stone ${tag('stone', stone)}`,
  ]
    .filter((each) => each !== '')
    .join(', ');

/** What an order is called on its paper: a price that is named, or what is agreed. */
const titleOf = ({ state, number }: Pick<OrderShown, 'state' | 'number'>): string =>
  `${state === 'quoted' ? 'Quote' : 'Order'} ${tag('order', number)}`;

/** What is to be known of an order: how long it holds, what is asked before, by when the rest is paid. */
function termsOf(order: OrderShown, money: (amount: MinorUnits) => string): readonly string[] {
  const { state, validUntil, dueOn, deposit, paid, payDays, wishes, studio } = order;
  return [
    ...(wishes === '' ? [] : [`As wished: ${wishes}`]),
    ...(state === 'quoted' && validUntil !== null
      ? [`These prices hold until ${sayDay(validUntil, studio.days)}.`]
      : []),
    ...(dueOn === null ? [] : [`It is promised for ${sayDay(dueOn, studio.days)}.`]),
    ...(deposit > paid ? [`${money(deposit)} of it is asked before it is begun.`] : []),
    payDays === 0
      ? 'The rest is paid when it is handed over.'
      : `The rest is paid within ${counted(payDays, 'day')} of its being handed over.`,
    ...(payDays > 0 || deposit > paid ? typedLines(studio.payTo) : []),
  ];
}

/** What stands on the paper of an order: nothing of what it costs to make. */
export function orderPaperOf(order: OrderShown): Receipt {
  const { studio, channel, lines, total, postage, paid, toPay, buyer, address, quotedOn, orderedOn } = order;
  const money = moneyIn(studio);
  const { kind, percent } = channel.terms.tax;
  const rate = writeNumbers(formatPercent(percent), studio.numbers);
  return {
    studio: studio.name,
    letterhead: typedLines(studio.letterhead),
    title: titleOf(order),
    under: [sayDay(orderedOn ?? quotedOn, studio.days), `For ${buyer}`, ...typedLines(address)],
    heads: ['Each', 'Together'],
    lines: [
      ...lines.map((line) => ({
        what: line.count === 1 ? line.name : `${line.count} × ${line.name}`,
        about: [tag('pattern', line.patternNumber), saidWanted(line)]
          .filter((each) => each !== '')
          .join(' · '),
        asked: money(line.price),
        price: money(minor(line.price * line.count)),
      })),
      ...(postage > 0
        ? [{ what: 'Sending', about: '', asked: '', price: money(channel.terms.postageAsked) }]
        : []),
    ],
    sums: [
      ...(kind === 'added'
        ? [
            { label: 'Together', amount: money(total.net) },
            { label: `Tax, ${rate}`, amount: money(total.tax) },
          ]
        : []),
      { label: 'To pay together', amount: money(total.gross), bold: true },
      ...(kind === 'included' ? [{ label: `with ${rate} of tax in it`, amount: money(total.tax) }] : []),
      ...(paid > 0
        ? [
            { label: 'Paid', amount: money(minor(0 - paid)) },
            { label: 'Still to pay', amount: money(toPay), bold: true },
          ]
        : []),
    ],
    foot: termsOf(order, money),
  };
}

/** What an order would look like: each of its lines as it is wanted, as far as that can be made. */
async function picturesOf(session: StudioSession, order: OrderShown): Promise<readonly OfferedPiece[]> {
  const asked = order.lines.map(({ patternNumber: pattern, count, wanted }) => ({
    pattern,
    count,
    ...wanted,
  }));
  const { lines } = await workOutLines(session, asked);
  const bodies = lines.map((each) => (each?.body.ok ? each.body.value : each?.pattern.body));
  const specs = await look(session, (tx) =>
    specsOf(
      tx,
      bodies.flatMap((body) => body ?? []),
    ),
  );
  const money = moneyIn(order.studio);
  return order.lines.flatMap((line, index): OfferedPiece[] => {
    const body = bodies[index];
    if (!body) return [];
    const picture = colouredPicture(body, specs);
    return [{ name: line.name, about: [saidWanted(line)], price: money(line.price), retail: '', picture }];
  });
}

/** The pages of an order: what it comes to, and how its pieces look. */
export async function orderPaper(session: StudioSession, order: OrderShown): Promise<readonly Page[]> {
  const paper = orderPaperOf(order);
  const pieces = await picturesOf(session, order);
  const { studio, letterhead, title, under } = paper;
  return [
    ...receiptPages(paper, order.studio),
    ...(pieces.length > 0
      ? lineSheetPages({ studio, letterhead, title, under, pieces, terms: [] }, order.studio)
      : []),
  ];
}

const PAYMENTS: Readonly<Record<PaymentKind, string>> = {
  deposit: 'Paid before',
  'paid back': 'Paid back',
  kept: 'Kept of what was paid before',
  invoice: 'Paid',
};

/** What stands on the receipt of money that was paid for an order. */
export function paymentPaperOf(order: OrderShown, payment: OrderPaymentShown): Receipt {
  const { studio, buyer, address, sale, lines, number } = order;
  const money = moneyIn(studio);
  const { kind, paidOn, amount, paidBy, number: paper } = payment;
  const what = lines.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`)).join(', ');
  return {
    studio: studio.name,
    letterhead: typedLines(studio.letterhead),
    title: `${PAYMENTS[kind]} ${tag('payment', paper)}`,
    under: [sayDay(paidOn, studio.days), `For ${buyer}`, ...typedLines(address)],
    heads: ['', 'Amount'],
    lines: [
      {
        what: `${kind === 'invoice' && sale ? `Invoice ${tag('sale', sale.number)}` : 'Order'} ${tag('order', number)}`,
        about: what,
        asked: '',
        price: money(amount),
      },
    ],
    sums: [
      {
        label: kind === 'kept' ? 'Kept' : `${kind === 'paid back' ? 'Paid back' : 'Paid'} ${PAID[paidBy]}`,
        amount: money(minor(Math.abs(amount))),
        bold: true,
      },
    ],
    foot:
      kind === 'deposit'
        ? ['It is taken off when the order is handed over. The receipt of that says the tax on all of it.']
        : [],
  };
}

/** The pages of the receipt of money that was paid for an order. */
export const paymentPaper = (order: OrderShown, payment: OrderPaymentShown): readonly Page[] =>
  receiptPages(paymentPaperOf(order, payment), order.studio);

/** What the file of the paper of an order is called. */
export const orderFile = (order: Pick<OrderShown, 'number' | 'state'>): string =>
  `${tag('order', order.number)}-${order.state === 'quoted' ? 'quote' : 'order'}.pdf`;
