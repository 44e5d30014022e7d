import type { Piece, PieceWire, Side } from '../piece/piece';
import { runPiece, type RunCourse, type RunPiece, type RunWire } from '../piece/run';
import { ok, type Result } from '../result';
import { allowance, net, type Mark, type PlannedCut, type Term } from './technique';

/** A piece that was run, and the cuts that come of it: one for each physical wire, alike ones together. */
export interface CutPiece {
  readonly run: RunPiece;
  readonly cuts: readonly PlannedCut[];
}

/** What happens where a course of a hand begins, for the marks of its cut. */
export interface MarkedCourse {
  readonly wire: string;
  readonly side: Side;
  /** The name of the course. */
  readonly at: string;
  readonly what: string;
}

interface Told {
  /** The wire parameter that each wire of the piece is cut from. */
  readonly parameters: Readonly<Record<string, string>>;
  /** What the place is from which a wire is worked both ways. */
  readonly middle?: string;
  readonly marked?: readonly MarkedCourse[];
  /** The hand from whose end marks are measured; the second when it is not told. */
  readonly measuredFrom?: Side;
  /** What its tails are called. */
  readonly tails?: string;
}

/** Runs a piece, and reads its cuts off it: what each wire takes by its courses, where its marks lie, and how it goes. */
export function cutsOfPiece(piece: Piece, told: Told): Result<CutPiece> {
  const run = runPiece(piece);
  if (!run.ok) return run;
  const cuts = run.value.wires.map((wire) => cutOfWire(wire, told));
  const grouped = cuts.reduce<PlannedCut[]>((all, cut) => {
    const alike = all.findIndex((each) => isAlike(each, cut));
    const there = all[alike];
    if (!there) return [...all, cut];
    const more = { ...there, count: there.count + 1, places: [...(there.places ?? []), ...cut.drawn] };
    return all.map((each, index) => (index === alike ? more : each));
  }, []);
  return ok({ run: run.value, cuts: grouped });
}

const isAlike = (a: PlannedCut, b: PlannedCut): boolean =>
  a.name === b.name &&
  a.wire === b.wire &&
  a.terms.length === b.terms.length &&
  a.terms.every(({ name, length }, index) => {
    const other = b.terms[index];
    return other?.name === name && Math.abs(other.length - length) < 1e-6;
  });

function cutOfWire(
  run: RunWire,
  { parameters, middle, marked = [], measuredFrom = 'second', tails = 'handling tails' }: Told,
): PlannedCut {
  const { wire, first, second, between, path } = run;
  const lengths = new Map<string, number>();
  for (const { name, length } of namedCourses([...first, ...(between ? [between] : []), ...second], wire))
    lengths.set(name, (lengths.get(name) ?? 0) + length);
  const terms: Term[] = [...lengths].map(([name, length]) => net(name, length));
  const trimmed = wire.tails.first + wire.tails.second;
  const begun = wire.tails.second + second.reduce((sum, { length }) => sum + length, 0);
  const whole = run.cut;
  const fromLeft = ({ at, what }: Mark): Mark => ({ at: measuredFrom === 'first' ? whole - at : at, what });
  const marks = [
    ...(middle === undefined ? [] : [{ at: begun, what: middle }]),
    ...marked.flatMap((mark) => (mark.wire === wire.id ? markAt(run, mark, begun) : [])),
  ]
    .map(fromLeft)
    .sort((a, b) => a.at - b.at);
  return {
    name: wire.name,
    wire: parameters[wire.id] ?? wire.id,
    count: 1,
    terms: [...terms, ...(trimmed > 0 ? [allowance(tails, trimmed)] : [])],
    marks,
    drawn: [path],
  };
}

/** A way that is shorter than this, in thicknesses of its wire, counts with the course that it leads to. */
const SHORT = 6;

/** Courses by what their term is called. */
function namedCourses(courses: readonly RunCourse[], { size }: PieceWire): readonly RunCourse[] {
  return courses.map((course, index) => {
    const next = courses[index + 1];
    return course.course === undefined && next && course.length < SHORT * size.width
      ? { ...course, name: next.name }
      : course;
  });
}

function markAt(
  { first, second, between }: RunWire,
  { side, at, what }: MarkedCourse,
  begun: number,
): Mark[] {
  const courses = side === 'first' ? first : second;
  const index = courses.findIndex(({ name }) => name === at);
  if (index < 0) return [];
  const before = courses.slice(0, index).reduce((sum, { length }) => sum + length, 0);
  const start = side === 'first' ? begun + (between?.length ?? 0) + before : begun - before;
  return [{ at: start, what }];
}
