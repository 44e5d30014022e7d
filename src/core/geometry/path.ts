/** A point in space, mm: x to the right and y down as on the paper, z towards the eye. */
export interface Vec3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The centre line of a wire as it is drawn: points close enough together to measure it by. */
export type Path = readonly Vec3[];

/** Length of a path as it is drawn, mm. */
export function lengthOfPath(path: Path): number {
  let sum = 0;
  let before = path[0];
  if (!before) return 0;
  for (const point of path) {
    const x = point.x - before.x;
    const y = point.y - before.y;
    const z = point.z - before.z;
    sum += Math.sqrt(x * x + y * y + z * z);
    before = point;
  }
  return sum;
}
