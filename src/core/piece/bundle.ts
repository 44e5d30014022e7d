import { arc, line, type Curve } from '../geometry/curve';
import { hullOf } from '../geometry/hull';
import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { inPose, sideOf, type Pose } from '../geometry/pose';
import { between3, distance3, dot3, minus3 } from '../geometry/vec3';
import { distance, minus, outward, plus, scaled, unit, vec, type Vec } from '../geometry/vector';
import { abreast, type Carrier } from './carriers';

/** The way once round points, so far off those that stand outermost; mm. */
function roundPoints(points: readonly Vec[], off: number): readonly Curve[] {
  const hull = hullOf(points);
  if (hull.length === 1) return [arc(hull[0] as Vec, off, 0, 2 * Math.PI)];
  const normals = hull.map((point, index) =>
    outward(unit(minus(hull[(index + 1) % hull.length] as Vec, point))),
  );
  return hull.flatMap((middle, index) => {
    const [before, after] = [normals.at(index - 1) as Vec, normals[index] as Vec];
    const begin = Math.atan2(before.y, before.x);
    const turn = (Math.atan2(after.y, after.x) - begin + 2 * Math.PI) % (2 * Math.PI);
    const aside = scaled(after, off);
    return [
      arc(middle, off, begin, turn),
      line(plus(middle, aside), plus(hull[(index + 1) % hull.length] as Vec, aside)),
    ];
  });
}

const lengthOf = (curves: readonly Curve[]): number => curves.reduce((sum, { length }) => sum + length, 0);

/** A way round, and how long it is, mm. */
interface Round {
  readonly curves: readonly Curve[];
  readonly length: number;
}

/** The point a part of the way round. */
function pointRound({ curves, length: whole }: Round, part: number): Vec {
  let left = (part - Math.floor(part)) * whole;
  for (const { length, at } of curves) {
    if (left <= length && length > 0) return at(left / length);
    left -= length;
  }
  return (curves[0] as Curve).at(0);
}

/** Turns about a bundle of wires; mm. */
export interface BundleTurns {
  /** Their poses along the bundle, from where the turns begin. */
  readonly carriers: readonly Carrier[];
  /** How thick each of them is. */
  readonly thicks: readonly number[];
  /** Whether they are all square. */
  readonly isSquare: boolean;
  /** How thick the wire is that is wound. */
  readonly thick: number;
  /** Clockwise as the bundle goes on away from the eye; negative the other way. */
  readonly turns: number;
  /** How far all of them move on. */
  readonly long: number;
  /** How thick that is which lies on the bundle already. */
  readonly over?: number | undefined;
  /** Where it begins, degrees clockwise from the up of the first wire. */
  readonly begin?: number | undefined;
  /** Where the wire comes from: it begins on that side when nothing else is told. */
  readonly from?: Vec3 | undefined;
}

/** A bundle whose wires have moved by less than this is cut across as before, mm. */
const SAME = 0.002;
/** Corners that stand for a round wire where others are thinner. */
const ROUND_CORNERS = 24;

/** Places on the edge of a round wire that is thicker than others of its bundle, so far off its middle; its middle alone where it is not. */
const roundCorners = (off: number): readonly Vec[] =>
  off < SAME
    ? [vec(0, 0)]
    : Array.from({ length: ROUND_CORNERS }, (_, index) => {
        const angle = (2 * Math.PI * index) / ROUND_CORNERS;
        return vec(off * Math.cos(angle), off * Math.sin(angle));
      });

/** The corners of a square of side 2 about its middle. */
const SQUARE: readonly Vec[] = [vec(-1, -1), vec(1, -1), vec(1, 1), vec(-1, 1)];
/** Points to each turn: about one round wire, and about several or square ones, which has corners. */
const [ROUND_POINTS, HULL_POINTS] = [48, 72];
/** Turns that differ by more than this part from their formula are measured. */
const MEASURED = 0.003;
/** How often the bundle is cut across for each turn. */
const TURN_CUTS = 10;

