import { distance, vec } from '../geometry/vector';
import { spread } from './spread';

describe('marks on a picture', () => {
  it('stay where they are when a finger can tell them apart', () => {
    const apart = [vec(0, 0), vec(10, 0), vec(0, 10)];
    expect(spread(apart, 2)).toEqual(apart);
  });

  it('of what lies at one place stand in a row across it, in the order that they lie there', () => {
    // Six ends of a bundle: three behind one another on each side.
    const ends = [vec(-0.4, 5), vec(0.4, 5), vec(-0.4, 5), vec(0.4, 5), vec(-0.4, 5), vec(0.4, 5), vec(9, 5)];
    const marks = spread(ends, 1);
    for (const [index, mark] of marks.entries())
      for (const other of marks.slice(index + 1)) expect(distance(mark, other)).toBeGreaterThan(2);
    const [left, right] = [
      [0, 2, 4],
      [1, 3, 5],
    ].map((side) => side.map((index) => marks[index]?.x ?? NaN));
    expect(Math.max(...(left ?? []))).toBeLessThan(Math.min(...(right ?? [])));
    expect(marks.slice(0, 6).reduce((sum, { x }) => sum + x, 0)).toBeCloseTo(0, 9);
    expect(marks[6]).toEqual(vec(9, 5));
  });
});
