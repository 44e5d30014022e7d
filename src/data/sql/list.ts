import { big, bool, date, instant, int, many, text, type Column, type Columns } from '../columns';
import { type Statement } from './statement';

const CURSOR_TYPES = {
  text: { column: text(), reads: /^.{0,400}$/s },
  int8: { column: big(), reads: /^-?\d{1,18}$/ },
  bool: { column: bool(), reads: /^(true|false)$/ },
  date: { column: date(), reads: /^\d{4}-\d\d-\d\d$/ },
  timestamptz: {
    column: instant(),
    reads: /^\d{4}-\d\d-\d\d[ T]\d\d:\d\d:\d\d(\.\d{1,6})?([+-]\d\d(:\d\d)?|Z)$/,
  },
} as const;

/** What a list is sorted by, in SQL over the list's own tables; never null. */
export interface SortKey {
  readonly by: string;
  readonly as: keyof typeof CURSOR_TYPES;
}

/** One way of sorting a list; among equals the number decides. */
export interface Order {
  readonly keys: readonly SortKey[];
  readonly isDown?: boolean;
}

/** One thing that may be asked of a list: SQL that knows its value as `$` and the name that it goes by; without one, it is asked or not. */
export interface Filter<Value> {
  readonly sql: string;
  readonly takes?: Column<Value>;
}

export type Filters = Readonly<Record<string, Filter<unknown>>>;

/** What is asked of a list; what is left out is not asked. */
export type AskedOf<Asked extends Filters> = {
  readonly [Name in keyof Asked]?: (Asked[Name] extends Filter<infer Value> ? Value : never) | undefined;
};

/** A list that is read a page at a time. */
export interface List<
  Takes extends Columns = Columns,
  Asked extends Filters = Filters,
  Orders extends Readonly<Record<string, Order>> = Readonly<Record<string, Order>>,
  Gives extends Columns = Columns,
  Sums extends Columns = Columns,
> {
  /** Tables with what is joined to them. */
  readonly from: string;
  /** What is joined to a page once it is cut, and nothing is asked of. */
  readonly joins?: string;
  /** What holds for all of its rows. */
  readonly where: string;
  readonly takes: Takes;
  readonly filters: Asked;
  readonly orders: Orders;
  /** The number of a row, which decides among equals. */
  readonly number: string;
  readonly columns: string;
  readonly gives: Gives;
  /** What is told of all rows that are asked for. */
  readonly sums: string;
  /** So many rows are summed at most, of a list that may be so long that nobody wants to wait for its end; the sums count rows then. */
  readonly sumsOfMost?: number;
  /** What the sums are told by, where they are not of all. */
  readonly sumsBy?: string;
  readonly sumsGive: Sums;
}

export const list = <
  const Takes extends Columns,
  const Asked extends Filters,
  const Orders extends Readonly<Record<string, Order>>,
  const Gives extends Columns,
  const Sums extends Columns,
>(
  parts: List<Takes, Asked, Orders, Gives, Sums>,
): List<Takes, Asked, Orders, Gives, Sums> => parts;

/** Where a page of a list begins: after what the last row of the one before was sorted by. */
export interface Cursor {
  readonly keys: readonly string[];
  readonly number: number;
}

/** A cursor as links hold it. */
export const writeCursor = ({ keys, number }: Cursor): string =>
  Buffer.from(JSON.stringify([...keys, number])).toString('base64url');

/** Reads a cursor of a way of sorting; undefined for what is none. */
export function readCursor(written: string | undefined, { keys }: Order): Cursor | undefined {
  if (!written || written.length > 2000) return undefined;
  let parts: unknown;
  try {
    parts = JSON.parse(Buffer.from(written, 'base64url').toString());
  } catch {
    return undefined;
  }
  if (!Array.isArray(parts) || parts.length !== keys.length + 1) return undefined;
  const number: unknown = parts.at(-1);
  const values = (parts as unknown[]).slice(0, -1);
  const isRead = keys.every(({ as }, index) => {
    const value = values[index];
    return typeof value === 'string' && CURSOR_TYPES[as].reads.test(value);
  });
  return isRead && Number.isSafeInteger(number)
    ? { keys: values as string[], number: number as number }
    : undefined;
}

