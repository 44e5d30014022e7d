import { bodySeen } from '../drawing/bodySeen';
import { seenFrom, type Seen, type View } from '../drawing/view';
import { isInHole } from '../drawing/wireSeen';
import { insideOutline } from '../geometry/insideOutline';
import { nearestOn } from '../geometry/onLine';
import type { Path } from '../geometry/path';
import { vec3 } from '../geometry/vec3';
import type { Vec } from '../geometry/vector';
import { groupBy } from '../groupBy';
import type { PlacedBody } from '../piece/body';
import type { RunCourse } from '../piece/steps';
import type { PlannedPiece } from '../technique/planActs';
import { counted } from '../units/counted';
import { said, saidBy } from '../units/said';
import type { DrawnPart } from './drawnParts';
import { namedApart, type NamedUse } from './namedApart';
import type { PlaceLeft } from './placesLeft';

/** Something of a piece that one can point at: a stone, beads that are alike, or what a technique does with a wire. */
export interface Thing {
  readonly id: string;
  /** The use that makes it. */
  readonly use: string;
  readonly name: string;
  /** What kind of body it is; nothing of a wire. */
  readonly body?: PlacedBody['kind'];
  /** What shows it, as it lies: its wire, or its edge from the front. */
  readonly lines: readonly Path[];
}

/** One place of a thing. */
interface Spot {
  readonly thing: Thing;
  readonly name: string;
}
interface Course extends Spot {
  readonly path: Path;
  readonly thick: number;
  /** What of it is left to go on from. */
  readonly left: PlaceLeft | undefined;
}
interface Placed extends Spot {
  readonly body: PlacedBody;
}

/** Everything of a piece that one can point at. */
export interface Things {
  readonly all: readonly Thing[];
  readonly courses: readonly Course[];
  readonly bodies: readonly Placed[];
}

const sizeOf = (body: PlacedBody): string => {
  if (body.kind === 'cab') return saidBy(body.size.length, body.size.width);
  return body.length === body.width ? said(body.length) : saidBy(body.length, body.width);
};

/** What stones or beads that are alike are called together, and one of them: “8 beads, 3 mm”. */
const calledBody = (body: PlacedBody, count = 1): string => {
  const one = body.kind === 'bead' ? 'bead' : 'stone';
  return `${count > 1 ? counted(count, one) : one}, ${sizeOf(body)}`;
};

/** A stone as its edge lies, for what shows it. */
const edgeOf = (body: PlacedBody): Path => {
  const { points, near } = bodySeen(body, 'front');
  return [...points, ...points.slice(0, 1)].map(({ x, y }) => vec3(x, y, near));
};

const nameOf = (use: string, uses: readonly NamedUse[]): string => {
  const named = uses.find((each) => each.use.id === use);
  return named ? namedApart(named, uses) : '';
};

function bodiesOf({ run, bodyBy }: PlannedPiece, uses: readonly NamedUse[]): readonly Placed[] {
  const alike = groupBy(run.bodies, (body) => `${bodyBy.get(body.id) ?? ''} ${calledBody(body)}`);
  return [...alike].flatMap(([id, bodies]) => {
    const use = bodyBy.get(bodies[0]?.id ?? '');
    const [first] = bodies;
    if (use === undefined || !first) return [];
    const name = `${calledBody(first, bodies.length)}: ${nameOf(use, uses)}`;
    const thing = { id, use, name, body: first.kind, lines: bodies.map(edgeOf) };
    return bodies.map((body) => ({ thing, name: calledBody(body), body }));
  });
}

