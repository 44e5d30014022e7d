import { lengthOfPath, type Path } from './path';
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
export const finely = (path: Path, apart: number): Path =>
  path.flatMap((to, index) => {
    const from = path[index - 1];
    if (!from) return [to];
    const parts = Math.max(1, Math.ceil(distance3(from, to) / apart));
    return Array.from({ length: parts }, (_, part) => between3(from, to, (part + 1) / parts));
  });