/** Farther off than any bundle is wide, mm. */
const FAR = 1e4;
/** A place far off to one side of a pose, degrees clockwise from its up. */
const farAt = (of: Pose, degrees: number): Vec3 => {
  const angle = (degrees * Math.PI) / 180;
  return inPose(of, 0, FAR * Math.sin(angle), FAR * Math.cos(angle));
};

/** A bundle cut across: how its first wire lies there, and the way round it. */
interface Section {
  readonly pose: Pose;
  readonly round: Round;
}

/**
 * The way of a wire that is wound about a bundle: about its hull where it is cut across, moving on along it.
 * @returns its line, and its length by formula: √[(turns × (hull of the middles + π(D + d)))² + long²], of square wires hull of the corners + πd;
 *   as the bundle is where it begins; measured where it is bent so that the two differ
 */
export function bundlePath(told: BundleTurns): { readonly path: Path; readonly length: number } {
  const { carriers: given, thicks, isSquare, thick, turns, long, from, over = 0 } = told;
  const [thinnest, thickest] = [Math.min(...thicks), Math.max(...thicks)];
  const off = (isSquare ? thick : thinnest + thick) / 2 + over;
  const corners = thicks.map((each) =>
    isSquare ? SQUARE.map((corner) => scaled(corner, each / 2)) : roundCorners((each - thinnest) / 2),
  );
  const carriers = abreast(given, long, (thickest + thick) / 2 + over);
  let known: { readonly points: readonly Vec[]; readonly round: Round } | undefined;
  const cutAcross = (x: number): Section => {
    const poses = carriers.map((carrier) => carrier(x));
    const pose = poses[0] as Pose;
    const side = sideOf(pose);
    const points = poses.flatMap(({ at }, index) => {
      const away = minus3(at, pose.at);
      const middle = vec(dot3(away, pose.up), dot3(away, side));
      return (corners[index] as readonly Vec[]).map((corner) => plus(middle, corner));
    });
    if (!known || points.some((point, index) => distance(point, known?.points[index] as Vec) > SAME)) {
      const curves = roundPoints(points, off);
      known = { points, round: { curves, length: lengthOf(curves) } };
    }
    return { pose, round: known.round };
  };
  const pointAt = ({ pose, round }: Section, part: number): Vec3 => {
    const { x, y } = pointRound(round, part);
    return inPose(pose, 0, y, x);
  };
  const begin = cutAcross(0);
  const side = told.begin === undefined ? from : farAt(begin.pose, told.begin);
  const starts = Array.from({ length: side ? HULL_POINTS : 1 }, (_, index) => index / HULL_POINTS);
  const away = (part: number): number => (side ? distance3(side, pointAt(begin, part)) : 0);
  const nearest = starts.reduce((best, part) => (away(part) < away(best) ? part : best));
  const isRound = carriers.length === 1 && !isSquare;
  const start = isRound && told.begin !== undefined ? told.begin / 360 : nearest;
  // The bundle is cut across a few times a turn; between two cuts it runs straight.
  const cuts = Math.max(4, Math.ceil(Math.abs(turns) * TURN_CUTS));
  const sections = Array.from({ length: cuts + 1 }, (_, index) => cutAcross((long * index) / cuts));
  const steps = Math.max(8, Math.ceil(Math.abs(turns) * (isRound ? ROUND_POINTS : HULL_POINTS)));
  const path = Array.from({ length: steps + 1 }, (_, step) => {
    const part = step / steps;
    const index = Math.min(cuts - 1, Math.floor(part * cuts));
    const round = start + turns * part;
    const [before, after] = [sections[index], sections[index + 1]] as [Section, Section];
    return between3(pointAt(before, round), pointAt(after, round), part * cuts - index);
  });
  const formula = Math.hypot(turns * begin.round.length, long);
  // Where a bundle is bent its turns stand farther apart outside of the bend: then they are measured.
  const measured = lengthOfPath(path);
  return { path, length: Math.abs(measured / formula - 1) < MEASURED ? formula : measured };
}