function coursesOf(
  { run, by }: PlannedPiece,
  uses: readonly NamedUse[],
  places: readonly PlaceLeft[],
): readonly Course[] {
  const worked = run.wires.flatMap(({ wire, first, second, between }) => {
    const begins = first[0]?.course ?? second[0]?.course;
    // What lies between both halves of a wire is of what begins there.
    const useOfIt = (course: RunCourse['course']) => {
      const told = course ?? begins;
      return told && by.get(told);
    };
    const hands = [
      ...second.map((each) => ({ ...each, side: 'second' })),
      ...(between ? [{ ...between, side: '' }] : []),
      ...first.map((each) => ({ ...each, side: 'first' })),
    ];
    return hands.flatMap((each) => {
      const use = useOfIt(each.course);
      return use === undefined || each.path.length < 2 || isInHole(each.course)
        ? []
        : [{ ...each, wire, use }];
    });
  });
  const things = new Map(
    [...groupBy(worked, ({ wire, use }) => `${use} ${wire.id}`)].map(([id, own]) => {
      const [{ use, wire }] = own as [(typeof own)[0], ...typeof own];
      return [
        id,
        { id, use, name: `${wire.name}: ${nameOf(use, uses)}`, lines: own.map(({ path }) => path) },
      ];
    }),
  );
  const isLeft = ({ wire, side, course }: (typeof worked)[0], { offer }: PlaceLeft): boolean => {
    if (offer.wire !== wire.id || offer.takes === 'end') return false;
    return (
      offer.takes === 'wire' || (offer.side === side && offer.over !== undefined && offer.over === course?.id)
    );
  };
  return worked.map((each) => ({
    thing: things.get(`${each.use} ${each.wire.id}`) as Thing,
    name: `${each.wire.name}, ${each.name}, ${said(each.length)}`,
    path: each.path,
    thick: each.wire.size.width,
    left: places.find((place) => isLeft(each, place)),
  }));
}

/** Everything of a drawn part that one can point at; nothing of what no piece is made of. @param places what it leaves to go on from */
export function thingsOf(
  { piece, uses }: Pick<DrawnPart, 'piece'> & { readonly uses: readonly NamedUse[] },
  places: readonly PlaceLeft[],
): Things {
  if (!piece) return { all: [], courses: [], bodies: [] };
  const bodies = bodiesOf(piece, uses);
  const courses = coursesOf(piece, uses, places);
  return { bodies, courses, all: [...new Set([...bodies, ...courses].map(({ thing }) => thing))] };
}

/** What lies under a point of a picture. */
export interface Under {
  readonly thing: Thing;
  /** What it is called just there: “frame wire 2, round the stone, 62.4 mm”. */
  readonly name: string;
  /** What is left there to go on from. */
  readonly left: PlaceLeft | undefined;
}

/** So much of what a finger reaches belongs to a wire that lies on a stone, however thin it is. */
const ON_STONE = 1 / 3;

/** How near a place of a line is that lies under a point, and how far off it lies. */
function underLine(seen: readonly Seen[], at: Vec): { readonly far: number; readonly near: number } {
  const { far, from, on } = nearestOn(
    seen.map(({ x, y }) => vec3(x, y)),
    vec3(at.x, at.y),
  );
  const [a, b] = [seen[from] as Seen, seen[from + 1] ?? (seen[from] as Seen)];
  return { far, near: a.near + (b.near - a.near) * on };
}

/**
 * Answers what lies under a point of a picture: of what lies over one another what is nearest to the eye, and where nothing does, the wire that is
 * nearest to the point.
 * @returns a way to ask; its `reach` is how far off the point a wire is still meant, mm
 */
export function pointing(
  { bodies, courses }: Things,
  view: View,
): (at: Vec, reach: number) => Under | undefined {
  const lines = courses.map((course) => {
    const seen = seenFrom(view, course.path);
    const [xs, ys] = [seen.map(({ x }) => x), seen.map(({ y }) => y)];
    const box = { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), end: Math.max(...ys) };
    return { course, seen, box };
  });
  const outlines = bodies.map((placed) => ({ placed, ...bodySeen(placed.body, view) }));
  return (at, reach) => {
    let [hit, near]: [Under | undefined, number] = [undefined, -Infinity];
    let [beside, least]: [Under | undefined, number] = [undefined, reach];
    for (const { placed, points, near: height } of outlines)
      if (height > near && insideOutline(points, at.x, at.y) >= 0)
        [hit, near] = [{ thing: placed.thing, name: placed.name, left: undefined }, height];
    for (const { course, seen, box } of lines) {
      const { thick, thing, name, left } = course;
      const room = Math.max(thick / 2, reach);
      if (at.x < box.left - room || at.x > box.right + room) continue;
      if (at.y < box.top - room || at.y > box.end + room) continue;
      const under = underLine(seen, at);
      const found = { thing, name, left };
      if (under.far <= Math.max(thick / 2, reach * ON_STONE)) {
        if (under.near > near) [hit, near] = [found, under.near];
      } else if (under.far < least) [beside, least] = [found, under.far];
    }
    return hit ?? beside;
  };
}
