import type { Day } from '@/core/calendar/day';
import { isDay } from './day';

/** Which number of a day stands first, where it is written in numbers alone and the year last. */
export type NumericOrder = 'day first' | 'month first';

const SLASHED = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})$/;

/**
 * Whether day or month stands first in some days, where one of them can only be read one way.
 * @example orderIn(['5/6/2026', '14/5/2026']) // 'day first'
 */
export function orderIn(cells: readonly string[]): NumericOrder | undefined {
  for (const cell of cells) {
    const [, first, second] = SLASHED.exec(cell.trim()) ?? [];
    if (Number(first) > 12) return 'day first';
    if (Number(second) > 12) return 'month first';
  }
  return undefined;
}

/** What comes of a day that is written with stops or strokes. */
export type DayRead = { readonly day: Day } | { readonly isAmbiguous: true } | undefined;

const two = (part: string): string => part.padStart(2, '0');

/** Months by their first three letters. */
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day with its month in words: "14 May 2025", "May 14, 2025". */
function wordedDay(text: string): Day | undefined {
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

/**
 * Reads a day as people write it: "2026-05-14", "14 May 2026", "May 14, 2026", "14.5.2026", "5/14/26".
 * @param order what is meant where both orders are possible
 * @returns that it is ambiguous when no order is given and both are possible; undefined when it is no day
 * @example readTypedDay('14 May 2026', undefined) // { day: '2026-05-14' }
 */
export function readTypedDay(text: string, order: NumericOrder | undefined): DayRead {
  const [, first = '', second = '', year = ''] = SLASHED.exec(text) ?? [];
  if (year === '') {
    const written = text.slice(0, 10);
    const plain = isDay(written) && /^(?:$|[T ])/.test(text.slice(10)) ? written : wordedDay(text);
    return plain === undefined ? undefined : { day: plain };
  }
  const known = order ?? orderIn([text]);
  if (known === undefined && first !== second) return { isAmbiguous: true };
  const [day, month] = known === 'month first' ? [second, first] : [first, second];
  const iso = `${year.length === 2 ? `20${year}` : year}-${two(month)}-${two(day)}`;
  return isDay(iso) ? { day: iso } : undefined;
}
