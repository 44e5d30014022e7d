import { daysLater, weekdayOf, type Day } from '../calendar/day';

/** When there is time at the bench. */
export interface BenchHours {
  /** Minutes of each weekday, Monday first. */
  readonly weekly: readonly number[];
  /** Days on which nobody works, whatever the weekday. */
  readonly daysOff: readonly Day[];
}

/** Work that is to be done until a day; without a day it comes after everything that has one. */
export interface Job {
  readonly number: number;
  readonly dueOn: Day | null;
  readonly minutes: number;
}

/** What is done on a day. */
export interface ScheduledDay {
  readonly day: Day;
  /** Minutes there are. */
  readonly minutes: number;
  readonly work: readonly { readonly number: number; readonly minutes: number }[];
}

/** When a job is ready. */
export interface ScheduledJob {
  readonly number: number;
  readonly dueOn: Day | null;
  /** The day on which its last minute is worked; null when that lies beyond the calendar. */
  readonly readyOn: Day | null;
  /** Minutes of it that are left when the day it is due is over; 0 when it is in time. */
  readonly late: number;
}

export interface Schedule {
  readonly days: readonly ScheduledDay[];
  readonly jobs: readonly ScheduledJob[];
}

/** Days that are looked ahead. */
export const HORIZON = 366;

/** Minutes at the bench on a day. */
export const minutesOn = (day: Day, { weekly, daysOff }: BenchHours): number =>
  daysOff.includes(day) ? 0 : (weekly[weekdayOf(day)] ?? 0);

/** A day and the minutes there are in it. */
interface OpenDay {
  readonly day: Day;
  readonly minutes: number;
}

/** Calendars that were made, by their hours: many questions are asked of one. */
const calendars = new WeakMap<BenchHours, { readonly from: Day; readonly days: readonly OpenDay[] }>();

/** All days that are looked ahead, from a first one on. */
function daysAhead(from: Day, hours: BenchHours): readonly OpenDay[] {
  const known = calendars.get(hours);
  if (known?.from === from) return known.days;
  const days = Array.from({ length: HORIZON }, (_, ahead) => {
    const day = daysLater(from, ahead);
    return { day, minutes: minutesOn(day, hours) };
  });
  calendars.set(hours, { from, days });
  return days;
}

/** Minutes of each day from one to another, both of them worked. */
const dayByDay = (from: Day, until: Day, hours: BenchHours): number[] =>
  daysAhead(from, hours)
    .filter(({ day }) => day <= until)
    .map(({ minutes }) => minutes);

/** Minutes at the bench from one day to another, both of them worked. */
export const minutesUntil = (from: Day, until: Day, hours: BenchHours): number =>
  dayByDay(from, until, hours).reduce((sum, minutes) => sum + minutes, 0);

/** Jobs in the order that they are worked: what is due first comes first, what has no day last. */
export const inOrderOfDue = <T extends Pick<Job, 'dueOn' | 'number'>>(jobs: readonly T[]): T[] =>
  [...jobs].sort((a, b) => (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999') || a.number - b.number);

/**
 * Lays work out day by day from a first day on, what is due first worked first. With one bench and work that may be left and taken up
 * again, no other order makes fewer late (earliest due date; Jackson, 1955).
 * @param today the first day that is worked
 */
export function scheduleJobs(jobs: readonly Job[], hours: BenchHours, today: Day): Schedule {
  const order = inOrderOfDue(jobs).map((job) => ({
    job,
    left: job.minutes,
    readyOn: null as Day | null,
    late: 0,
  }));
  const days: ScheduledDay[] = [];
  // What is due later comes later, and what is worked first is done first: neither place ever goes back.
  let due = 0;
  let worked = 0;
  const closeDay = (day: Day) => {
    for (let next = order[due]; next?.job.dueOn && next.job.dueOn <= day; next = order[due]) {
      next.late = next.left;
      due += 1;
    }
  };
  // What was due before today is late with all that is left of it.
  closeDay(daysLater(today, -1));
  for (const { day, minutes } of daysAhead(today, hours)) {
    // What wants no work is ready before any is done.
    if (days.length === 0) for (const each of order) if (each.left === 0) each.readyOn = day;
    const work: { number: number; minutes: number }[] = [];
    let free = minutes;
    for (let next = order[worked]; next && (free > 0 || next.left === 0); next = order[worked]) {
      const done = Math.min(next.left, free);
      if (done > 0) work.push({ number: next.job.number, minutes: done });
      free -= done;
      next.left -= done;
      if (next.left > 0) break;
      next.readyOn ??= day;
      worked += 1;
    }
    days.push({ day, minutes, work });
    closeDay(day);
    if (worked === order.length && !order[due]?.job.dueOn) break;
  }
  return {
    days,
    jobs: order.map(({ job: { number, dueOn }, readyOn, late }) => ({ number, dueOn, readyOn, late })),
  };
}

/** What would bring a late job in time. Each of them alone does. */
export interface Remedy {
  /** Minutes more on each working day until it is due; null when there is no such day. */
  readonly moreEachDay: number | null;
  /** Pieces to leave out, of the line that takes most; null when the job has no pieces that suffice. */
  readonly fewer: { readonly line: number; readonly pieces: number } | null;
  /** Jobs before it that could wait: with any one of them after it, it is in time. */
  readonly after: readonly number[];
}

/** A line of a job as far as time goes. */
export interface JobLine {
  readonly line: number;
  readonly count: number;
  readonly minutesEach: number;
}

/** Finds what would bring a late job in time. @param lines of the job */
export function remedyFor(
  late: ScheduledJob,
  jobs: readonly Job[],
  lines: readonly JobLine[],
  hours: BenchHours,
  today: Day,
): Remedy {
  const { number, dueOn } = late;
  if (dueOn === null || late.late === 0) return { moreEachDay: null, fewer: null, after: [] };
  const workingDays = dayByDay(today, dueOn, hours).filter((minutes) => minutes > 0).length;
  const there = minutesUntil(today, dueOn, hours);
  const byCost = lines
    .filter(({ minutesEach }) => minutesEach > 0)
    .map(({ line, count, minutesEach }) => ({ line, count, pieces: Math.ceil(late.late / minutesEach) }))
    .filter(({ count, pieces }) => pieces <= count)
    .sort((a, b) => a.pieces - b.pieces || a.line - b.line);
  const order = inOrderOfDue(jobs);
  const before = order.slice(
    0,
    order.findIndex((job) => job.number === number),
  );
  // More time goes to what is before it first, if that is late too.
  const wanted = before.reduce(
    (sum, { minutes }) => sum + minutes,
    jobs.find((job) => job.number === number)?.minutes ?? 0,
  );
  const [first] = byCost;
  return {
    moreEachDay: workingDays > 0 ? Math.ceil((wanted - there) / workingDays) : null,
    fewer: first ? { line: first.line, pieces: first.pieces } : null,
    // What is due first is worked first, without a pause: without one that is before it, everything up to it takes so much less.
    after: before.filter(({ minutes }) => wanted - minutes <= there).map((job) => job.number),
  };
}
