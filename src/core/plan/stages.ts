import { lengthOfPath, type Path } from '../geometry/path';
import { minus3, plus3, scaled3, unit3 } from '../geometry/vec3';
import type { Side } from '../piece/piece';
import type { RunCourse, RunPiece, RunWire } from '../piece/run';
import { joined, pathOfCourses } from '../piece/steps';
import type { PlannedStep } from '../technique/technique';

/** The piece as it is when a step is done. */
export interface Stage {
  /** The id of the step. */
  readonly step: string;
  readonly run: RunPiece;
}

/** What an act adds to a piece that was there before. */
export interface StagesTold {
  /** The steps of the act, in the order of the work. */
  readonly steps: readonly PlannedStep[];
  /** The piece when the act is done. */
  readonly run: RunPiece;
  /** What its own bodies’ ids begin with; nothing for a technique that stands alone. */
  readonly own: string;
  /** How many courses a hand had before the act. */
  readonly before: (wire: string, side: Side) => number;
  /** How much of a hand stays in the piece in the end, mm. */
  readonly whole: (wire: string, side: Side) => number;
}

/** How much of an end that is still to be worked is shown, mm. */
const END_SHOWN = 14;

/**
 * The piece after every step of an act that changes what is seen of it. What no step is told to make is there from the first on; an end that
 * is still to be worked goes straight on from where its wire has come to.
 */
export function stagesOf({ steps, run, own, before, whole }: StagesTold): readonly Stage[] {
  const telling = steps.filter(({ makes = [] }) => makes.length > 0);
  const last = telling.at(-1) ?? steps.at(-1);
  if (!last) return [];
  return (telling.length > 0 ? telling : [last]).map(({ id }): Stage => {
    const done = steps.findIndex((step) => step.id === id);
    const later = new Later(steps.slice(done + 1).flatMap(({ makes = [] }) => makes));
    const handOf = (wire: RunWire, side: Side): readonly RunCourse[] => {
      const kept = madeSoFar(wire, side, later, before(wire.wire.id, side));
      const long = kept.reduce((sum, { length }) => sum + length, 0);
      return withEnd(kept, Math.min(END_SHOWN, whole(wire.wire.id, side) - long));
    };
    const wires = run.wires.flatMap((wire): RunWire[] => {
      if (later.hasNamed(wire.wire.name) && before(wire.wire.id, 'first') === 0) return [];
      const [first, second] = [handOf(wire, 'first'), handOf(wire, 'second')];
      if (first.length + second.length === 0) return [];
      const back = [...pathOfCourses(second)].reverse();
      const path = joined([back, ...(wire.between ? [wire.between.path] : []), pathOfCourses(first)]);
      return [{ ...wire, first, second, path }];
    });
    const bodies = run.bodies.filter(
      ({ id }) => !(id.startsWith(own) && later.hasBody(id.slice(own.length))),
    );
    return { step: id, run: { wires, bodies } };
  });
}

/** What later steps make. */
class Later {
  constructor(private readonly makes: readonly string[]) {}

  has = (id: string): boolean => this.makes.includes(id);

  /** Whether something of a name is among it, whatever number of it there is. */
  hasNamed = (name: string): boolean =>
    this.makes.some((each) => name === each || (each.includes(' ') && name.endsWith(` ${each}`)));

  /** Whether a body is among it, or the row of alike ones that it is of. */
  hasBody = (id: string): boolean => this.makes.some((each) => id === each || id.startsWith(`${each} `));
}

/** The courses of a hand as far as what is made later: what it did before the act, and of the act what stands before that. */
function madeSoFar(wire: RunWire, side: Side, later: Later, before: number): readonly RunCourse[] {
  let told = 0;
  const courses = wire[side];
  const until = courses.findIndex(({ course, name }) => {
    if (!course) return false;
    told += 1;
    return told > before && (later.hasNamed(name) || later.has(course.id ?? name));
  });
  if (until < 0) return courses;
  // The way that leads to what is made later is not there either.
  const kept = courses.slice(0, until);
  return kept.at(-1)?.course === undefined ? kept.slice(0, -1) : kept;
}

/** With what of its end is shown, straight on. */
function withEnd(courses: readonly RunCourse[], long: number): readonly RunCourse[] {
  const line = courses.findLast(({ path }) => lengthOfPath(path) > 0)?.path;
  const [at, near] = [line?.at(-1), line?.at(-2)];
  if (long < 0.05 || !at || !near) return courses;
  const path: Path = [at, plus3(at, scaled3(unit3(minus3(at, near)), long))];
  return [...courses, { name: 'still to be worked', length: long, path, course: undefined }];
}
