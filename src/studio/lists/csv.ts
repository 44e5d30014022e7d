import Papa from 'papaparse';

/** A file as it was read. */
export interface Sheet {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Cells that a spreadsheet would take for a formula are written behind an apostrophe, which is taken off again on the way in. */
const FORMULA = /^'?[=+\-@\t\r]/;

/** A number is no formula, though it is less than nothing. */
const NUMBER = /^-?\d+(\.\d+)?$/;

const guarded = (cell: string): string => (FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);
const unguarded = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;

/** Lines of a CSV file (RFC 4180), each ended. */
export const csvLines = (rows: readonly (readonly string[])[]): string =>
  rows.length === 0
    ? ''
    : `${Papa.unparse(
        rows.map((row) => row.map(guarded)),
        { newline: '\r\n' },
      )}\r\n`;

/** The lines of a CSV file with their cells, empty ones too; comma, semicolon or tab, whichever it is written with. */
export function csvRows(content: string): string[][] {
  const { data } = Papa.parse<string[]>(content.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  return data.map((row) => row.map(unguarded));
}

/** Reads a CSV file; comma, semicolon or tab, whichever it is written with. Empty lines are passed over. */
export function readCsv(content: string): Sheet {
  const { data } = Papa.parse<string[]>(content.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [header = [], ...rows] = data;
  return {
    header: header.map((cell) => unguarded(cell).trim()),
    rows: rows.map((row) => row.map(unguarded)),
  };
}
