import type { Path, Vec3 } from '../geometry/path';
import type { PlannedPiece } from '../technique/planActs';

/** What is said of a piece, and the places on it that it is said of. */
export interface Remark {
  readonly said: string;
  readonly at: readonly Vec3[];
}

/** Remarks as they are read, without their places. */
export const saidIn = (remarks: readonly Remark[]): readonly string[] => remarks.map(({ said }) => said);

/** Where a use of a piece lies in it: its courses, of all wires. */
export const linesOfUse = ({ run, by }: Pick<PlannedPiece, 'run' | 'by'>, use: string): readonly Path[] =>
  run.wires.flatMap(({ first, second }) =>
    [...first, ...second].flatMap(({ course, path }) =>
      course && by.get(course) === use && path.length > 1 ? [path] : [],
    ),
  );
