import fc from 'fast-check';
import { insideOutline } from './insideOutline';

const circle = (count: number) =>
  Array.from({ length: count }, (_, index) => ({
    x: 5 * Math.cos((2 * Math.PI * index) / count),
    y: 5 * Math.sin((2 * Math.PI * index) / count),
  }));

it('says how far a point is inside of a line, and outside of it', () => {
  const round = circle(720);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 9, noNaN: true }),
      fc.double({ min: 0, max: 7, noNaN: true }),
      (off, angle) => {
        const inside = insideOutline(round, off * Math.cos(angle), off * Math.sin(angle));
        expect(Math.abs(inside - (5 - off))).toBeLessThan(0.01);
      },
    ),
  );
  expect(insideOutline([], 0, 0)).toBe(-Infinity);
});

it('is not blinded by points that stand twice, as at the tips of a bead', () => {
  const [first, ...others] = circle(90);
  if (!first) throw new Error('a circle has points');
  const doubled = [first, first, ...others, others.at(-1) ?? first];
  for (const [x, y] of [
    [0, 0],
    [3, 1],
    [-4.5, 0.5],
    [6, 2],
  ] as const)
    expect(insideOutline(doubled, x, y)).toBeCloseTo(insideOutline([first, ...others], x, y), 9);
});
