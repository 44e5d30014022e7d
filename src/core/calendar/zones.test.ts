import { isDay } from '@/core/calendar/day';
import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import fc from 'fast-check';
import { day, dayIn, daysBetween, daysLater, isZone, sayDay, sayMoment, sayWeekday } from './day';

describe('a day in a time zone', () => {
  // By hand: Auckland is 12 hours ahead of universal time in winter and 13 in summer, Los Angeles 8 behind and 7; New Zealand’s summer
  // time of 2026 ends on 5 April, that of the United States begins on 8 March (published dates).
  it.each([
    ['Pacific/Auckland', '2026-05-31T13:00:00Z', '2026-06-01', '1 Jun 2026, 01:00'],
    ['Pacific/Auckland', '2026-05-31T11:59:00Z', '2026-05-31', '31 May 2026, 23:59'],
    ['Pacific/Auckland', '2026-04-04T12:30:00Z', '2026-04-05', '5 Apr 2026, 01:30'],
    ['Pacific/Auckland', '2026-04-05T11:30:00Z', '2026-04-05', '5 Apr 2026, 23:30'],
    ['America/Los_Angeles', '2026-06-01T06:59:00Z', '2026-05-31', '31 May 2026, 23:59'],
    ['America/Los_Angeles', '2026-03-08T09:30:00Z', '2026-03-08', '8 Mar 2026, 01:30'],
    ['America/Los_Angeles', '2026-03-08T10:00:00Z', '2026-03-08', '8 Mar 2026, 03:00'],
    ['UTC', '2026-12-31T23:59:59Z', '2026-12-31', '31 Dec 2026, 23:59'],
    ['UTC', '2027-01-01T00:00:00Z', '2027-01-01', '1 Jan 2027, 00:00'],
  ])('in %s %s is %s', (zone, at, day, said) => {
    expect(dayIn(zone, new Date(at))).toBe(day);
    expect(sayMoment(zone, new Date(at), 'day')).toBe(said);
  });

  it.each([
    ['Pacific/Auckland', true],
    ['America/Argentina/Buenos_Aires', true],
    ['UTC', true],
    ['Middle/Earth', false],
    ['', false],
    [`'; DROP TABLE`, false],
  ])('“%s” is a zone: %s', (zone, is) => expect(isZone(zone)).toBe(is));
});

describe('days', () => {
  const days = fc
    .date({
      min: new Date('2000-01-01T00:00:00Z'),
      max: new Date('2099-12-31T00:00:00Z'),
      noInvalidDate: true,
    })
    .map((at) => day(at.toISOString().slice(0, 10)));

  // Against date-fns, the reference library.
  it('are counted and written as date-fns does', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: -4000, max: 4000 }), (from, ahead) => {
        const at = parseISO(from);
        expect(daysLater(from, ahead)).toBe(format(addDays(at, ahead), 'yyyy-MM-dd'));
        expect(daysBetween(from, daysLater(from, ahead))).toBe(ahead + 0);
        expect(daysBetween(from, daysLater(from, ahead))).toBe(
          differenceInCalendarDays(addDays(at, ahead), at) + 0,
        );
        expect(sayDay(from, 'day')).toBe(format(at, 'd MMM yyyy'));
        expect(sayDay(from, 'month')).toBe(format(at, 'MMM d, yyyy'));
        expect(sayDay(from, 'year')).toBe(format(at, 'yyyy MMM d'));
        expect(sayWeekday(from, 'month')).toBe(format(at, 'EEE MMM d'));
        expect(sayWeekday(from, 'day')).toBe(format(at, 'EEE d MMM'));
      }),
    );
  });

  it('that are none are refused', () => {
    expect(() => day('2026-02-30')).toThrow('2026-02-30 is no day');
    expect(['soon', '2026-2-3', '2026-02-29', ' 2026-02-28'].filter(isDay)).toEqual([]);
  });
});
