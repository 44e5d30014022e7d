import type { Day, DayOrder } from '@/core/calendar/day';
import { readTypedDay } from '@/core/calendar/typedDay';
import { ok, refuse, type Result } from '@/core/result';

/** Days off that are kept at most: some years of them. */
const MOST = 400;

/** Several days on one line, year first. */
const SEVERAL = /^\d{4}-\d{2}-\d{2}(?:[\s,]+\d{4}-\d{2}-\d{2})+$/;

const linesIn = (text: string): string[] =>
  text
    .split(/[\n;]/)
    .map((each) => each.trim())
    .filter(Boolean)
    .flatMap((each) => (SEVERAL.test(each) ? each.split(/[\s,]+/) : [each]));

/** Days off, by what comes first in a date as the studio writes it: 4/5/2026 is another day where the month does. */
export type DaysOffTyped = Readonly<Record<DayOrder, Day[]>>;

/** Reads days off, one a line. */
export function readDaysOff(text: string): Result<DaysOffTyped> {
  const [dayFirst, monthFirst] = [readDays(text, 'day'), readDays(text, 'month')];
  if (!dayFirst.ok) return dayFirst;
  if (!monthFirst.ok) return monthFirst;
  return ok({ day: dayFirst.value, month: monthFirst.value, year: dayFirst.value });
}

function readDays(text: string, order: 'day' | 'month'): Result<Day[]> {
  const written = linesIn(text);
  if (written.length > MOST) return refuse(`These are ${written.length} days; ${MOST} are allowed.`);
  const days: Day[] = [];
  for (const each of written) {
    const read =
      each.length > 40 ? undefined : readTypedDay(each, order === 'month' ? 'month first' : 'day first');
    const other =
      each.length > 40 ? undefined : readTypedDay(each, order === 'month' ? 'day first' : 'month first');
    // What is no day one way may be one the other way round: 12/24/2026 has one reading only.
    const day = [read, other].find((way) => way !== undefined && 'day' in way);
    if (!day || !('day' in day))
      return refuse(
        `“${each.slice(0, 40)}” is not a day; write each like 2026-12-24 or 24 Dec 2026, on a line of its own.`,
      );
    days.push(day.day);
  }
  return ok([...new Set(days)].sort());
}
