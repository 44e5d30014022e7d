import { distance, minus, outward, scaled, turnBetween } from '../geometry/vector';
import { parallelOf, perimeterOf, placeAt, type Outline } from '../outline/outline';
import type { WovenStretch } from '../technique/act';
import type { Hold } from '../judgement/holds';

/**
 * Where a hold lies on the widest bare stretch of its side of the foot: as near as may be to where it lay if nothing were woven there.
 * @param half of the way round, from the foot to the top
 * @param needs of the stretch to both sides of its middle
 */
export function bareBeside(
  stretches: readonly WovenStretch[],
  at: number,
  half: number,
  needs: number,
): number {
  const way = at < 0 ? -1 : 1;
  const own = stretches
    .map(({ from, to }) => (way > 0 ? { from, to } : { from: -to, to: -from }))
    .filter(({ to }) => to > 0)
    .sort((a, b) => a.from - b.from);
  const ends = [...own.map(({ to }) => to), 0].sort((a, b) => a - b);
  const bare = ends.map((from) => ({ from, to: own.find((each) => each.from >= from)?.from ?? half }));
  const widest = bare.reduce((best, each) => (each.to - each.from > best.to - best.from ? each : best));
  const [first, last] = [widest.from + needs, widest.to - needs];
  return way * (first < last ? Math.min(last, Math.max(first, Math.abs(at))) : (first + last) / 2);
}

/** How much farther turns reach round a stone than on straight wires: they touch one another inside of the bend. */
export const spreadBy = (outline: Outline, D: number, thin: number): number =>
  1 + (Math.PI * (D + thin)) / perimeterOf(parallelOf(outline, thin + D / 2));

/** How much more a line turns about a place, as far as a wire reaches to both sides of it, than it would if it were round; radians. */
export function cornerAt(line: Outline, along: number, D: number): number {
  const [before, after] = [placeAt(line, along - D), placeAt(line, along + D)];
  const round = (2 * D * 2 * Math.PI) / perimeterOf(line);
  return Math.abs(turnBetween(before.direction, after.direction)) - round;
}

/** The nearest that the middles of two holds come to one another, mm. */
export function nearestHolds(line: Outline, holds: readonly Hold[], inward: number): number {
  const tips = holds.map(({ along }) => {
    const { point, direction } = placeAt(line, along);
    return minus(point, scaled(outward(direction), inward));
  });
  return Math.min(
    ...tips.flatMap((tip, index) => tips.slice(index + 1).map((other) => distance(tip, other))),
  );
}

/** How a binding is shared out: along the frame between the holds, and what does not fit there up both ends. */
export interface Shares {
  /** Bound places of one side: where they begin, mm from the foot, and their turns. */
  readonly aSide: readonly { readonly from: number; readonly turns: number }[];
  /** Turns up each end at the top. */
  readonly up: number;
  /** Turns all together. */
  readonly wraps: number;
  /** What each hold has for itself, mm. */
  readonly open: number;
}

/**
 * Shares a binding out evenly over the places between holds; the top, where the frame is open, is none of them.
 * @param whole length of the frame
 * @param bound length to be bound
 * @param turn how far a turn moves on, and the least of the frame that each hold needs
 */
export function sharesOf(
  whole: number,
  holds: number,
  bound: number,
  { pitch, least }: { readonly pitch: number; readonly least: number },
): Shares {
  const wanted = Math.ceil(bound / pitch - 1e-9);
  // A single hold, at the foot, has a bound place on each side of it.
  const apart = holds === 1 ? whole / 2 : whole / holds;
  const places = holds === 1 ? 2 : holds - 1;
  const room = Math.max(0, Math.floor((apart - least) / pitch));
  const turns = Math.min(Math.ceil(wanted / places), room);
  // At the foot it is begun in the middle, and wound both ways.
  const atFoot = places % 2 === 1;
  const half = Math.min(Math.ceil(turns / 2), Math.floor(room / 2));
  const aSide = Array.from({ length: Math.ceil(places / 2) }, (_, index) =>
    atFoot && index === 0
      ? { from: 0, turns: half }
      : { from: (index + (atFoot ? 0 : 0.5)) * apart - (turns * pitch) / 2, turns },
  );
  const laid = 2 * aSide.reduce((sum, each) => sum + each.turns, 0);
  const up = Math.max(0, Math.ceil((wanted - laid) / 2));
  return {
    aSide: aSide.filter((each) => each.turns > 0),
    up,
    wraps: laid + 2 * up,
    open: apart - Math.max(turns, atFoot ? 2 * half : 0) * pitch,
  };
}
