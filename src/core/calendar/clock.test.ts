import { clockDoubt } from './clock';

const last = new Date('2026-03-01T12:00:00Z');

it.each([
  ['2026-03-01T11:00:00Z', undefined],
  ['2026-03-01T10:59:59Z', 'behind'],
  ['1970-01-01T00:00:00Z', 'behind'],
  ['2026-08-28T12:00:00Z', undefined],
  ['2026-08-28T12:00:01Z', 'ahead'],
  ['2099-01-01T00:00:00Z', 'ahead'],
])('a clock at %s after a posting at noon on 1 March is %s', (clock, is) => {
  expect(clockDoubt(new Date(clock), last)?.is).toBe(is);
});
