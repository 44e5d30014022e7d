import { sayDay } from '@/core/calendar/day';
import { receiptPages, type Receipt } from '@/core/paper/receipt';
import type { Page } from '@/core/paper/sheet';
import { changeOf } from '@/core/selling/discount';
import { tag } from '@/core/tag';
import { formatMoney, type MinorUnits } from '@/core/units/money';
import { formatPercent } from '@/core/units/percent';
import { writeNumbers } from '@/core/units/writing';
import type { SaleShown } from '../selling/sales';

/** How a sale was paid, as a receipt says it. */
const PAID: Readonly<Record<SaleShown['paidBy'], string>> = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
  'the channel': 'through the channel',
};

/** What stands on the receipt of a sale, or of what came back: nothing of what the studio keeps. */
export function receiptOf(sale: Omit<SaleShown, 'kept'>): Receipt {
  const { days, numbers } = sale.studio;
  const { studio, number, returnOf, soldOn, channel, buyer, lines, tax, total, paidBy, given } = sale;
  const money = (amount: MinorUnits): string => writeNumbers(formatMoney(amount, studio.currency), numbers);
  const rate = writeNumbers(formatPercent(tax.percent), numbers);
  const change = given === null ? undefined : changeOf(total.gross, given, studio.currency);
  return {
    studio: studio.name,
    title: `${returnOf === null ? 'Receipt' : 'Paid back'} ${tag('sale', number)}`,
    under: [
      `${sayDay(soldOn, days)}, ${channel}${returnOf === null ? '' : `, of ${tag('sale', returnOf)}`}`,
      ...(buyer === '' ? [] : [`For ${buyer}`]),
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
        label: `${returnOf === null ? 'Paid' : 'Paid back'} ${PAID[paidBy]}`,
        amount: money(total.gross),
        bold: true,
      },
      ...(tax.kind === 'included'
        ? [
            { label: `with ${rate} of tax in it`, amount: money(total.tax) },
            { label: 'without tax', amount: money(total.net) },
          ]
        : []),
      ...(given !== null && change?.ok && change.value > 0
        ? [
            { label: 'Handed over', amount: money(given) },
            { label: 'Given back', amount: money(change.value) },
          ]
        : []),
    ],
  };
}

/** The pages of the receipt of a sale. */
export const receiptPaper = (sale: SaleShown): readonly Page[] => receiptPages(receiptOf(sale), sale.studio);
