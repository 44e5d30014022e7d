import { cross, minus, type Vec } from './vector';

/** On which side of a line a point lies: positive, negative, or nought on it. */
const side = (from: Vec, to: Vec, point: Vec): number => cross(minus(to, from), minus(point, from));

/** Whether two pieces of line cross each other, each through the other's inside. */
function cuts(a: Vec, b: Vec, c: Vec, d: Vec): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/**
 * Where a closed line of points crosses itself.
 * @returns the numbers of the first two pieces that cross, each from its point to the next; undefined when none do
 * @example selfCrossing([{ x: 0, y: 0 }, { x: 1, y: 1 }, { x: 1, y: 0 }, { x: 0, y: 1 }]) // [0, 2]
 */
export function selfCrossing(points: readonly Vec[]): readonly [number, number] | undefined {
  const at = (index: number): Vec => points[index % points.length] as Vec;
  for (let first = 0; first < points.length; first += 1)
    for (let second = first + 2; second < points.length; second += 1) {
      if (first === 0 && second === points.length - 1) continue;
      if (cuts(at(first), at(first + 1), at(second), at(second + 1))) return [first, second];
    }
  return undefined;
}
