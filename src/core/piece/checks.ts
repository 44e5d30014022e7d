import { finely } from '../geometry/alongPath';
import type { Path, Vec3 } from '../geometry/path';
import { sideOf } from '../geometry/pose';
import { distance3, dot3, minus3 } from '../geometry/vec3';
import type { Vec } from '../geometry/vector';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { bendOf } from '../wrap/winding';
import type { PlacedBody } from './body';
import type { RunPiece, RunWire } from './run';

/** What of a stone nothing lies over: a part of its face, and of its back; 1 is all of it. */
export interface Bare {
  readonly body: string;
  readonly face: number;
  readonly back: number;
}

/** Points to the longer way of a stone, and to each curve of its edge. */
const [GRID, EDGE] = [72, 48];

/** Where a row across a closed line is inside of it: from and to, by its points. */
function insideRow(edge: readonly Vec[], y: number): readonly (readonly [number, number])[] {
  const crossed = edge
    .flatMap((to, index) => {
      const from = edge.at(index - 1) as Vec;
      return from.y > y === to.y > y ? [] : [from.x + ((to.x - from.x) * (y - from.y)) / (to.y - from.y)];
    })
    .sort((one, other) => one - other);
  return crossed.flatMap((from, index) =>
    index % 2 === 0 ? [[from, crossed[index + 1] ?? from] as const] : [],
  );
}

/** What a place of a stone is covered by, as a sum: from the front, from behind. */
const [INSIDE, FACE, BACK] = [1, 2, 4];

/** What is bare of a cabochon, as one looks straight at its face and at its back. */
function bareOfCab({ wires }: RunPiece, body: PlacedBody & { readonly kind: 'cab' }): Bare {
  const { pose, size, id } = body;
  const side = sideOf(pose);
  const edge = pointsOf(expectOk(outlineOf(size)), EDGE);
  const step = Math.max(size.length, size.width) / GRID;
  const reach = Math.ceil(GRID / 2) + 1;
  const row = 2 * reach + 1;
  const cells = new Uint8Array(row * row);
  for (let j = -reach; j <= reach; j += 1)
    for (const [from, to] of insideRow(edge, j * step))
      for (let i = Math.ceil(from / step); i <= Math.floor(to / step); i += 1)
        cells[(j + reach) * row + i + reach] = INSIDE;
  for (const { wire, path } of wires) {
    const radius = bendOf(wire.size).thick / 2;
    const around = Math.ceil(radius / step);
    for (const at of finely(path, step)) {
      const off = minus3(at, pose.at);
      const [x, y, z] = [dot3(off, pose.along), dot3(off, side), dot3(off, pose.up)];
      const covers = z > size.edge / 2 ? FACE : BACK;
      const [i, j] = [Math.round(x / step), Math.round(y / step)];
      for (let dj = -around; dj <= around; dj += 1)
        for (let di = -around; di <= around; di += 1) {
          const [u, v] = [i + di + reach, j + dj + reach];
          if (u < 0 || u >= row || v < 0 || v >= row) continue;
          if (Math.hypot((i + di) * step - x, (j + dj) * step - y) <= radius)
            cells[v * row + u] = (cells[v * row + u] ?? 0) | covers;
        }
    }
  }
  const all = cells.filter((cell) => cell & INSIDE);
  const bare = (by: number) => all.filter((cell) => !(cell & by)).length / Math.max(1, all.length);
  return { body: id, face: bare(FACE), back: bare(BACK) };
}

/** What is bare of every cabochon of a piece; a wire covers what it lies over, from the front or from behind. */
export const bareOf = (run: RunPiece): readonly Bare[] =>
  run.bodies.flatMap((body) => (body.kind === 'cab' ? [bareOfCab(run, body)] : []));

/** How far a piece reaches to both sides of an upright, mm, and where it does. */
export interface Reach {
  readonly left: number;
  readonly right: number;
  readonly leftAt: Vec3 | undefined;
  readonly rightAt: Vec3 | undefined;
}

/** @param middle where the upright stands, x in mm */
export function reachOf({ wires }: RunPiece, middle: number): Reach {
  let [left, right] = [0, 0];
  let [leftAt, rightAt]: (Vec3 | undefined)[] = [];
  for (const { wire, path } of wires) {
    const off = bendOf(wire.size).thick / 2;
    for (const at of path) {
      if (middle - at.x + off > left) [left, leftAt] = [middle - at.x + off, at];
      if (at.x - middle + off > right) [right, rightAt] = [at.x - middle + off, at];
    }
  }
  return { left, right, leftAt, rightAt };
}

/** An end of a wire that lies at the back of a piece and points away from it: towards skin. */
export interface EndBehind {
  readonly wire: string;
  readonly at: Vec3;
}

/** Backward by more than this is towards skin: the sine of 35°. */
const BACKWARD = 0.574;
/** So many thicknesses before the rearmost of a piece an end is still at its back. */
const NEAR_BACK = 1.5;

/** Where a line ends, and which way, when it has two points. */
function endOf(path: Path): { readonly at: Vec3; readonly back: number } | undefined {
  const [before, at] = path.slice(-2);
  if (!before || !at) return undefined;
  const long = distance3(before, at);
  return long > 0 ? { at, back: (before.z - at.z) / long } : undefined;
}

const endsOf = ({ first, second, wire }: RunWire) =>
  [first, second].flatMap((hand) => {
    const path = hand.filter((each) => each.path.length > 1).at(-1)?.path;
    const end = path && endOf(path);
    return end ? [{ ...end, wire: wire.id, thick: bendOf(wire.size).thick }] : [];
  });

/** Ends that lie at the back of a piece, behind all of its stones, and point backward. */
export function endsBehind({ wires, bodies }: RunPiece): readonly EndBehind[] {
  const rearmost = Math.min(...wires.flatMap(({ path }) => path.map(({ z }) => z)));
  const stones = Math.min(...bodies.map(({ pose }) => pose.at.z), Infinity);
  return wires
    .flatMap(endsOf)
    .filter(({ at, back, thick }) => back > BACKWARD && at.z < stones && at.z < rearmost + NEAR_BACK * thick)
    .map(({ wire, at }) => ({ wire, at }));
}
