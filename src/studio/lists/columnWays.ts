import { isDay } from '@/core/calendar/day';
import { questionId, type Answers } from './questions';

/** How days of a column are written. */
export type DayOrder = 'day first' | 'month first';

/** How the columns of one file are to be read, as their titles, their cells and the maker say. */
export interface ColumnWays {
  /** Unit of bare numbers, by column. */
  readonly units: Readonly<Record<string, string>>;
  readonly orders: Readonly<Record<string, DayOrder>>;
  readonly answers: Answers;
  /** Titles of the file by column of the list; columns that the file lacks are left out. */
  readonly titles: Readonly<Record<string, string>>;
}

/** Units that stand in titles, as they are written after a number here; the longer words first. */
const TITLED: readonly (readonly [RegExp, string])[] = [
  [/\b(?:troy|ozt|oz t|toz)\b/i, 'ozt'],
  [/\b(?:feet|foot|ft)\b/i, 'ft'],
  [/\b(?:inches|inch|in)\b|["″]/i, 'in'],
  [/\b(?:yards?|yds?)\b/i, 'yd'],
  [/\b(?:millimet(?:er|re)s?|mm)\b/i, 'mm'],
  [/\b(?:centimet(?:er|re)s?|cm)\b/i, 'cm'],
  [/\b(?:met(?:er|re)s?|m)\b/i, 'm'],
  [/\b(?:kilograms?|kg)\b/i, 'kg'],
  [/\b(?:grams?|g)\b/i, 'g'],
  [/\b(?:pounds?|lbs?)\b/i, 'lb'],
];

/** The unit that a title names; undefined when it names none. @example unitIn('Length (ft)') // 'ft' */
export const unitIn = (title: string): string | undefined => TITLED.find(([word]) => word.test(title))?.[1];

const SLASHED = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})$/;

/** Whether day or month stands first, where a cell of a column can only be read one way. */
function orderIn(cells: readonly string[]): DayOrder | undefined {
  for (const cell of cells) {
    const [, first, second] = SLASHED.exec(cell.trim()) ?? [];
    if (Number(first) > 12) return 'day first';
    if (Number(second) > 12) return 'month first';
  }
  return undefined;
}

/** Works out how the columns of a table are to be read. @param sure columns whose titles are the list's own */
export function columnWays(
  header: readonly string[],
  rows: readonly { readonly cells: readonly string[] }[],
  mapping: Readonly<Record<string, number>>,
  answers: Answers,
): ColumnWays {
  const units: Record<string, string> = {};
  const orders: Record<string, DayOrder> = {};
  const titles: Record<string, string> = {};
  for (const [key, at] of Object.entries(mapping)) {
    if (at < 0) continue;
    const title = header[at] ?? '';
    titles[key] = title;
    const unit = answers[questionId('unit', key)] ?? unitIn(title);
    if (unit !== undefined) units[key] = unit;
    const told = answers[questionId('order', key)];
    const order =
      told === 'day first' || told === 'month first'
        ? told
        : orderIn(rows.map(({ cells }) => cells[at] ?? ''));
    if (order !== undefined) orders[key] = order;
  }
  return { units, orders, answers, titles };
}

/** What comes of a day that is written with stops or strokes. */
export type DayRead = { readonly day: string } | { readonly isAmbiguous: true } | undefined;

const two = (part: string): string => part.padStart(2, '0');

/** Months by their first three letters. */
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day with its month in words: "14 May 2025", "May 14, 2025". */
function wordedDay(text: string): string | undefined {
  const parts = text
    .toLowerCase()
    .split(/[\s,.-]+/)
    .filter(Boolean);
  const month = parts.map((part) => MONTHS.indexOf(part.slice(0, 3))).find((index) => index >= 0);
  const year = parts.find((part) => /^\d{4}$/.test(part));
  const day = parts.find((part) => /^\d{1,2}(?:st|nd|rd|th)?$/.test(part));
  if (month === undefined || year === undefined || day === undefined) return undefined;
  const iso = `${year}-${two(String(month + 1))}-${two(String(parseInt(day, 10)))}`;
  return isDay(iso) ? iso : undefined;
}

/** Reads a day as it stands in a list; undefined when it is none. */
export function dayIn(text: string, order: DayOrder | undefined): DayRead {
  const [, first = '', second = '', year = ''] = SLASHED.exec(text) ?? [];
  if (year === '') {
    const plain =
      isDay(text.slice(0, 10)) && /^(?:$|[T ])/.test(text.slice(10)) ? text.slice(0, 10) : wordedDay(text);
    return plain === undefined ? undefined : { day: plain };
  }
  const known = order ?? orderIn([text]);
  if (known === undefined && first !== second) return { isAmbiguous: true };
  const [day, month] = known === 'month first' ? [second, first] : [first, second];
  const iso = `${year.length === 2 ? `20${year}` : year}-${two(month)}-${two(day)}`;
  return isDay(iso) ? { day: iso } : undefined;
}
