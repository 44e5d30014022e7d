import type { Path, Vec3 } from '../geometry/path';
import { between3, distance3, dot3, minus3, norm3, plus3, scaled3 } from '../geometry/vec3';
import { bendOf } from '../wrap/winding';
import type { RunCourse, RunPiece, RunWire } from './run';

/** Two wires that lie in one another, or one that lies in itself. */
export interface Collision {
  readonly wires: readonly [string, string];
  /** How far, mm: what their centre lines come nearer than they are thick. */
  readonly depth: number;
  readonly at: Vec3;
}

/** Longest piece of line that is looked at as one, mm. */
const PIECE = 0.5;

interface Run {
  readonly wire: number;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly middle: Vec3;
  readonly long: number;
  /** Length of its wire before it, mm. */
  readonly before: number;
  readonly isSketched: boolean;
}

/** The courses of a wire in the order in which it lies, from the end of its second hand to that of its first. */
const coursesOf = ({ first, second, between }: RunWire): { path: Path; isSketched: boolean }[] => [
  ...[...second].reverse().map((each) => ({ ...partOf(each), path: [...each.path].reverse() })),
  ...(between ? [partOf(between)] : []),
  ...first.map(partOf),
];

const partOf = ({ path, course }: RunCourse) => ({ path, isSketched: course?.sketched !== undefined });

/** A wire in straight pieces that are short enough. */
function runsOf(run: RunWire, wire: number): Run[] {
  const runs: Run[] = [];
  let before = 0;
  for (const { path, isSketched } of coursesOf(run))
    for (const [index, to] of path.entries()) {
      const from = path[index - 1];
      if (!from) continue;
      const long = distance3(from, to);
      const parts = Math.max(1, Math.ceil(long / PIECE));
      for (let part = 0; part < parts; part += 1)
        runs.push({
          wire,
          from: between3(from, to, part / parts),
          to: between3(from, to, (part + 1) / parts),
          middle: between3(from, to, (part + 0.5) / parts),
          long: long / parts,
          before: before + (long * part) / parts,
          isSketched,
        });
      before += long;
    }
  return runs;
}

/** Length of line that is kept together while it is looked for what may be near, mm. */
const STRETCH = 1;

/** Some pieces of a wire that follow one another, within a sphere. */
interface Stretch {
  readonly runs: readonly Run[];
  readonly wire: number;
  readonly middle: Vec3;
  /** Radius of the sphere about the middle that holds its centre line, mm. */
  readonly reach: number;
  /** Length of its wire before its last piece, and up to the end of its first, mm. */
  readonly lastBefore: number;
  readonly firstEnd: number;
}

/** Pieces of a wire in stretches that are short enough. */
function stretchesOf(runs: readonly Run[]): Stretch[] {
  const stretches: Stretch[] = [];
  for (let from = 0; from < runs.length;) {
    const first = runs[from] as Run;
    let to = from + 1;
    for (let next = runs[to]; next && next.before + next.long - first.before <= STRETCH; next = runs[to])
      to += 1;
    const own = runs.slice(from, to);
    const last = own.at(-1) as Run;
    const middle = between3(first.from, last.to, 0.5);
    stretches.push({
      runs: own,
      wire: first.wire,
      middle,
      reach: own.reduce(
        (most, run) => Math.max(most, distance3(run.from, middle), distance3(run.to, middle)),
        0,
      ),
      lastBefore: last.before,
      firstEnd: first.before + first.long,
    });
    from = to;
  }
  return stretches;
}

/** Cells along each way that are told apart. */
const CELLS = 2 ** 16;
const cellKey = (i: number, j: number, k: number): number =>
  ((i + CELLS / 2) * CELLS + (j + CELLS / 2)) * CELLS + k + CELLS / 2;

const isFarther = (a: Vec3, b: Vec3, reach: number): boolean => {
  const x = a.x - b.x;
  const y = a.y - b.y;
  const z = a.z - b.z;
  return x * x + y * y + z * z > reach * reach;
};

const clamped = (part: number): number => Math.min(1, Math.max(0, part));

