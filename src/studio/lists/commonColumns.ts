import { plainAmountOf, type Measure } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { plainCost, plainMoney, type CostUnits, type MinorUnits } from '@/core/units/money';
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
    also: ['length', 'quantity', 'count', 'amount', 'qty', 'weight', 'remaining', 'have', 'on hand', 'stock'],
  },
  { key: 'cost', title: 'Cost left', also: ['cost', 'value'] },
  { key: 'place', title: 'Place', also: ['location', 'drawer', 'where'] },
  { key: 'note', title: 'Note', also: ['notes', 'comment', 'remarks'] },
  { key: 'supplier', title: 'Supplier', also: ['vendor', 'from', 'shop'] },
  { key: 'boughtOn', title: 'Bought on', also: ['date', 'bought', 'purchased'] },
  { key: 'bought', title: 'Bought', also: ['quantity bought', 'bought quantity'] },
  { key: 'price', title: 'Paid', also: ['price', 'price paid'] },
  { key: 'invoice', title: 'Invoice', also: ['invoice note', 'invoice number'] },
];

/** Columns of a query over stock_pieces p for the common cells. */
export const COMMON_SQL = `p.number, p.form, p.quantity, p.cost_units AS cost, COALESCE(pl.name, '') AS place, p.note,
  COALESCE(u.name, '') AS supplier, l.bought_on::text AS "boughtOn", l.price, l.quantity AS bought, COALESCE(l.note, '') AS invoice`;

export const COMMON_JOINS = `LEFT JOIN places pl ON pl.studio_id = p.studio_id AND pl.place_id = p.place_id
  LEFT JOIN lots l ON l.studio_id = p.studio_id AND l.lot_id = p.lot_id
  LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id`;

/** Restricts and orders such a query: $2 the ware, $3 the number to go on after, $4 the most rows. */
export const COMMON_WHERE = `p.studio_id = $1 AND p.ware = $2 AND p.number > $3 AND p.quantity > 0 ORDER BY p.number LIMIT $4`;

export interface CommonRow {
  readonly number: number;
  readonly form: string;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly place: string;
  readonly note: string;
  readonly supplier: string;
  readonly boughtOn: string | null;
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
export function readCommon(reader: RowReader, ware: Ware, measure: Measure = { ware }) {
  const quantity = reader.amount('quantity', measure);
  return {
    number: reader.tag('tag', ware),
    quantity,
    cost: reader.cost('cost'),
    place: reader.text('place', 120),
    note: reader.text('note', 400),
    purchase: readPurchase(reader, measure, quantity),
  };
}

function readPurchase(reader: RowReader, measure: Measure, quantity: number): RowPurchase | null {
  const price = reader.money('price');
  const boughtOn = reader.day('boughtOn');
  const supplier = reader.text('supplier', 120);
  const note = reader.text('invoice', 400);
  if (price === null && boughtOn === null && supplier === '' && note === '') return null;
  if (price === null || price === 0)
    reader.say('price', 'is needed when a purchase is told: its supplier, day or invoice.');
  return {
    supplier,
    boughtOn,
    price,
    quantity: reader.raw('bought') === '' ? quantity : reader.amount('bought', measure),
    note,
  };
}
