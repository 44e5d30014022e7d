import type { Path } from '../geometry/path';
import type { Course } from '../piece/piece';
import type { RunWire } from '../piece/run';

/** Whether a course lies in a hole, where nobody sees it. */
export const isInHole = (course: Course | undefined): boolean =>
  course?.isHidden === true ||
  course?.kind === 'threaded' ||
  (course?.kind === 'beside' && course.does === 'through');

/** What of a wire is seen: its line without what lies in the holes of beads. */
export function wireSeen({ first, second, between }: RunWire): readonly Path[] {
  const courses = [
    ...[...second].reverse().map(({ path, course }) => ({ course, path: [...path].reverse() })),
    ...(between ? [between] : []),
    ...first,
  ];
  return courses.reduce<{ readonly paths: readonly Path[]; readonly isBroken: boolean }>(
    ({ paths, isBroken }, { course, path }) => {
      if (isInHole(course)) return { paths, isBroken: true };
      if (path.length < 2) return { paths, isBroken };
      const last = paths.at(-1);
      return last && !isBroken
        ? { paths: [...paths.slice(0, -1), [...last, ...path.slice(1)]], isBroken }
        : { paths: [...paths, path], isBroken: false };
    },
    { paths: [], isBroken: false },
  ).paths;
}
