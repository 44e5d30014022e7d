import type { Day } from '@/core/calendar/day';
import { plainAmountOf, type Measure } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { mulDiv } from '@/core/units/exact';
import { UM_PER_FOOT, UM_PER_METRE } from '@/core/units/length';
import { cost, plainCost, plainMoney, toCost, type CostUnits, type MinorUnits } from '@/core/units/money';
import type { Micrograms } from '@/core/units/mass';
import { tag } from '@/core/tag';
import type { RowReader } from './rowReader';
import type { ListColumn, RowPurchase } from './stockList';

/** The columns that every list of stock begins with. */
export const TAG_COLUMN: ListColumn = { key: 'tag', title: 'Tag', also: ['id', 'number', 'sku'] };

/** The columns that every list of stock ends with. */
export const COMMON_COLUMNS: readonly ListColumn[] = [
  {
    key: 'quantity',
    title: 'Left',
    required: true,
    also: [
      'length',
      'quantity',
      'count',
      'amount',
      'qty',
      'weight',
      'remaining',
      'have',
      'on hand',
      'feet',
      'metres',
      'meters',
      'yards',
      'grams',
      'length left',
      'how much',
      'how many',
      'in stock',
      'pieces',
    ],
  },
  { key: 'cost', title: 'Cost left', also: ['cost', 'value', 'total cost', 'total value'] },
  { key: 'place', title: 'Place', also: ['location', 'drawer', 'where', 'box', 'bin', 'shelf'] },
  { key: 'note', title: 'Note', also: ['notes', 'comment', 'remarks'] },
  {
    key: 'supplier',
    title: 'Supplier',
    also: ['vendor', 'from', 'shop', 'source', 'bought from', 'where bought', 'seller'],
  },
  {
    key: 'boughtOn',
    title: 'Bought on',
    also: ['date', 'bought', 'purchased', 'date bought', 'purchase date', 'bought when'],
  },
  { key: 'bought', title: 'Bought', also: ['quantity bought', 'bought quantity'] },
  {
    key: 'price',
    title: 'Paid',
    also: ['price', 'price paid', 'paid for it', 'purchase price', 'price each', 'cost each'],
  },
  { key: 'invoice', title: 'Invoice', also: ['invoice note', 'invoice number'] },
];

export interface CommonRow {
  readonly number: number;
  readonly form: string;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly place: string;
  readonly note: string;
  readonly supplier: string;
  readonly boughtOn: Day | null;
  readonly price: MinorUnits | null;
  readonly bought: number | null;
  readonly invoice: string;
}

export const tagCell = (ware: Ware, { number }: CommonRow): string => tag(ware, number);

/** The common cells of a row, exactly: they read back as what they were. */
export function commonCells(row: CommonRow, measure: Measure, currency: string): string[] {
  return [
    plainAmountOf(measure, row.quantity),
    plainCost(row.cost, currency),
    row.place,
    row.note,
    row.supplier,
    row.boughtOn ?? '',
    row.bought === null ? '' : plainAmountOf(measure, row.bought),
    row.price === null ? '' : plainMoney(row.price, currency),
    row.invoice,
  ];
}

/** A mass as a list has it, to the microgram. */
export const massCell = (mass: Micrograms | null): string =>
  mass === null ? '' : plainAmountOf({ ware: 'scrap' }, mass);

/** Reads the common cells of a row. */
export function readCommon(
  reader: RowReader,
  ware: Ware,
  { measure = { ware }, ...how }: { readonly measure?: Measure } & Parameters<RowReader['amount']>[2] = {},
) {
  const quantity = reader.amount('quantity', measure, how);
  const ones = onesIn(reader, measure, quantity);
  const purchase = readPurchase(reader, measure, quantity, ones);
  return {
    number: reader.tag('tag', ware),
    quantity,
    // What is left carries its share of what was paid, where the file does not say what it carries.
    cost:
      reader.raw('cost') === '' && purchase?.price
        ? cost(
            mulDiv(
              toCost(purchase.price),
              Math.min(quantity, purchase.quantity),
              Math.max(1, purchase.quantity),
            ),
          )
        : reader.cost('cost', ones),
    place: reader.text('place', 120),
    note: purchase ? reader.text('note', 400) : noteWithPurchase(reader),
    purchase,
  };
}

/** A note with what is known of a purchase that has no price: where and when it was. */
function noteWithPurchase(reader: RowReader): string {
  const note = reader.text('note', 400);
  const told = [
    reader.raw('supplier') && `from ${reader.raw('supplier')}`,
    reader.raw('boughtOn') && `bought on ${reader.raw('boughtOn')}`,
    reader.raw('invoice'),
  ];
  return [note, ...told].filter(Boolean).join(', ').slice(0, 400);
}

/** How many ones of its own unit a row holds: feet or metres of wire, single beads. */
function onesIn(reader: RowReader, { ware }: Measure, quantity: number): number {
  if (ware !== 'wire') return quantity;
  const unit =
    reader.unit('quantity') ??
    reader
      .raw('quantity')
      .split(/[\d\s.,]/)
      .at(-1);
  const isFeet = ['ft', 'feet', 'foot', 'in', "'", '"', 'yd'].includes(unit?.toLowerCase() ?? '');
  return quantity / (isFeet ? UM_PER_FOOT : UM_PER_METRE);
}

function readPurchase(
  reader: RowReader,
  measure: Measure,
  quantity: number,
  ones: number,
): RowPurchase | null {
  const price = reader.money('price', ones);
  const boughtOn = reader.day('boughtOn');
  const supplier = reader.text('supplier', 120);
  const note = reader.text('invoice', 400);
  if (price === null && boughtOn === null && supplier === '' && note === '') return null;
  if (price === null || price === 0) return null;
  return {
    supplier,
    boughtOn,
    price,
    quantity: reader.raw('bought') === '' ? quantity : reader.amount('bought', measure),
    note,
  };
}
