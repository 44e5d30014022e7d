import { tag } from '@/core/tag';
import { plainCost, plainMoney, minor, type CostUnits, type MinorUnits } from '@/core/units/money';
import { booksByMonthSql, purchasesToExportSql, salesAfterSql, taxByMonthSql } from '@/data/sql/accounts';
import { paymentsAfterSql } from '@/data/sql/orders';
import type { OutList } from './outList';

const money = (amount: MinorUnits, currency: string): string =>
  amount < 0 ? `-${plainMoney(minor(0 - amount), currency)}` : plainMoney(amount, currency);
const costly = (amount: CostUnits, currency: string): string =>
  amount < 0 ? `-${plainCost((0 - amount) as CostUnits, currency)}` : plainCost(amount, currency);
const percent = (points: number): string => String(points / 100);

/** What of a list that comes whole is asked for. */
const whole = <Row>(rows: readonly Row[], after: number): readonly Row[] => (after === 0 ? rows : []);

/** Lists for the accountant. Amounts are plain, in the currency of the books; of money that goes back they are less than nothing. */
export const ACCOUNT_LISTS: readonly OutList[] = [
  {
    id: 'sales',
    title: 'Sales, line by line',
    columns: [
      ['Receipt', 'Its number; they run without gaps'],
      ['Day', 'The day it was sold, or came back'],
      ['Returns', 'The receipt that something came back of; empty for a sale'],
      ['Channel', 'Where it was sold'],
      ['Buyer', 'As it stands on the receipt'],
      ['Paid by', 'cash, card, transfer, or the channel'],
      ['Line', 'Its place on the receipt'],
      ['Piece', 'The number on its tag; empty for sending'],
      ['Name', 'What it is called; empty for sending'],
      ['Asked', 'The price on its tag'],
      ['Price', 'What it sold for'],
      ['Net', 'Of it, what is without tax'],
      ['Tax is', 'none, included in the price, or added to it'],
      ['Tax rate', 'Percent'],
      ['Tax', 'Of the line'],
      ['Gross', 'What the buyer paid for it'],
      ['Fees', 'What the channel keeps of it'],
      ['Sending', 'Packing and postage, less what the buyer paid for postage'],
      ['Cost', 'What the piece stood in the books at: wire, parts and supplies that are in it'],
    ],
    rows: async (tx, currency, after, most) =>
      (await tx.rows(salesAfterSql, { after, most })).map((row) => [
        tag('sale', row.number),
        row.soldOn,
        row.returnOf === null ? '' : tag('sale', row.returnOf),
        row.channel,
        row.buyer,
        row.paidBy,
        String(row.line),
        row.piece === null ? '' : tag('piece', row.piece),
        row.name,
        money(row.asked, currency),
        money(row.price, currency),
        money(row.net, currency),
        row.taxKind,
        percent(row.taxPercent),
        money(row.tax, currency),
        money(row.gross, currency),
        money(row.fees, currency),
        money(row.sending, currency),
        costly(row.cost, currency),
      ]),
  },
  {
    id: 'purchases',
    title: 'Purchases',
    columns: [
      ['Day', 'The day it was bought'],
      ['Supplier', 'Who sold it; empty where nobody said'],
      ['Invoice', 'What stands on it'],
      ['Delivery', 'The delivery it came with; empty when it came by itself'],
      ['Ware', 'wire, bead, stone, finding or supply'],
      ['Article', 'What it is'],
      ['Price', 'In the currency of the books, with its share of postage and tax'],
      ['Paid', 'As it was paid'],
      ['Currency', 'In which'],
      ['Cost is', 'paid, an estimate for old stock, or a gift'],
    ],
    rows: async (tx, currency, after) =>
      whole(await tx.rows(purchasesToExportSql, {}), after).map((row) => [
        row.boughtOn,
        row.supplier,
        row.invoice,
        row.delivery === null ? '' : tag('delivery', row.delivery),
        row.ware,
        row.article,
        money(row.price, currency),
        money(row.paid, row.currency),
        row.currency,
        row.costIs,
      ]),
  },
  {
    id: 'months',
    title: 'Books by month',
    columns: [
      ['Month', 'Year and month'],
      ['Purchases', 'What was bought in it'],
      ['Stock', 'Wire, beads, stones, findings and supplies at cost at its end'],
      ['Scrap', 'Scrap jars at cost at its end'],
      ['Pieces', 'Finished pieces at cost at its end: wire, parts and supplies that are in them'],
      ['Sales', 'What was sold in it without tax, less what came back'],
      ['Tax', 'Tax of it'],
      ['Fees', 'What channels kept of it'],
      ['Sending', 'Packing and postage of it'],
      ['Cost of goods sold', 'What those pieces stood in the books at'],
      ['Standing', 'What it cost to stand at fairs and elsewhere: stall rent, the way there'],
      ['Deposits', 'What was paid for orders that were not handed over yet, at its end'],
    ],
    rows: async (tx, currency, after) =>
      whole(await tx.rows(booksByMonthSql, {}), after).map((row) => [
        row.month,
        money(row.purchases, currency),
        costly(row.stock, currency),
        costly(row.scrap, currency),
        costly(row.pieces, currency),
        money(row.net, currency),
        money(row.tax, currency),
        money(row.fees, currency),
        money(row.sending, currency),
        costly(row.costOfSold, currency),
        money(row.standing, currency),
        money(row.deposits, currency),
      ]),
  },
  {
    id: 'payments',
    title: 'Paid for orders',
    columns: [
      ['Number', 'On its receipt; they run without gaps'],
      ['Day', 'The day it was paid'],
      ['Order', 'The order that it was paid for'],
      ['Buyer', 'As it stands on the order'],
      ['Is', 'A deposit, paid back, kept of an order that nothing came of, or paid of an invoice'],
      ['Amount', 'Less than nothing for what goes back, and for what is kept and is no deposit any more'],
      ['Paid by', 'cash, card, transfer, or the channel'],
      ['Receipt', 'Of what was handed over; empty while nothing was'],
      ['Note', 'What somebody wrote beside it'],
    ],
    rows: async (tx, currency, after, most) =>
      (await tx.rows(paymentsAfterSql, { after, most })).map((row) => [
        tag('payment', row.number),
        row.paidOn,
        tag('order', row.order),
        row.buyer,
        row.kind,
        money(row.amount, currency),
        row.paidBy,
        row.sale === null ? '' : tag('sale', row.sale),
        row.note,
      ]),
  },
  {
    id: 'tax',
    title: 'Tax collected',
    columns: [
      ['Month', 'Year and month'],
      ['Tax is', 'none, included in the price, or added to it'],
      ['Tax rate', 'Percent'],
      ['Receipts', 'How many, returns among them'],
      ['Net', 'What was sold without tax, less what came back'],
      ['Tax', 'Of it'],
      ['Gross', 'Both together'],
    ],
    rows: async (tx, currency, after) =>
      whole(await tx.rows(taxByMonthSql, {}), after).map((row) => [
        row.month,
        row.taxKind,
        percent(row.taxPercent),
        String(row.receipts),
        money(row.net, currency),
        money(row.tax, currency),
        money(row.gross, currency),
      ]),
  },
];
