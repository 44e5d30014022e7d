import { readDaysOff } from './readDaysOff';

it.each<[typed: string, order: 'day' | 'month' | 'year', days: string[]]>([
  ['2026-12-24\n2026-12-25', 'day', ['2026-12-24', '2026-12-25']],
  ['2026-12-24, 2026-12-25', 'month', ['2026-12-24', '2026-12-25']],
  ['24 Dec 2026; Dec 25, 2026', 'day', ['2026-12-24', '2026-12-25']],
  // Only one reading: the same in every studio.
  ['24.12.2026', 'month', ['2026-12-24']],
  ['12/24/2026', 'day', ['2026-12-24']],
  // Two readings: the studio's own.
  ['5/6/2026', 'day', ['2026-06-05']],
  ['5/6/2026', 'month', ['2026-05-06']],
  ['', 'day', []],
])('%j where the %s comes first', (typed, order, days) => {
  expect(readDaysOff(typed)).toMatchObject({ ok: true, value: { [order]: days } });
});

it.each(['31 Feb 2026', 'soon', '32/13/2026', 'x'.repeat(5000)])('%.20s is no day', (typed) => {
  const read = readDaysOff(typed);
  expect(read.ok ? '' : read.error).toMatch(/is not a day; write each like/);
});
