import { isDay } from '@/core/calendar/day';
import { ok, refuse, type Result } from '@/core/result';
import type { Day } from '@/core/schedule/schedule';

/** Days off that are kept at most: some years of them. */
const MOST = 400;

/** Reads days off, one a line or apart by commas. */
export function readDaysOff(text: string): Result<Day[]> {
  const days = text.split(/[\s,;]+/).filter(Boolean);
  if (days.length > MOST) return refuse(`These are ${days.length} days; ${MOST} are allowed.`);
  const wrong = days.find((day) => !isDay(day));
  if (wrong !== undefined)
    return refuse(`“${wrong.slice(0, 40)}” is not a day; write each like 2026-12-24, on a line of its own.`);
  return ok([...new Set(days)].sort());
}
