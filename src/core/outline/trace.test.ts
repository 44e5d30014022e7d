import fc from 'fast-check';
import { expectOk } from '../result';
import { perimeterOf } from './outline';
import { outlineOf } from '../stone/outlineOf';
import { parsePoints, printPoints } from './points';
import { traceOutline } from './trace';

const circle = (count: number, radius: number, x = 300, y = 200) =>
  Array.from({ length: count }, (_, index) => ({
    x: x + radius * Math.cos((2 * Math.PI * index) / count),
    y: y + radius * Math.sin((2 * Math.PI * index) / count),
  }));

it('a circle traced over a photograph is as large as its scale says', () => {
  // 100 units of the photograph are 20 mm: a circle of radius 50 is 20 mm across.
  const scale = { from: { x: 0, y: 10 }, to: { x: 100, y: 10 }, length: 20 };
  const traced = expectOk(traceOutline(circle(24, 50), scale));
  expect(traced.length).toBeCloseTo(20, 2);
  expect(traced.width).toBeCloseTo(20, 2);
  const outline = expectOk(outlineOf({ outline: 'freeform', ...traced }));
  expect(perimeterOf(outline) / (20 * Math.PI)).toBeCloseTo(1, 2);
});

it('twice as large in the photograph at half the scale is the same stone', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 60 }),
      fc.double({ min: 5, max: 80, noNaN: true }),
      (count, radius) => {
        const one = traceOutline(circle(count, radius), {
          from: { x: 0, y: 0 },
          to: { x: 10, y: 0 },
          length: 3,
        });
        const two = traceOutline(circle(count, 2 * radius, 0, 0), {
          from: { x: 0, y: 0 },
          to: { x: 0, y: 20 },
          length: 3,
        });
        const [a, b] = [expectOk(one), expectOk(two)];
        expect(b.length).toBeCloseTo(a.length, 2);
        for (const [index, { x, y }] of a.points.entries()) {
          expect(b.points[index]?.x).toBeCloseTo(x, 2);
          expect(b.points[index]?.y).toBeCloseTo(y, 2);
        }
        expect(expectOk(parsePoints(printPoints(a.points)))).toEqual(
          a.points.map(({ x, y }) => ({ x: x + 0, y: y + 0 })),
        );
      },
    ),
  );
});

it('says what makes no outline', () => {
  const scale = { from: { x: 0, y: 0 }, to: { x: 10, y: 0 }, length: 3 };
  const error = (read: { ok: boolean; error?: string }) => (read.ok ? '' : read.error);
  expect(error(traceOutline(circle(2, 5), scale))).toMatch(/2 points were set; 3 to 200/);
  expect(error(traceOutline(circle(9, 5), { ...scale, to: scale.from }))).toMatch(/two different places/);
  expect(error(parsePoints('1,2 3,x 4,5'))).toMatch(/“3,x” is no point/);
  expect(error(parsePoints('1,2 3,4'))).toMatch(/There are 2 points/);
});
