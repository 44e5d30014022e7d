import type { Day } from '@/core/calendar/day';
import { addDays, parseISO } from 'date-fns';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { tag } from '@/core/tag';
import type { ScheduleView } from './benchHours';

const dateArray = (date: Date): DateArray => [date.getFullYear(), date.getMonth() + 1, date.getDate()];

/**
 * The bench plan as an iCalendar file (RFC 5545): a whole day for each batch that is worked on it, and one for the day each is due.
 * @throws Error when the days cannot be written
 */
export function benchCalendar({ days, batches }: ScheduleView): string {
  const nameOf = (number: number) => batches.find((batch) => batch.number === number)?.name ?? '';
  const wholeDay = (day: Day, uid: string, title: string): EventAttributes => ({
    uid: `${uid}@pewterer`,
    title,
    start: dateArray(parseISO(day)),
    end: dateArray(addDays(parseISO(day), 1)),
    productId: 'pewterer',
  });
  const events = [
    ...days.flatMap(({ day, work }) =>
      work.map(({ number, minutes }) =>
        wholeDay(day, `${tag('batch', number)}-${day}`, `${nameOf(number)}: ${minutes} min at the bench`),
      ),
    ),
    ...batches.flatMap(({ number, name, dueOn }) =>
      dueOn === null ? [] : [wholeDay(dueOn, `${tag('batch', number)}-due`, `${name} is due`)],
    ),
  ];
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('the calendar could not be written');
  return value;
}
