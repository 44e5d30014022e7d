import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { goesThrough, wiresOfHalf, type Half } from './halves';

/** Frame wires that lie side by side along x, A at y = 0 and the others below it, and what is laid over them; mm. */
export interface FlatRow {
  readonly profile: 'round' | 'square';
  readonly base: number;
  readonly weaving: number;
  /** From one frame wire's centre to the next one's. */
  readonly step: number;
  /** The same between each two of them, where they do not all stand alike. */
  readonly steps?: readonly number[];
}

/** How far a wire of a row lies from A, mm. */
export const placeInRow = ({ step, steps }: Pick<FlatRow, 'step' | 'steps'>, index: number): number =>
  steps ? steps.slice(0, index).reduce((sum, each) => sum + each, 0) : index * step;

/** How far apart the wires beside a gap stand; outside of the row there is one. */
const beside = ({ step, steps }: FlatRow, gap: number): number => steps?.[gap - 1] ?? step;

/** The part of a half that crosses others which is in the gap, at its beginning and at its end. */
const CROSSES = 0.22;
/** Points to each quarter of a turn: the chords are short of it by under 0.1 %. */
const QUARTER = 10;

/**
 * Length of passing through a gap from before one frame wire to behind the next, beyond the turns beside it, mm: the crossed belt's
 * straight part less what it saves of the turns, √(c² − 4r²) − 2r·acos(2r/c); nothing when the wires stand one thickness apart.
 */
export function passLength({ base, weaving, step, profile }: FlatRow): number {
  const apart = base + weaving;
  if (step <= apart) return 0;
  return profile === 'square'
    ? step - apart
    : Math.sqrt(step ** 2 - apart ** 2) - apart * Math.acos(apart / step);
}

/** How far up from its side a wire is left or met by one that comes through the gap, radians. */
const lifted = (row: FlatRow, gap: number): number =>
  row.profile === 'square' ? 0 : Math.acos(Math.min(1, (row.base + row.weaving) / beside(row, gap)));

/** A place of a half in the plane across the frame wires: y across, z to the eye. */
type Across = readonly [y: number, z: number];

/** The way of one half from where it leaves the gap to where it enters the next. */
function wayOf(half: Half, row: FlatRow, liftAtStart: number, liftAtEnd: number): Across[] {
  const { base, weaving, profile } = row;
  const [first, last] = wiresOfHalf(half);
  const way = half.from < half.to ? 1 : -1;
  const face = half.face === 'front' ? 1 : -1;
  const [from, to] = [placeInRow(row, first), placeInRow(row, last)];
  /** Part of a turn about a point, from the side that it comes from (0) over the top (a quarter) to the other side. */
  const turn = (y: number, z: number, radius: number, begin: number, end: number): Across[] =>
    Array.from({ length: QUARTER + 1 }, (_, index): Across => {
      const angle = begin + ((end - begin) * index) / QUARTER;
      return [y - way * radius * Math.cos(angle), face * (z + radius * Math.sin(angle))];
    });
  const quarter = Math.PI / 2;
  const off = half.over ? weaving : 0;
  if (profile === 'square') {
    const [edge, thick] = [base / 2, weaving / 2 + off];
    return [
      [from - way * (edge + thick), 0],
      ...turn(from - way * edge, edge, thick, 0, quarter),
      ...turn(to + way * edge, edge, thick, quarter, Math.PI),
      [to + way * (edge + thick), 0],
    ];
  }
  const radius = (base + weaving) / 2 + off;
  return [
    ...turn(from, 0, radius, liftAtStart, quarter),
    ...turn(to, 0, radius, quarter, Math.PI - liftAtEnd),
  ];
}

/**
 * A weaving wire as it lies over its frame wires, one line without a break: halves after one another, each moving on by half a pitch.
 * @param pitch how far a whole wrap moves on along x
 * @param from x at which it begins
 */
export function layFlat(halves: readonly Half[], row: FlatRow, pitch: number, from = 0): Path {
  let begins = from;
  return halves.flatMap((half, index) => {
    const on = (pitch / 2) * (half.part ?? 1);
    begins += index === 0 ? 0 : (pitch / 2) * (halves[index - 1]?.part ?? 1);
    const [before, after] = [halves[index - 1], halves[index + 1]];
    const way = wayOf(
      half,
      row,
      before && goesThrough(before, half) ? lifted(row, half.from) : 0,
      after && goesThrough(half, after) ? lifted(row, half.to) : 0,
    );
    const behind = runs(way);
    const whole = behind.at(-1) as number;
    const partOf = (point: number) => {
      const part = (behind[point] as number) / whole;
      return half.over ? crossed(part) : part;
    };
    return way.map(([y, z], point): Vec3 => ({
      x: begins + on * partOf(point),
      y,
      z,
    }));
  });
}

/** What crosses others goes straight through the gap first, and back while it is out of it. */
function crossed(part: number): number {
  const within = Math.min(1, Math.max(0, (part - CROSSES) / (1 - 2 * CROSSES)));
  return within * within * (3 - 2 * within);
}

/** Length of half wraps as they are laid, mm: what they go round, each moving on by half a pitch, and the lines through gaps between them. */
export function laidLength(halves: readonly Half[], row: FlatRow, pitch: number): number {
  // What crosses others has no formula: it is measured.
  if (halves.some(({ over }) => over)) return lengthOfPath(layFlat(halves, row, pitch));
  const { base, weaving, profile } = row;
  const apart = base + weaving;
  const through = (gap: number): number =>
    profile === 'square'
      ? Math.max(0, beside(row, gap) - apart)
      : Math.sqrt(Math.max(0, beside(row, gap) ** 2 - apart ** 2));
  return halves.reduce((sum, half, index) => {
    const [before, after] = [halves[index - 1], halves[index + 1]];
    const entered = before !== undefined && goesThrough(before, half) ? lifted(row, half.from) : 0;
    const isLeft = after !== undefined && goesThrough(half, after);
    const left = isLeft ? lifted(row, half.to) : 0;
    const [first, last] = wiresOfHalf(half);
    const straight = Math.abs(placeInRow(row, last) - placeInRow(row, first));
    const round =
      profile === 'square'
        ? 2 * base + (Math.PI * weaving) / 2 + straight
        : (apart / 2) * (Math.PI - entered - left) + straight;
    return sum + Math.hypot(round, pitch / 2) + (isLeft ? through(half.to) : 0);
  }, 0);
}

/** Length of a way at each of its points. */
function runs(way: readonly Across[]): number[] {
  let behind = 0;
  return way.map(([y, z], index) => {
    const before = way[index - 1];
    if (before) behind += Math.hypot(y - before[0], z - before[1]);
    return behind;
  });
}
