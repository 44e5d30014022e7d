import fc from 'fast-check';
import { addDays, formatISO, parseISO } from 'date-fns';
import { day as calendarDay } from '../calendar/day';
import { minutesOn, remedyFor, scheduleJobs, type BenchHours, type Job } from './schedule';

// 7 December 2026 is a Monday.
const MONDAY = calendarDay('2026-12-07');
const day = (ahead: number) =>
  calendarDay(formatISO(addDays(parseISO(MONDAY), ahead), { representation: 'date' }));
/** Four hours from Monday to Friday. */
const HOURS: BenchHours = { weekly: [240, 240, 240, 240, 240, 0, 0], daysOff: [] };

describe('a schedule', () => {
  it('works what is due first, day by day, not at the weekend and not on days off', () => {
    const { days, jobs } = scheduleJobs(
      [
        { number: 1, dueOn: null, minutes: 100 },
        { number: 2, dueOn: day(9), minutes: 700 },
        { number: 3, dueOn: day(1), minutes: 300 },
      ],
      { ...HOURS, daysOff: [day(2)] },
      MONDAY,
    );
    expect(days.slice(0, 8).map(({ work }) => work.map(({ number, minutes }) => [number, minutes]))).toEqual([
      [[3, 240]],
      [
        [3, 60],
        [2, 180],
      ],
      [],
      [[2, 240]],
      [[2, 240]],
      [],
      [],
      [
        [2, 40],
        [1, 100],
      ],
    ]);
    expect(jobs).toEqual([
      { number: 3, dueOn: day(1), readyOn: day(1), late: 0 },
      { number: 2, dueOn: day(9), readyOn: day(7), late: 0 },
      { number: 1, dueOn: null, readyOn: day(7), late: 0 },
    ]);
  });

  it('names what is late, and by how much', () => {
    const jobs: Job[] = [
      { number: 1, dueOn: day(1), minutes: 300 },
      { number: 2, dueOn: day(2), minutes: 500 },
      { number: 3, dueOn: day(-1), minutes: 30 },
    ];
    const { jobs: when } = scheduleJobs(jobs, HOURS, MONDAY);
    // 30 + 300 + 500 minutes against three days of 240.
    expect(when.map(({ number, late }) => [number, late])).toEqual([
      [3, 30],
      [1, 0],
      [2, 110],
    ]);
    const second = when[2];
    if (!second) throw new Error('the second is there');
    const lines = [
      { line: 1, count: 2, minutesEach: 40 },
      { line: 2, count: 12, minutesEach: 30 },
    ];
    // 110 minutes over three days; or four of the second line, since two of the first are not enough; or the first batch after it.
    expect(remedyFor(second, jobs, lines, HOURS, MONDAY)).toEqual({
      moreEachDay: 37,
      fewer: { line: 2, pieces: 4 },
      after: [1],
    });
  });

  it('without hours ends all the same, and says that nothing gets ready', () => {
    const none = { weekly: [0, 0, 0, 0, 0, 0, 0], daysOff: [] };
    const { jobs } = scheduleJobs([{ number: 1, dueOn: day(5), minutes: 10 }], none, MONDAY);
    expect(jobs).toEqual([{ number: 1, dueOn: day(5), readyOn: null, late: 10 }]);
    const [job] = jobs;
    if (job)
      expect(remedyFor(job, [{ number: 1, dueOn: day(5), minutes: 10 }], [], none, MONDAY)).toEqual({
        moreEachDay: null,
        fewer: null,
        after: [],
      });
  });

  it('never works more than there is, loses no minute, and every remedy brings the job in time', () => {
    const jobsOf = fc.array(
      fc.record({
        dueOn: fc.option(fc.integer({ min: -2, max: 40 }).map(day)),
        minutes: fc.integer({ min: 0, max: 3000 }),
      }),
      { minLength: 1, maxLength: 6 },
    );
    const hoursOf = fc.record({
      weekly: fc.array(fc.constantFrom(0, 60, 240, 600), { minLength: 7, maxLength: 7 }),
      daysOff: fc.array(fc.integer({ min: 0, max: 30 }).map(day), { maxLength: 5 }),
    });
    fc.assert(
      fc.property(jobsOf, hoursOf, (some, hours) => {
        const jobs = some.map((job, index) => ({ ...job, number: index + 1 }));
        const { days, jobs: when } = scheduleJobs(jobs, hours, MONDAY);
        for (const { day: on, minutes, work } of days) {
          expect(minutes).toBe(minutesOn(on, hours));
          expect(work.reduce((sum, each) => sum + each.minutes, 0)).toBeLessThanOrEqual(minutes);
        }
        for (const { number, minutes } of jobs) {
          const job = when.find((each) => each.number === number);
          const worked = days
            .flatMap(({ work }) => work.filter((each) => each.number === number))
            .reduce((sum, each) => sum + each.minutes, 0);
          if (job?.readyOn !== null) expect(worked).toBe(minutes);
          if (!job || job.late === 0 || job.dueOn === null || job.dueOn < MONDAY) continue;
          const lines = [{ line: 1, count: 10_000, minutesEach: 7 }];
          const { moreEachDay, fewer, after } = remedyFor(job, jobs, lines, hours, MONDAY);
          const lateWith = (changed: readonly Job[], more = 0) =>
            scheduleJobs(
              changed,
              { ...hours, weekly: hours.weekly.map((each) => (each > 0 ? each + more : 0)) },
              MONDAY,
            ).jobs.find((each) => each.number === number)?.late;
          if (moreEachDay !== null) expect(lateWith(jobs, moreEachDay)).toBe(0);
          const less = (fewer?.pieces ?? 0) * 7;
          expect(
            lateWith(
              jobs.map((each) =>
                each.number === number ? { ...each, minutes: Math.max(0, each.minutes - less) } : each,
              ),
            ),
          ).toBe(0);
          for (const other of after) expect(lateWith(jobs.filter((each) => each.number !== other))).toBe(0);
        }
      }),
      { numRuns: 150 },
    );
  });
});
