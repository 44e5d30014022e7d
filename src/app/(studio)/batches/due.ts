import { daysBetween, type Day } from '@/core/calendar/day';

/** How long there is until a day: "in 10 days", "today", "3 days ago". */
export function dueIn(day: Day, today: Day): string {
  const days = daysBetween(today, day);
  if (days === 0) return 'today';
  const count = Math.abs(days);
  const said = `${count} ${count === 1 ? 'day' : 'days'}`;
  return days > 0 ? `in ${said}` : `${said} ago`;
}

/** "8 h 20 min" */
export function hours(minutes: number): string {
  const whole = Math.round(minutes);
  const [h, min] = [Math.floor(whole / 60), whole % 60];
  if (h === 0) return `${min} min`;
  return min === 0 ? `${h} h` : `${h} h ${min} min`;
}
