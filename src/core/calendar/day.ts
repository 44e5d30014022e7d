/** A day of the calendar as it is stored and sent: "2026-05-21". */
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
export const isDay = (text: string): boolean => parseDay(text) !== undefined;

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
export function dayIn(zone: string, at: Date): string {
  const { year = '', month = '', day = '' } = partsIn(zone, at);
  return `${year.padStart(4, '0')}-${month}-${day}`;
}

const DAY_MS = 86_400_000;

/** The first day of the month of a day. @example firstOfMonth('2026-02-17') // '2026-02-01' */
export const firstOfMonth = (day: string): string => `${day.slice(0, 7)}-01`;

/**
 * A day so many days later; earlier when they are less than none. @throws RangeError for what is no day
 * @example daysLater('2026-02-27', 3) // '2026-03-02'
 */
export function daysLater(day: string, days: number): string {
  const from = parseDay(day);
  if (!from) throw new RangeError(`${day} is no day`);
  return new Date(from.valueOf() + days * DAY_MS).toISOString().slice(0, 10);
}

/**
 * How many days from one day to another. @throws RangeError for what is no day
 * @example daysBetween('2026-02-27', '2026-03-02') // 3
 */
export function daysBetween(from: string, to: string): number {
  const [a, b] = [parseDay(from), parseDay(to)];
  if (!a || !b) throw new RangeError(`${from} or ${to} is no day`);
  return Math.round((b.valueOf() - a.valueOf()) / DAY_MS);
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** What comes first in a date as a studio writes it. */
export const DAY_ORDERS = ['day', 'month', 'year'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

/** A day of the calendar without its year: "4 May", "May 4". */
function sayDate(day: string, order: DayOrder): string {
  const [, month = '', date = ''] = day.split('-');
  const name = MONTHS[Number(month) - 1] ?? '';
  return order === 'day' ? `${Number(date)} ${name}` : `${name} ${Number(date)}`;
}

/**
 * A day written out, its month in letters so that no country misreads it. What is no day stays as it is.
 * @example sayDay('2026-05-04', 'day') // '4 May 2026'
 * @example sayDay('2026-05-04', 'month') // 'May 4, 2026'
 * @example sayDay('2026-05-04', 'year') // '2026 May 4'
 */
export function sayDay(day: string, order: DayOrder): string {
  if (!isDay(day)) return day;
  const [year, date] = [day.slice(0, 4), sayDate(day, order)];
  return order === 'day' ? `${date} ${year}` : order === 'month' ? `${date}, ${year}` : `${year} ${date}`;
}

/**
 * A day of this year or the next: "Mon 4 May". What is no day stays as it is.
 * @example sayWeekday('2026-05-04', 'day') // 'Mon 4 May'
 */
export function sayWeekday(day: string, order: DayOrder): string {
  const at = parseDay(day);
  return at ? `${WEEKDAYS[at.getUTCDay()] ?? ''} ${sayDate(day, order)}` : day;
}

/**
 * A moment in a time zone: "4 May 2026, 14:05".
 * @example sayMoment('UTC', new Date('2026-05-04T14:05:00Z'), 'day') // '4 May 2026, 14:05'
 */
export function sayMoment(zone: string, at: Date, order: DayOrder): string {
  const { hour = '', minute = '' } = partsIn(zone, at);
  return `${sayDay(dayIn(zone, at), order)}, ${hour}:${minute}`;
}
