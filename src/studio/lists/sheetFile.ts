import { read, utils, type WorkSheet } from '@e965/xlsx';
import { formatISO } from 'date-fns';
import { refused } from '../kernel/outcome';
import { csvLines } from './csv';

/** Cells of a spreadsheet that are read at most: a sheet says itself how large it is, and may lie. */
const MOST_CELLS = 2_000_000;

/** Text of a CSV file: UTF-8 as nearly all are, else the code page that spreadsheets of Western Europe and America write. */
function decoded(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** A cell as it would be typed: numbers in full and not as they are shown, days year first. */
function cellText(value: unknown): string {
  if (value instanceof Date) return formatISO(value, { representation: 'date' });
  if (typeof value === 'number') return String(Number(value.toPrecision(12)));
  return typeof value === 'string' ? value : typeof value === 'boolean' ? (value ? 'yes' : 'no') : '';
}

const rowsOf = (sheet: WorkSheet): string[][] =>
  utils
    .sheet_to_json<unknown[]>(sheet, { header: 1, raw: true, defval: '', blankrows: true, UTC: false })
    .map((row) => row.map(cellText));

function sizeOf(sheet: WorkSheet): number {
  const range = sheet['!ref'];
  if (range === undefined) return 0;
  const { s, e } = utils.decode_range(range);
  return (e.r - s.r + 1) * (e.c - s.c + 1);
}

/**
 * The text of a file as CSV: what is CSV already, and of a spreadsheet (xlsx, ods, xls) the sheet that holds most.
 * @throws Refused when it is a spreadsheet that cannot be read, or is too large
 */
export function fileAsCsv(bytes: Uint8Array): string {
  if (!isZip(bytes)) return decoded(bytes);
  const book = readBook(bytes);
  const filled = book.SheetNames.flatMap((name) => {
    const sheet = book.Sheets[name];
    return sheet ? [{ sheet, cells: sizeOf(sheet) }] : [];
  });
  const [largest] = filled.sort((a, b) => b.cells - a.cells);
  if (!largest || largest.cells === 0) throw refused('This spreadsheet is empty.');
  if (largest.cells > MOST_CELLS)
    throw refused(
      `This spreadsheet has ${largest.cells.toLocaleString('en-US')} cells; ${MOST_CELLS.toLocaleString('en-US')} are allowed.`,
    );
  return csvLines(rowsOf(largest.sheet));
}

function readBook(bytes: Uint8Array): ReturnType<typeof read> {
  try {
    return read(bytes, { type: 'array', cellDates: true, sheetRows: 60_000, dense: false });
  } catch {
    throw refused('This spreadsheet cannot be read; save it once more, or as CSV.');
  }
}
