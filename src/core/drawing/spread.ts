import { distance, vec, type Vec } from '../geometry/vector';

/** Marks nearer to one another than so many radii lie on one another for a finger. */
const [ONE, APART] = [1.8, 2.1];

/**
 * Marks that are to be told apart though what they mark lies at one place, or one behind the other: they stand in a row across that place, in the
 * order that they lie there.
 * @param places where they would stand
 * @param radius of a mark
 * @returns where they stand, in the same order
 */
export function spread(places: readonly Vec[], radius: number): readonly Vec[] {
  const groups: number[][] = [];
  for (const [index, place] of places.entries()) {
    const near = groups.find((group) => distance(places[group[0] as number] as Vec, place) < ONE * radius);
    if (near) near.push(index);
    else groups.push([index]);
  }
  const spreadTo = [...places];
  for (const group of groups) {
    const mean = (of: (place: Vec) => number) =>
      group.reduce((sum, index) => sum + of(places[index] as Vec), 0) / group.length;
    const middle = vec(
      mean(({ x }) => x),
      mean(({ y }) => y),
    );
    const inOrder = [...group].sort((a, b) => (places[a] as Vec).x - (places[b] as Vec).x);
    if (group.length > 1)
      for (const [at, index] of inOrder.entries())
        spreadTo[index] = vec(middle.x + (at - (group.length - 1) / 2) * APART * radius, middle.y);
  }
  return spreadTo;
}
