import { tag } from '@/core/tag';
import { plainCost, plainMoney, minor, type CostUnits, type MinorUnits } from '@/core/units/money';
import { booksByMonthSql, purchasesToExportSql, salesAfterSql, taxByMonthSql } from '@/data/sql/accounts';
import type { Tx } from '@/data/inStudio';

/** A list for the accountant: it goes out only. */
export interface AccountList {
  readonly id: string;
  readonly title: string;
  /** What each of its columns is called, and what stands in it. */
  readonly columns: readonly (readonly [title: string, meaning: string])[];
  /** Cells of its rows, so many after a place; none at its end. A list that is short comes whole. */
  readonly rows: (
    tx: Tx,
    currency: string,
    after: number,
    most: number,
  ) => Promise<readonly (readonly string[])[]>;
}

const money = (amount: MinorUnits, currency: string): string =>
  amount < 0 ? `-${plainMoney(minor(0 - amount), currency)}` : plainMoney(amount, currency);
const costly = (amount: CostUnits, currency: string): string =>
  amount < 0 ? `-${plainCost((0 - amount) as CostUnits, currency)}` : plainCost(amount, currency);
const percent = (points: number): string => String(points / 100);

/** What of a list that comes whole is asked for. */
const whole = <Row>(rows: readonly Row[], after: number): readonly Row[] => (after === 0 ? rows : []);

/** Lists for the accountant. Amounts are plain, in the currency of the books; of money that goes back they are less than nothing. */
export const ACCOUNT_LISTS: readonly AccountList[] = [
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

/** A list for the accountant by its name; undefined when there is none such. */
export const accountListOf = (id: string): AccountList | undefined =>
  ACCOUNT_LISTS.find((each) => each.id === id);
