declare const calendar: unique symbol;
/** A day of the calendar, year first, as it is stored and sent: "2026-05-21". */
export type Day = string & { readonly [calendar]: 'day' };

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * The beginning, in universal time, of a day that is written year first.
 * @returns undefined for what is no day of the calendar, such as 31 February
 * @example parseDay('2026-02-29') // undefined
 */
export function parseDay(text: string): Date | undefined {
  if (!ISO_DAY.test(text)) return undefined;
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.valueOf()) && day.toISOString().startsWith(text) ? day : undefined;
}

/** @example isDay('2026-02-31') // false */
export const isDay = (text: string): text is Day => parseDay(text) !== undefined;

/**
 * A text that is known to be a day. @throws RangeError for what is none
 * @example day('2026-05-21') // '2026-05-21'
 */
export function day(text: string): Day {
  if (!isDay(text)) throw new RangeError(`${text} is no day`);
  return text;
}

/** The beginning of a day, in universal time. */
const startOf = (of: Day): number => Date.parse(`${of}T00:00:00Z`);

/**
 * Whether a text is the name of a time zone, as the IANA database has them: "Pacific/Auckland".
 * @example isZone('Pacific/Auckland') // true
 */
export function isZone(text: string): boolean {
  if (!/^[A-Za-z0-9_+\-/]{1,60}$/.test(text)) return false;
  try {
    return new Intl.DateTimeFormat('en-US', { timeZone: text }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** Formatters are costly to make, and a page shows many moments. */
const clocks = new Map<string, Intl.DateTimeFormat>();

function clockOf(zone: string): Intl.DateTimeFormat {
  const known = clocks.get(zone);
  if (known) return known;
  const clock = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  });
  clocks.set(zone, clock);
  return clock;
}

const partsIn = (zone: string, at: Date): Readonly<Record<string, string>> =>
  Object.fromEntries(
    clockOf(zone)
      .formatToParts(at)
      .map(({ type, value }) => [type, value]),
  );

/**
 * The day that a moment falls on in a time zone.
 * @example dayIn('Pacific/Auckland', new Date('2026-05-31T13:00:00Z')) // '2026-06-01'
 */
export function dayIn(zone: string, at: Date): Day {
  const parts = partsIn(zone, at);
  return `${(parts['year'] ?? '').padStart(4, '0')}-${parts['month'] ?? ''}-${parts['day'] ?? ''}` as Day;
}

const DAY_MS = 86_400_000;

/** The first day of the month of a day. @example firstOfMonth(day('2026-02-17')) // '2026-02-01' */
export const firstOfMonth = (of: Day): Day => `${of.slice(0, 7)}-01` as Day;

/**
 * A day so many days later; earlier when they are less than none.
 * @example daysLater(day('2026-02-27'), 3) // '2026-03-02'
 */
export const daysLater = (from: Day, days: number): Day =>
  new Date(startOf(from) + days * DAY_MS).toISOString().slice(0, 10) as Day;

/**
 * How many days from one day to another.
 * @example daysBetween(day('2026-02-27'), day('2026-03-02')) // 3
 */
export const daysBetween = (from: Day, to: Day): number => Math.round((startOf(to) - startOf(from)) / DAY_MS);

/** Which day of the week it is; Monday is 0. @example weekdayOf(day('2026-05-04')) // 0 */
export const weekdayOf = (of: Day): number => (new Date(startOf(of)).getUTCDay() + 6) % 7;

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** What comes first in a date as a studio writes it. */
export const DAY_ORDERS = ['day', 'month', 'year'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

/** A day of the calendar without its year: "4 May", "May 4". */
function sayDate(of: Day, order: DayOrder): string {
  const [, month = '', date = ''] = of.split('-');
  const name = MONTHS[Number(month) - 1] ?? '';
  return order === 'day' ? `${Number(date)} ${name}` : `${name} ${Number(date)}`;
}

/** A month written out, of its year and number. @example sayMonth('2026-05') // 'May 2026' */
export function sayMonth(month: string): string {
  const [year = '', number = ''] = month.split('-');
  return `${MONTHS[Number(number) - 1] ?? ''} ${year}`;
}

/**
 * A day written out, its month in letters so that no country misreads it.
 * @example sayDay(day('2026-05-04'), 'day') // '4 May 2026'
 * @example sayDay(day('2026-05-04'), 'month') // 'May 4, 2026'
 * @example sayDay(day('2026-05-04'), 'year') // '2026 May 4'
 */
export function sayDay(of: Day, order: DayOrder): string {
  const [year, date] = [of.slice(0, 4), sayDate(of, order)];
  return order === 'day' ? `${date} ${year}` : order === 'month' ? `${date}, ${year}` : `${year} ${date}`;
}

/**
 * A day of this year or the next: "Mon 4 May".
 * @example sayWeekday(day('2026-05-04'), 'day') // 'Mon 4 May'
 */
export const sayWeekday = (of: Day, order: DayOrder): string =>
  `${WEEKDAYS[weekdayOf(of)] ?? ''} ${sayDate(of, order)}`;

/**
 * A moment in a time zone: "4 May 2026, 14:05".
 * @example sayMoment('UTC', new Date('2026-05-04T14:05:00Z'), 'day') // '4 May 2026, 14:05'
 */
export function sayMoment(zone: string, at: Date, order: DayOrder): string {
  const { hour = '', minute = '' } = partsIn(zone, at);
  return `${sayDay(dayIn(zone, at), order)}, ${hour}:${minute}`;
}