const keyName = (index: number): string => `after${index}`;

/** The conditions of a list, with what they take. */
function asked(
  { where, takes, filters }: List,
  names: readonly string[],
): { readonly sql: string; readonly takes: Columns } {
  const used = names.flatMap((name) => (filters[name] ? [[name, filters[name]] as const] : []));
  return {
    sql: [where, ...used.map(([, { sql }]) => sql)].join(' AND '),
    takes: {
      ...takes,
      ...Object.fromEntries(used.flatMap(([name, filter]) => (filter.takes ? [[name, filter.takes]] : []))),
    },
  };
}

/** What the sums of a list are asked with. @param names the filters that are asked */
export function sumsStatement(of: List, names: readonly string[]): Statement {
  const { sql, takes } = asked(of, names);
  const rows = `${of.from} WHERE ${sql}`;
  const summed =
    of.sumsOfMost === undefined ? rows : `(SELECT FROM ${rows} LIMIT ${of.sumsOfMost}) AS counted`;
  return {
    takes,
    gives: of.sumsGive,
    text: `SELECT ${of.sums} FROM ${summed}${of.sumsBy ? ` GROUP BY ${of.sumsBy}` : ''}`,
  };
}

/** What a page of a list is asked with. @param isOn whether it goes on after a cursor */
export function pageStatement(of: List, names: readonly string[], order: Order, isOn: boolean): Statement {
  const { sql, takes } = asked(of, names);
  const { keys, isDown = false } = order;
  const way = isDown ? 'DESC' : 'ASC';
  const sorted = [...keys.map(({ by }) => by), of.number];
  const after = [...keys.map(({ as }, index) => `$${keyName(index)}::${as}`), '$afterNumber::int8'];
  const on = isOn ? ` AND (${sorted.join(', ')}) ${isDown ? '<' : '>'} (${after.join(', ')})` : '';
  const orderBy = `ORDER BY ${sorted.map((each) => `${each} ${way}`).join(', ')}`;
  const columns = `${of.columns}, ARRAY[${keys.map(({ by }) => `(${by})::text`).join(', ')}] AS "sortedBy", ${of.number}::int8 AS "sortedNumber"`;
  const [table = '', alias = ''] = of.from.split(' ');
  const cut = `WHERE ${sql}${on} ${orderBy} LIMIT $most`;
  return {
    takes: {
      ...takes,
      ...(isOn && {
        ...Object.fromEntries(keys.map(({ as }, index) => [keyName(index), CURSOR_TYPES[as].column])),
        afterNumber: big(),
      }),
      most: big(),
    },
    gives: { ...of.gives, sortedBy: many(text()), sortedNumber: big() },
    text: of.joins
      ? `SELECT ${columns} FROM (SELECT ${alias}.* FROM ${table} ${alias} ${cut}) AS ${alias} ${of.joins} ${orderBy}`
      : `SELECT ${columns} FROM ${of.from} ${cut}`,
  };
}

/** The values of a cursor by the names that {@link pageStatement} takes them under. */
export const cursorValues = ({ keys, number }: Cursor): Record<string, unknown> => ({
  ...Object.fromEntries(keys.map((value, index) => [keyName(index), value])),
  afterNumber: number,
});

/** A key that rows are sorted by as a whole number, or as text. */
export const number = (by: string) => [{ by, as: 'int8' }] as const;
export const words = (by: string) => [{ by, as: 'text' }] as const;

/** Rows that are called so: all of the words in their name, as SQL patterns in lower case. */
export const called = (alias: string) =>
  ({ takes: many(text()), sql: `${alias}.name_lower LIKE ALL ($called)` }) as const;
/** The row of a number. */
export const tagged = (alias: string) => ({ takes: int(), sql: `${alias}.number = $tagged` }) as const;
