import { bodySeen } from '../drawing/bodySeen';
import type { Path } from '../geometry/path';
import { distance, minus, plus, scaled, vec, type Vec } from '../geometry/vector';
import type { RunPiece } from '../piece/run';
import type { RunCourse } from '../piece/steps';

/** Something that a wire is led along: a line in the paper, and how far from it the wire lies, mm, from middle to line; 0 on it. */
export interface Guide {
  /** “at the edge of the stone”, “beside frame wire 1”. */
  readonly said: string;
  readonly line: readonly Vec[];
  readonly off: number;
}

/** A place that a point is drawn to, and what it lies at then. */
export interface DrawnTo {
  readonly at: Vec;
  readonly said: string;
}

const flat = (path: Path): readonly Vec[] => path.map(({ x, y }) => vec(x, y));

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
      line: [...points, ...points.slice(0, 1)],
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
      line: line.map(({ x, y }) => vec(2 * middle - x, y)),
      off: 0,
    })),
  ];
}

/** The nearest place of a line to a point. */
function nearest(line: readonly Vec[], to: Vec): Vec | undefined {
  let [found, least]: [Vec | undefined, number] = [line[0], Infinity];
  line.slice(1).forEach((next, index) => {
    const from = line[index] as Vec;
    const way = minus(next, from);
    const square = way.x ** 2 + way.y ** 2;
    const off = minus(to, from);
    const part = square > 0 ? Math.min(1, Math.max(0, (off.x * way.x + off.y * way.y) / square)) : 0;
    const place = plus(from, scaled(way, part));
    const far = distance(place, to);
    if (far < least) [found, least] = [place, far];
  });
  return found;
}

/**
 * Where a point is drawn to, when something is near that a wire is led along.
 * @param reach it is drawn no farther than this, mm
 */
export function drawnTo(point: Vec, guides: readonly Guide[], reach: number): DrawnTo | undefined {
  let [found, least]: [DrawnTo | undefined, number] = [undefined, reach];
  for (const { line, off, said } of guides) {
    const place = nearest(line, point);
    const far = place ? distance(place, point) : 0;
    // On the line itself nobody knows to which side of it.
    if (!place || (off > 0 && far === 0)) continue;
    const at = off > 0 ? plus(place, scaled(minus(point, place), off / far)) : place;
    const moved = distance(at, point);
    if (moved < least) [found, least] = [{ at, said }, moved];
  }
  return found;
}
