import { formatISO, isValid, parseISO } from 'date-fns';
import fc from 'fast-check';
import { isDay, parseDay } from './day';

it.each(['2026-02-31', '2026-02-29', '2026-13-01', '2026-00-10', '26-05-21', '2026-5-21', '2026-05-21T', ''])(
  '%p is no day',
  (text) => expect(parseDay(text)).toBeUndefined(),
);

it('agrees with a library (date-fns) on every text of the shape', () => {
  const part = (most: number) =>
    fc.integer({ min: 0, max: most }).map((value) => String(value).padStart(2, '0'));
  fc.assert(
    fc.property(fc.integer({ min: 1000, max: 2999 }), part(14), part(33), (year, month, day) => {
      const text = `${year}-${month}-${day}`;
      const known = parseISO(text);
      expect(isDay(text)).toBe(isValid(known) && formatISO(known, { representation: 'date' }) === text);
      if (isDay(text)) expect(parseDay(text)?.toISOString()).toBe(`${text}T00:00:00.000Z`);
    }),
    { numRuns: 2000 },
  );
});
