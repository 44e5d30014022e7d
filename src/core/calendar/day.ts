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

export const isDay = (text: string): boolean => parseDay(text) !== undefined;
