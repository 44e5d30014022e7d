import { sayDay } from '@/core/calendar/day';
import { typedLines } from '@/core/paper/paperHead';
import { receiptPages, type Receipt } from '@/core/paper/receipt';
import type { Page } from '@/core/paper/sheet';
import { changeOf } from '@/core/selling/discount';
import { tag } from '@/core/tag';
import { formatMoney, minor, type MinorUnits } from '@/core/units/money';
import { formatPercent } from '@/core/units/percent';
import { writeNumbers } from '@/core/units/writing';
import type { SaleShown } from '../selling/sales';

/** How a sale was paid, as a receipt says it. */
export const PAID: Readonly<Record<SaleShown['paidBy'], string>> = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
  'the channel': 'through the channel',
};

/** What stands on the receipt of a sale, or of what came back: nothing of what the studio keeps. */
export function receiptOf(sale: Omit<SaleShown, 'kept'>): Receipt {
  const { days, numbers } = sale.studio;
  const { studio, number, returnOf, soldOn, channel, buyer, address, lines, tax, total } = sale;
  const { paidBy, given, paidBefore, payBy } = sale;
  const money = (amount: MinorUnits): string => writeNumbers(formatMoney(amount, studio.currency), numbers);
  const rate = writeNumbers(formatPercent(tax.percent), numbers);
  const due = minor(total.gross - paidBefore);
  const change = given === null ? undefined : changeOf(due, given, studio.currency);
  const isWhole = paidBefore === 0 && payBy === null;
  return {
    studio: studio.name,
    letterhead: typedLines(studio.letterhead),
    title: `${titleOf(sale)} ${tag('sale', number)}`,
    under: [
      `${sayDay(soldOn, days)}, ${channel}${returnOf === null ? '' : `, of ${tag('sale', returnOf)}`}`,
      ...(buyer === '' ? [] : [`For ${buyer}`]),
      ...typedLines(address),
    ],
    lines: lines.map(({ piece, asked, price }) => ({
      what: piece?.name ?? 'Sending',
      about: piece ? [tag('piece', piece.number), piece.size].filter((each) => each !== '').join(' · ') : '',
      asked: money(asked),
      price: money(price),
    })),
    sums: [
      ...(tax.kind === 'added'
        ? [
            { label: 'Together', amount: money(total.net) },
            { label: `Tax, ${rate}`, amount: money(total.tax) },
          ]
        : []),
      {
        label: isWhole ? `${returnOf === null ? 'Paid' : 'Paid back'} ${PAID[paidBy]}` : 'To pay together',
        amount: money(total.gross),
        bold: isWhole,
      },
      ...(tax.kind === 'included'
        ? [
            { label: `with ${rate} of tax in it`, amount: money(total.tax) },
            { label: 'without tax', amount: money(total.net) },
          ]
        : []),
      ...(paidBefore > 0 ? [{ label: 'Paid before', amount: money(minor(0 - paidBefore)) }] : []),
      ...(isWhole ? [] : [{ label: restOf(sale), amount: money(due), bold: true }]),
      ...(given !== null && change?.ok && change.value > 0
        ? [
            { label: 'Handed over', amount: money(given) },
            { label: 'Given back', amount: money(change.value) },
          ]
        : []),
    ],
    foot: payBy === null ? [] : typedLines(studio.payTo),
  };
}

/** What a paper is called. */
const titleOf = ({ returnOf, payBy }: Pick<SaleShown, 'returnOf' | 'payBy'>): string => {
  if (returnOf !== null) return 'Paid back';
  return payBy === null ? 'Receipt' : 'Invoice';
};

/** What was left of it when it was handed over: paid then, or to be paid by a day. */
const restOf = ({ payBy, paidBy, studio }: Pick<SaleShown, 'payBy' | 'paidBy' | 'studio'>): string =>
  payBy === null
    ? `The rest, paid ${PAID[paidBy]}`
    : `To be paid ${PAID[paidBy]} by ${sayDay(payBy, studio.days)}`;

/** The pages of the receipt of a sale. */
export const receiptPaper = (sale: SaleShown): readonly Page[] => receiptPages(receiptOf(sale), sale.studio);
