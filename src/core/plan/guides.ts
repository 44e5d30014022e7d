import { bodySeen } from '../drawing/bodySeen';
import { nearestOn } from '../geometry/onLine';
import type { Path } from '../geometry/path';
import { vec3 } from '../geometry/vec3';
import { distance, minus, plus, scaled, vec, type Vec } from '../geometry/vector';
import type { RunPiece } from '../piece/run';
import type { RunCourse } from '../piece/steps';

/** Something that a wire is led along: a line in the paper, and how far from it the wire lies, mm, from middle to line; 0 on it. */
export interface Guide {
  /** “at the edge of the stone”, “beside frame wire 1”. */
  readonly said: string;
  readonly line: Path;
  readonly off: number;
}

/** A place that a point is drawn to, and what it lies at then. */
export interface DrawnTo {
  readonly at: Vec;
  readonly said: string;
}

const flat = (path: readonly Vec[]): Path => path.map(({ x, y }) => vec3(x, y));

/**
 * What a line of a piece is led along: the edges of its stones and its wires, side by side with them, and its wires as they lie on the other side.
 * @param isOwn whether a course is of the line itself
 * @param thick how thick the wire of the line is, mm
 * @param middle the line between both sides of the piece, mm from left to right
 */
export function guidesOf(
  { wires, bodies }: RunPiece,
  isOwn: (course: RunCourse) => boolean,
  thick: number,
  middle: number,
): readonly Guide[] {
  const edges = bodies.map((body): Guide => {
    const { points } = bodySeen(body, 'front');
    return {
      said: `at the edge of the ${body.kind === 'bead' ? 'bead' : 'stone'}`,
      line: flat([...points, ...points.slice(0, 1)]),
      off: thick / 2,
    };
  });
  const courses = wires.flatMap(({ wire, first, second }) =>
    [...first, ...second]
      .filter((course) => course.path.length > 1 && !isOwn(course))
      .map(({ path }) => ({ name: wire.name, width: wire.size.width, line: flat(path) })),
  );
  return [
    ...edges,
    ...courses.map(({ name, width, line }) => ({ said: `beside ${name}`, line, off: (thick + width) / 2 })),
    ...courses.map(({ name, line }) => ({
      said: `opposite ${name}`,
      line: line.map(({ x, y }) => vec3(2 * middle - x, y)),
      off: 0,
    })),
  ];
}

/**
 * Where a point is drawn to, when something is near that a wire is led along.
 * @param reach it is drawn no farther than this, mm
 */
export function drawnTo(point: Vec, guides: readonly Guide[], reach: number): DrawnTo | undefined {
  let [found, least]: [DrawnTo | undefined, number] = [undefined, reach];
  for (const { line, off, said } of guides) {
    const { at, far } = nearestOn(line, vec3(point.x, point.y));
    const place = vec(at.x, at.y);
    // On the line itself nobody knows to which side of it.
    if (off > 0 && far === 0) continue;
    const led = off > 0 ? plus(place, scaled(minus(point, place), off / far)) : place;
    const moved = distance(led, point);
    if (moved < least) [found, least] = [{ at: led, said }, moved];
  }
  return found;
}
