import type { StockList } from './stockList';
import { plainWord } from './vocabulary';

/** One row of a table in a file. */
export interface TableRow {
  /** Line of the file; the first is 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** The table in a file: makers write titles over it, sums under it and leave lines free. */
export interface Table {
  readonly header: readonly string[];
  readonly headerLine: number;
  readonly rows: readonly TableRow[];
  /** Sums and titles between the rows, which are no stock. */
  readonly passedOver: readonly TableRow[];
}

/** Lines that are looked at for the one that names the columns. */
const LOOKED_AT = 25;

const filled = (cells: readonly string[]): number => cells.filter((cell) => cell.trim() !== '').length;
const isNumber = (cell: string): boolean => /^[\s$€£]*[\d.,]+\s*%?$/.test(cell) && /\d/.test(cell);

/** Units and brackets do not change what a column is. */
const UNIT_WORDS =
  /(?<![a-z])(?:mm|cm|m|in|inch|inches|ft|feet|foot|yd|yards?|metres?|meters?|g|grams?|kg|oz|ozt|lbs?|usd|eur|gbp|awg|dia|ø|pcs|each|per|total|of|the|#)(?![a-z])|[()[\]{}"$€£#/:]/g;

/** A title without its unit. @example bareTitle('Length (ft)') // 'length' */
export const bareTitle = (title: string): string => plainWord(title.toLowerCase().replace(UNIT_WORDS, ' '));

/** How many cells of a line are titles of columns of a list. */
function titlesIn(cells: readonly string[], list: StockList): number {
  const known = new Set(
    list.columns.flatMap(({ key, title, also = [] }) => [key, title, ...also].map(plainWord)),
  );
  return cells.filter((cell) => known.has(plainWord(cell)) || known.has(bareTitle(cell))).length;
}

/** Which line names the columns: the one that knows most of their titles, else the first with several words and no number. */
function headerAt(lines: readonly (readonly string[])[], list: StockList): number {
  const first = lines.slice(0, LOOKED_AT);
  const scores = first.map((cells) => titlesIn(cells, list));
  const most = Math.max(0, ...scores);
  if (most >= 2) return scores.indexOf(most);
  const worded = first.findIndex((cells) => filled(cells) >= 2 && !cells.some(isNumber));
  return worded >= 0 ? worded : first.findIndex((cells) => filled(cells) >= 2);
}

const TOTAL = /^(?:grand\s+|sub\s?)?(?:total|totals|sum|subtotal|average|count)\b/i;

/** A line that sums up, or a heading between rows: no stock. */
function isNoStock(cells: readonly string[], columns: number): boolean {
  const words = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  if (words.some((word) => TOTAL.test(word))) return true;
  return columns > 2 && words.length === 1 && !isNumber(words[0] ?? '');
}

/** Finds the table in the lines of a file. */
export function tableIn(lines: readonly (readonly string[])[], list: StockList): Table {
  const at = headerAt(lines, list);
  const header = (lines[at] ?? []).map((cell) => cell.trim());
  const below = lines
    .map((cells, index): TableRow => ({ line: index + 1, cells }))
    .slice(at + 1)
    .filter(({ cells }) => filled(cells) > 0);
  const again = (cells: readonly string[]) =>
    cells.every((cell, index) => plainWord(cell) === plainWord(header[index] ?? ''));
  const columns = filled(header);
  const passes = ({ cells }: TableRow) => isNoStock(cells, columns) || again(cells);
  return {
    header,
    headerLine: at + 1,
    rows: below.filter((row) => !passes(row)),
    passedOver: below.filter(passes),
  };
}
