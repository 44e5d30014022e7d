/** How far a point lies off the straight way between two others. */
export type Off<P> = (point: P, first: P, last: P) => number;

/**
 * A line without the points that nobody would miss: what is left out strays less than so much from the straight way between its neighbours that
 * are left (Ramer, 1972; Douglas and Peucker, 1973).
 */
export function thinned<P>(points: readonly P[], stray: number, off: Off<P>): readonly P[] {
  const [first, last] = [points[0], points.at(-1)];
  if (points.length < 3 || first === undefined || last === undefined) return points;
  const kept = [0];
  keepBetween(points, 0, points.length - 1, stray, off, kept);
  return kept.map((index) => points[index] as P);
}

/** Adds the places of points that are kept after one and as far as another. */
function keepBetween<P>(
  points: readonly P[],
  from: number,
  to: number,
  stray: number,
  off: Off<P>,
  kept: number[],
): void {
  const [first, last] = [points[from] as P, points[to] as P];
  let [farthest, most] = [from, -1];
  for (let index = from + 1; index < to; index += 1) {
    const strays = off(points[index] as P, first, last);
    if (strays > most) [farthest, most] = [index, strays];
  }
  if (most > stray) {
    keepBetween(points, from, farthest, stray, off, kept);
    keepBetween(points, farthest, to, stray, off, kept);
  } else kept.push(to);
}
