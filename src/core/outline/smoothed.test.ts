import { distance, vec, type Vec } from '../geometry/vector';
import { smoothed } from './smoothed';

/** A closed line whose points lie so far from a middle. */
const about = (count: number, radiusAt: (angle: number, index: number) => number): readonly Vec[] =>
  Array.from({ length: count }, (_, index) => {
    const angle = (2 * Math.PI * index) / count;
    const radius = radiusAt(angle, index);
    return vec(radius * Math.cos(angle), radius * Math.sin(angle));
  });
const radii = (line: readonly Vec[]): readonly number[] => line.map((point) => distance(point, vec(0, 0)));

it('a circle stays as large as it is', () => {
  for (const radius of radii(smoothed(about(40, () => 12)))) expect(radius / 12).toBeCloseTo(1, 3);
});

it('a broad hollow stays, the tremble of a hand goes', () => {
  const kidney = about(48, (angle) => 12 + 2 * Math.cos(2 * angle));
  for (const [index, radius] of radii(smoothed(kidney)).entries())
    expect(Math.abs(radius - (radii(kidney)[index] ?? 0))).toBeLessThan(0.05);
  const trembling = about(48, (_, index) => 12 + (index % 2 === 0 ? 0.3 : -0.3));
  for (const radius of radii(smoothed(trembling))) expect(Math.abs(radius - 12)).toBeLessThan(0.05);
});

it('what has fewer points than a hand trembles between stays as it was set', () => {
  const square = [vec(0, 0), vec(4, 0), vec(4, 4), vec(0, 4)];
  expect(smoothed(square)).toEqual(square);
});