/** The nearest that two pieces of line come to one another, and where (Ericson, “Real-Time Collision Detection”, 2005, 5.1.9). */
function nearest(a: Run, b: Run): { readonly apart: number; readonly at: Vec3 } {
  const [u, v, w] = [minus3(a.to, a.from), minus3(b.to, b.from), minus3(a.from, b.from)];
  const [uu, vv, uv, uw, vw] = [dot3(u, u), dot3(v, v), dot3(u, v), dot3(u, w), dot3(v, w)];
  const square = uu * vv - uv * uv;
  let s = square > 1e-12 ? clamped((uv * vw - uw * vv) / square) : 0;
  const t = vv > 0 ? clamped((uv * s + vw) / vv) : 0;
  s = uu > 0 ? clamped((uv * t - uw) / uu) : 0;
  const [p, q] = [plus3(a.from, scaled3(u, s)), plus3(b.from, scaled3(v, t))];
  return { apart: norm3(minus3(p, q)), at: between3(p, q, 0.5) };
}

/**
 * Where wires of a piece lie in one another, the deepest place of each two. What lies in one another where both are only sketched is passed over.
 * @param allowed how deep they may lie in one another, as a part of the thinner one's radius
 */
export function collisionsOf({ wires }: RunPiece, allowed = 0.25): Collision[] {
  const thick = wires.map(({ wire }) => bendOf(wire.size).thick);
  const stretches = wires.flatMap((wire, index) => stretchesOf(runsOf(wire, index)));
  const widest = Math.max(...thick, 0.1);
  // What is nearer than this lies in the same cell or in one beside it.
  const cell = stretches.reduce((most, { reach }) => Math.max(most, 2 * reach), 0) + widest;
  const cells = new Map<number, Stretch[]>();
  const deepest = new Map<string, Collision>();
  const look = (a: Run, b: Run) => {
    if (a.isSketched && b.isSketched) return;
    const wide = thick[a.wire] as number;
    const other = thick[b.wire] as number;
    // A wire lies beside itself where it is bent: only what is further along it than a tight bend counts.
    if (a.wire === b.wire && b.before - a.before - a.long < Math.PI * wide) return;
    const reach = (a.long + b.long + wide + other) / 2;
    if (isFarther(a.middle, b.middle, reach)) return;
    const { apart, at } = nearest(a, b);
    const depth = (wide + other) / 2 - apart;
    if (depth <= (allowed * Math.min(wide, other)) / 2) return;
    const ids = [wires[a.wire], wires[b.wire]].map((each) => (each as RunWire).wire.id).sort() as [
      string,
      string,
    ];
    const key = ids.join('\n');
    if (depth > (deepest.get(key)?.depth ?? 0)) deepest.set(key, { wires: ids, depth, at });
  };
  /** @param a the earlier one, where both are of one wire */
  const lookInto = (a: Stretch, b: Stretch) => {
    const wide = thick[a.wire] as number;
    if (a.wire === b.wire && b.lastBefore - a.firstEnd < Math.PI * wide) return;
    const touching = (wide + (thick[b.wire] as number)) / 2;
    if (isFarther(a.middle, b.middle, a.reach + b.reach + touching)) return;
    for (const one of a.runs) {
      if (isFarther(one.middle, b.middle, one.long / 2 + b.reach + touching)) continue;
      for (const other of b.runs) look(one, other);
    }
  };
  for (const stretch of stretches) {
    lookInto(stretch, stretch);
    const { x, y, z } = stretch.middle;
    const [i, j, k] = [Math.floor(x / cell), Math.floor(y / cell), Math.floor(z / cell)] as const;
    for (let di = -1; di <= 1; di += 1)
      for (let dj = -1; dj <= 1; dj += 1)
        for (let dk = -1; dk <= 1; dk += 1)
          for (const there of cells.get(cellKey(i + di, j + dj, k + dk)) ?? []) lookInto(there, stretch);
    const key = cellKey(i, j, k);
    const there = cells.get(key);
    if (there) there.push(stretch);
    else cells.set(key, [stretch]);
  }
  return [...deepest.values()].sort((a, b) => b.depth - a.depth);
}
