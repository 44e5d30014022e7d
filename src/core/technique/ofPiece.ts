import type { Piece, PieceWire, Side } from '../piece/piece';
import { runPiece, type RunCourse, type RunPiece, type RunWire } from '../piece/run';
import { ok, type Result } from '../result';
import { allowance, cutOf, net, type Mark, type PlannedCut, type Term } from './technique';

/** A piece that was run, and the cuts that come of it: one for each physical wire, alike ones together; what is made of the rest of a cut is part of it. */
export interface CutPiece {
  readonly run: RunPiece;
  readonly cuts: readonly PlannedCut[];
}

/** What happens where a course of a hand begins, for the marks of its cut. */
export interface MarkedCourse {
  readonly wire: string;
  readonly side: Side;
  /** The id of the course, or its name when it has none; or mm from where the work of the wire begins. */
  readonly at: string | number;
  readonly what: string;
}

interface Told {
  /** What the place is from which a wire is worked both ways; by wire, when they are not all worked from the same. */
  readonly middle?: string | Readonly<Record<string, string>>;
  /** Wires that are there already, and no cuts. */
  readonly given?: readonly string[];
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
  const cuts = run.value.wires
    .filter(({ wire }) => !told.given?.includes(wire.id) && wire.restOf === undefined)
    .map((wire) =>
      run.value.wires
        .filter(({ wire: { restOf } }) => restOf === wire.wire.id)
        .reduce((cut, rest) => withRest(cut, rest, told), cutOfWire(wire, told)),
    );
  return ok({ run: run.value, cuts: alikeTogether(cuts) });
}

/** What wires that are told apart by a number are called together, and the number. */
function numbered(name: string): readonly [together: string, number: string] {
  const [, together = name, number = ''] = /^(.*\S) (\d+)$/.exec(name) ?? [];
  return [together, number];
}

/** Cuts that take the same, once with their count; wires of one name that do not all take the same keep their numbers. */
function alikeTogether(cuts: readonly PlannedCut[]): readonly PlannedCut[] {
  const groups = cuts.reduce<(readonly [PlannedCut, ...PlannedCut[]])[]>((all, cut) => {
    const alike = all.findIndex(([first]) => isAlike(first, cut));
    return alike < 0
      ? [...all, [cut]]
      : all.map((group, index) => (index === alike ? [...group, cut] : group));
  }, []);
  return groups.map((group): PlannedCut => {
    const [first, ...others] = group;
    const [together] = numbered(first.name);
    const isAll = cuts.every((cut) => numbered(cut.name)[0] !== together || group.includes(cut));
    const numbers = [...new Set(group.map(({ name }) => numbered(name)[1]))].join(', ');
    return {
      ...first,
      name: isAll || numbers === '' ? together : `${together} ${numbers}`,
      count: group.length,
      ...(others.length > 0 ? { places: others.flatMap(({ drawn }) => drawn) } : {}),
    };
  });
}

/** Lengths that differ by less than this are cut alike, mm. */
const ALIKE = 0.01;

const isAlike = (a: PlannedCut, b: PlannedCut): boolean =>
  numbered(a.name)[0] === numbered(b.name)[0] &&
  a.wire === b.wire &&
  a.terms.length === b.terms.length &&
  a.terms.every(({ name, length }, index) => {
    const other = b.terms[index];
    return other?.name === name && Math.abs(other.length - length) < ALIKE;
  });

function cutOfWire(
  run: RunWire,
  { middle, marked = [], measuredFrom = 'second', tails = 'handling tails' }: Told,
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
  const what = typeof middle === 'object' ? middle[wire.id] : middle;
  const marks = [
    ...(what === undefined ? [] : [{ at: begun, what }]),
    ...marked.flatMap((mark) => (mark.wire === wire.id ? markAt(run, mark, begun) : [])),
  ]
    .map(fromLeft)
    .sort((a, b) => a.at - b.at);
  return {
    name: wire.name,
    wire: wire.cutFrom,
    count: 1,
    terms: [...terms, ...(trimmed > 0 ? [allowance(tails, trimmed)] : [])],
    marks,
    drawn: [path],
  };
}

/** A cut whose rest is made into another wire: that is cut off behind it. */
function withRest(cut: PlannedCut, rest: RunWire, told: Told): PlannedCut {
  const made = cutOfWire(rest, told);
  const before = cutOf(cut);
  const terms = [...cut.terms, ...made.terms];
  const trimmed = terms.filter(({ kind }) => kind === 'allowance');
  const tails = trimmed.reduce((sum, { length }) => sum + length, 0);
  return {
    ...cut,
    terms: [
      ...terms.filter(({ kind }) => kind === 'net'),
      ...(trimmed[0] ? [allowance(trimmed[0].name, tails)] : []),
    ],
    marks: [
      ...cut.marks,
      { at: before, what: `cut off: the rest is the ${rest.wire.name}` },
      ...made.marks.map(({ at, what }) => ({ at: before + at, what })),
    ],
    drawn: [...cut.drawn, ...made.drawn],
  };
}

/** A way that is shorter than this, in thicknesses of its wire, counts with the course that it leads to. */
const SHORT = 6;

/** Courses by what their term is called. */
function namedCourses(courses: readonly RunCourse[], { size }: PieceWire): readonly RunCourse[] {
  return courses.map((course, index) => {
    const next = courses[index + 1];
    const isTerm = [next?.course?.taut, next?.course?.across?.name].includes(course.name);
    return course.course === undefined && next && !isTerm && course.length < SHORT * size.width
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
  const toFirst = side === 'first' ? 1 : -1;
  if (typeof at === 'number') return [{ at: begun + toFirst * at, what }];
  const index = courses.findIndex(({ name, course }) => (course?.id ?? name) === at || name === at);
  if (index < 0) return [];
  const before = courses.slice(0, index).reduce((sum, { length }) => sum + length, 0);
  const start = side === 'first' ? begun + (between?.length ?? 0) + before : begun - before;
  return [{ at: start, what }];
}
