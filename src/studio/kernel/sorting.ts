import { numberOnTag, type Tagged } from '@/core/tag';

/** One way of sorting a list of numbered things. */
export interface Sorting {
  /** What it is sorted by, in SQL over the list's own tables; never null. Of equals, the number decides. */
  readonly by: string;
  readonly as: 'text' | 'bigint';
  readonly isDown?: boolean;
}

/** SQL of one page of a sorted list: flat in time, however far along. */
export interface PageSql {
  /** A column that every row must carry, for {@link nextOf}. */
  readonly column: string;
  /** Begins with AND, or is empty. */
  readonly where: string;
  readonly orderBy: string;
}

/** A row that carries what it was sorted by. */
export interface SortedRow {
  readonly number: number;
  readonly sortedBy: string;
}

/** The SQL of a page; values are added to `bind`. What is no cursor begins at the beginning. @param number the column that decides among equals */
export function pageSql(
  { by, as, isDown = false }: Sorting,
  number: string,
  after: string | undefined,
  bind: unknown[],
): PageSql {
  const cursor = cursorOf(after, as);
  const way = isDown ? 'DESC' : 'ASC';
  return {
    column: `(${by})::text AS "sortedBy"`,
    where: cursor
      ? ` AND (${by}, ${number}) ${isDown ? '<' : '>'} ($${bind.push(cursor.value)}::${as}, $${bind.push(cursor.number)}::int)`
      : '',
    orderBy: `ORDER BY ${by} ${way}, ${number} ${way}`,
  };
}

/** "value~number", as {@link nextOf} writes it. */
function cursorOf(
  text: string | undefined,
  as: Sorting['as'],
): { readonly value: string; readonly number: number } | undefined {
  const [, value = '', number = ''] = /^(.{0,400})~(\d{1,9})$/s.exec(text ?? '') ?? [];
  if (number === '' || (as === 'bigint' && !/^-?\d{1,18}$/.test(value))) return undefined;
  return { value, number: Number(number) };
}

/** The rows of a page of those that were asked for, one more than it holds, and where the next page begins after. */
export function pageOf<Row extends SortedRow>(
  rows: readonly Row[],
  size: number,
): { readonly shown: readonly Row[]; readonly next: string | null } {
  const shown = rows.slice(0, size);
  const last = shown.at(-1);
  const next = rows.length > size && last ? `${last.sortedBy}~${last.number}` : null;
  return { shown, next };
}

/** The way of sorting that is asked for, the first when there is none such. */
export function sortingOf(sortings: Readonly<Record<string, Sorting>>, asked: string | undefined): Sorting {
  const ways = Object.entries(sortings);
  const [, sorting] = ways.find(([name]) => name === asked) ?? ways[0] ?? [];
  if (!sorting) throw new Error('a list is sorted in one way at least');
  return sorting;
}

/** SQL for rows that are called so: all of the words in their name, or the number on their tag. Values are added to `bind`. */
export function calledSql(kind: Tagged, table: string, words: string | undefined, bind: unknown[]): string {
  const text = (words ?? '').trim().slice(0, 100);
  if (text === '') return '';
  const number = numberOnTag(kind, text);
  if (number !== undefined) return ` AND ${table}.number = $${bind.push(number)}`;
  const parts = text.toLowerCase().split(/\s+/).slice(0, 6);
  const likes = parts.map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  return ` AND ${table}.name_lower LIKE ALL ($${bind.push(likes)})`;
}
