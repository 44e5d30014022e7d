/** What is read of a file of sales. */
export const SALES_COLUMNS = ['order', 'day', 'piece', 'price', 'buyer'] as const;
export type SalesColumn = (typeof SALES_COLUMNS)[number];

/** Those without which nothing can be entered. */
export const NEEDED_COLUMNS: readonly SalesColumn[] = ['day', 'piece', 'price'];

/** Which column of a file is which, counted from 0; null for what it does not have. */
export type ColumnsChosen = Readonly<Record<SalesColumn, number | null>>;

/** Words that titles of columns have; the first that fits is taken, and no column twice. */
const WORDS: Readonly<Record<SalesColumn, RegExp>> = {
  order: /order|receipt|reference|invoice|\bno\b|\bid\b/i,
  day: /date|day|sold on|when/i,
  piece: /tag|piece|sku|article|item/i,
  price: /price|amount|paid|total|gross/i,
  buyer: /buyer|customer|name|client/i,
};

/** Which column of a file is likely which, by their titles. */
export function guessColumns(titles: readonly string[]): ColumnsChosen {
  const taken = new Set<number>();
  const chosen: Record<SalesColumn, number | null> = {
    ...{ order: null, day: null, piece: null, price: null, buyer: null },
  };
  for (const column of SALES_COLUMNS) {
    const at = titles.findIndex((title, index) => !taken.has(index) && WORDS[column].test(title));
    if (at < 0) continue;
    taken.add(at);
    chosen[column] = at;
  }
  return chosen;
}

/** Rows of a file that are one sale. */
export interface OrderRows {
  /** What tells it from others, the same whenever the file is read. */
  readonly key: string;
  /** The lines of the file that it is from, counted from 1 as spreadsheets do, the titles being the first. */
  readonly lines: readonly number[];
  readonly day: string;
  readonly buyer: string;
  readonly pieces: readonly { readonly piece: string; readonly price: string }[];
}

/**
 * The sales of a file: rows of the same order are one; where no order is told each row is. Empty rows are passed over.
 * @param rows without the titles
 */
export function ordersIn(rows: readonly (readonly string[])[], columns: ColumnsChosen): readonly OrderRows[] {
  const cell = (row: readonly string[], column: SalesColumn): string => {
    const at = columns[column];
    return at === null ? '' : (row[at] ?? '').trim();
  };
  const orders = new Map<string, OrderRows>();
  const seen = new Map<string, number>();
  rows.forEach((row, index) => {
    if (row.every((each) => each.trim() === '')) return;
    const told = SALES_COLUMNS.map((column) => cell(row, column));
    const [order = ''] = told;
    // Without an order, rows that say the same are told apart by how many said it before.
    const alike = told.join('\n');
    const before = seen.get(alike) ?? 0;
    seen.set(alike, before + 1);
    const key = order === '' ? `row ${alike} ${before}` : `order ${order}`;
    const piece = { piece: cell(row, 'piece'), price: cell(row, 'price') };
    const had = orders.get(key);
    orders.set(key, {
      key,
      lines: [...(had?.lines ?? []), index + 2],
      day: had?.day || cell(row, 'day'),
      buyer: had?.buyer || cell(row, 'buyer'),
      pieces: [...(had?.pieces ?? []), piece],
    });
  });
  return [...orders.values()];
}
