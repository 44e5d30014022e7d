import type { Tx } from './inStudio';
import {
  cursorValues,
  pageStatement,
  readCursor,
  sumsStatement,
  writeCursor,
  type AskedOf,
  type Filters,
  type List,
  type Order,
} from './sql/list';
import { type Columns, type ValuesOf } from './columns';

type Orders = Readonly<Record<string, Order>>;

/** A page of a list, and where the next begins after; null at the end. */
export interface Page<Row> {
  readonly rows: readonly Row[];
  readonly next: string | null;
}

/** Which page of a list: sorted in which way, the first when there is none such, after which row, and how many rows. */
export interface PageAsked {
  readonly sort?: string | undefined;
  readonly after?: string | undefined;
  readonly size: number;
}

interface SortedRow {
  readonly sortedBy: readonly string[];
  readonly sortedNumber: number;
}

const namesIn = (asked: Readonly<Record<string, unknown>>): string[] =>
  Object.entries(asked).flatMap(([name, value]) => (value === undefined ? [] : [name]));

/** The way of sorting that is asked for. */
function orderOf(orders: Orders, asked: string | undefined): Order {
  const ways = Object.entries(orders);
  const [, order] = ways.find(([name]) => name === asked) ?? ways[0] ?? [];
  if (!order) throw new Error('a list is sorted in one way at least');
  return order;
}

/** Reads a page of a list: flat in time, however far along. What is no cursor begins at the beginning. */
export async function readPage<
  Takes extends Columns,
  Asked extends Filters,
  Ways extends Orders,
  Gives extends Columns,
  Sums extends Columns,
>(
  tx: Tx,
  of: List<Takes, Asked, Ways, Gives, Sums>,
  values: ValuesOf<Takes>,
  asked: AskedOf<Asked>,
  { sort, after, size }: PageAsked,
): Promise<Page<ValuesOf<Gives>>> {
  const order = orderOf(of.orders, sort);
  const cursor = readCursor(after, order);
  const statement = pageStatement(of, namesIn(asked), order, cursor !== undefined);
  const all = { ...values, ...asked, ...(cursor && cursorValues(cursor)), most: size + 1 };
  const rows = (await tx.rows(statement, all)) as (ValuesOf<Gives> & SortedRow)[];
  const shown = rows.slice(0, size);
  const last = shown.at(-1);
  return {
    rows: shown.map(({ sortedBy: _, sortedNumber: __, ...row }) => row as unknown as ValuesOf<Gives>),
    next: rows.length > size && last ? writeCursor({ keys: last.sortedBy, number: last.sortedNumber }) : null,
  };
}

/** What is told of all rows of a list that are asked for. */
export async function readSums<
  Takes extends Columns,
  Asked extends Filters,
  Ways extends Orders,
  Gives extends Columns,
  Sums extends Columns,
>(
  tx: Tx,
  of: List<Takes, Asked, Ways, Gives, Sums>,
  values: ValuesOf<Takes>,
  asked: AskedOf<Asked>,
): Promise<ValuesOf<Sums>[]> {
  const rows = await tx.rows(sumsStatement(of, namesIn(asked)), { ...values, ...asked });
  return rows as ValuesOf<Sums>[];
}
