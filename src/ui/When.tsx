'use client';

import { dayIn, sayDay, sayMoment, sayWeekday, type Day as CalendarDay } from '@/core/calendar/day';
import { useHouse } from './house';

/** A day, written out so that no country misreads it. @param at a moment, or a day of the calendar */
export function Day({ at, weekday = false }: { at: Date | CalendarDay; weekday?: boolean }) {
  const { zone, days } = useHouse();
  const day = typeof at === 'string' ? at : dayIn(zone, at);
  return (
    <time dateTime={day} className="whitespace-nowrap">
      {weekday ? sayWeekday(day, days) : sayDay(day, days)}
    </time>
  );
}

/** A moment: its day and its time. */
export function Moment({ at }: { at: Date }) {
  const { zone, days } = useHouse();
  return (
    <time dateTime={at.toISOString()} className="whitespace-nowrap">
      {sayMoment(zone, at, days)}
    </time>
  );
}
