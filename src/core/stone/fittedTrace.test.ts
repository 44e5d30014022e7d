import fc from 'fast-check';
import { vec } from '../geometry/vector';
import { expectOk } from '../result';
import { mm } from '../units/length';
import { fittedTrace } from './fittedTrace';
import { stoneTexts } from './stone';

const pebble = { outline: 'freeform', length: mm(31), width: mm(22) } as const;
/** A blunt triangle of so much across and so much high, somewhere on its photograph. */
const traced = (wide: number, high: number, x = 0, y = 0) =>
  [vec(0, 0), vec(0.4, -0.1), vec(1, 0.3), vec(0.8, 0.9), vec(0.2, 0.8)].map((point) =>
    vec(x + point.x * wide, y + (point.y + 0.1) * high),
  );

it('is as long and as wide as the calliper says, its middle in the middle, whatever the photograph was off', () => {
  const off = fc.double({ min: 0.9, max: 1.1, noNaN: true });
  const place = fc.double({ min: -90, max: 90, noNaN: true });
  fc.assert(
    fc.property(off, off, place, place, (across, along, x, y) => {
      const points = expectOk(fittedTrace(traced(22 * across, 31 * along, x, y), pebble));
      const [xs, ys] = [points.map((point) => point.x), points.map((point) => point.y)];
      expect(Math.max(...xs)).toBeCloseTo(11, 2);
      expect(Math.min(...xs)).toBeCloseTo(-11, 2);
      expect(Math.max(...ys)).toBeCloseTo(15.5, 2);
      expect(Math.min(...ys)).toBeCloseTo(-15.5, 2);
    }),
  );
});

it.each([
  ['half as large', traced(11, 15.5)],
  ['lying on its side', traced(31, 22)],
  ['a line', [vec(0, 0), vec(5, 0), vec(10, 0)]],
])('one that is %s is refused, with both sizes', (_, points) => {
  const fitted = fittedTrace(points, pebble);
  expect(fitted.ok ? '' : fitted.error).toMatch(
    /^By the photograph it is .* mm, by the calliper 31\.0 × 22\.0 mm: /,
  );
});

it('a stone of a known outline is not traced', () => {
  const fitted = fittedTrace(traced(22, 31), { ...pebble, outline: 'oval' });
  expect(fitted.ok ? '' : fitted.error).toMatch(/freeform one is traced/);
});

it('goes with the stone into a pattern, and leaves none of another behind', () => {
  const measures = { ...pebble, edge: mm(2), depth: mm(6) };
  expect(
    stoneTexts({ ...measures, traced: [vec(-11, 0), vec(0, -15.5), vec(11, 15.5)] })['stone.points'],
  ).toBe('-11,0 0,-15.5 11,15.5');
  expect(stoneTexts(measures)['stone.points']).toBe('');
});
