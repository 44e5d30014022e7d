import { lengthOfPath, type Path, type Vec3 } from './path';
import { between3, distance3 } from './vec3';

/** How long a line is before each of its points, mm. */
export function lengthsAlong(path: Path): readonly number[] {
  let sum = 0;
  return path.map((at, index) => {
    const before = path[index - 1];
    if (before) sum += lengthOfPath([before, at]);
    return sum;
  });
}

/** A line with points no farther from one another than they are told, mm. */
export function finely(path: Path, apart: number): Path {
  const points: Vec3[] = [];
  path.forEach((to, index) => {
    const from = path[index - 1];
    const parts = from ? Math.max(1, Math.ceil(distance3(from, to) / apart)) : 1;
    for (let part = 1; from && part < parts; part += 1) points.push(between3(from, to, part / parts));
    points.push(to);
  });
  return points;
}
