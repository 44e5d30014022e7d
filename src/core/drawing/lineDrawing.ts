import type { PlacedBody } from '../piece/body';
import type { RunPiece } from '../piece/run';
import { bodySeen } from './bodySeen';
import { seenFrom, type Seen, type View } from './view';

/** What is drawn of one wire in one layer: SVG path commands in mm, and how thick. */
export interface DrawnWire {
  readonly kind: 'wire';
  readonly wire: string;
  readonly d: string;
  readonly thick: number;
}

/** A stone or bead: its edge, and lines on it that show its shape. */
export interface DrawnBody {
  readonly kind: 'body';
  readonly body: string;
  readonly d: string;
}

/** A piece from one side, farthest first: what comes later lies over what came before. Everything in mm. */
export interface LineDrawing {
  readonly layers: readonly (DrawnWire | DrawnBody)[];
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** How deep a layer is, mm: of one wire, what lies within a layer is drawn at once. */
const LAYER = 0.2;
/** Room about the drawing, mm. */
const PAD = 1;
/** Points that stray less than this from the straight way are left out, mm. */
const STRAY = 0.02;

const figure = (value: number): string => String(Math.round(value * 100) / 100);

const commands = (points: readonly Seen[]): string =>
  points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${figure(x)} ${figure(y)}`).join('');

const layerOf = (near: number): number => Math.floor(near / LAYER);

/** A line in runs that lie in one layer each; neighbours share a point, so that no gap shows. */
function runsOf(seen: readonly Seen[]): { readonly layer: number; readonly points: readonly Seen[] }[] {
  const runs: { layer: number; points: Seen[] }[] = [];
  for (const [index, point] of seen.entries()) {
    const before = seen[index - 1];
    if (!before) continue;
    const layer = layerOf((before.near + point.near) / 2);
    const run = runs.at(-1);
    if (run?.layer === layer) run.points.push(point);
    else runs.push({ layer, points: [before, point] });
  }
  return runs;
}

/** A run without the points that nobody would miss (Ramer, 1972; Douglas and Peucker, 1973). */
function thinned(points: readonly Seen[]): readonly Seen[] {
  const [first, last] = [points[0], points.at(-1)];
  if (points.length < 3 || !first || !last) return points;
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const long = Math.hypot(dx, dy);
  let [farthest, most] = [0, -1];
  for (const [index, { x, y }] of points.entries()) {
    const off =
      long > 0
        ? Math.abs((x - first.x) * dy - (y - first.y) * dx) / long
        : Math.hypot(x - first.x, y - first.y);
    if (off > most) [farthest, most] = [index, off];
  }
  if (most <= STRAY) return [first, last];
  return [...thinned(points.slice(0, farthest + 1)).slice(0, -1), ...thinned(points.slice(farthest))];
}

/** A piece as it is drawn from one side: nearer wires over farther ones, each as thick as it is, stones between them. */
export function lineDrawing({ wires, bodies }: RunPiece, view: View): LineDrawing {
  const layers = new Map<number, (DrawnWire | DrawnBody)[]>();
  const put = (layer: number, drawn: DrawnWire | DrawnBody) => {
    const there = layers.get(layer) ?? [];
    layers.set(layer, [...there, drawn]);
  };
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  const hold = (points: readonly Seen[], about: number) => {
    for (const { x, y } of points) {
      left = Math.min(left, x - about);
      right = Math.max(right, x + about);
      top = Math.min(top, y - about);
      bottom = Math.max(bottom, y + about);
    }
  };
  for (const body of bodies) {
    const { d, near, points } = drawnBody(body, view);
    hold(points, 0);
    put(layerOf(near), { kind: 'body', body: body.id, d });
  }
  for (const { wire, path } of wires) {
    const seen = seenFrom(view, path);
    const thick = wire.size.width;
    hold(seen, thick / 2);
    const own = new Map<number, string>();
    for (const { layer, points } of runsOf(seen))
      own.set(layer, (own.get(layer) ?? '') + commands(thinned(points)));
    for (const [layer, d] of own) put(layer, { kind: 'wire', wire: wire.id, d, thick });
  }
  const isEmpty = left > right;
  return {
    layers: [...layers.entries()].sort(([a], [b]) => a - b).flatMap(([, drawn]) => drawn),
    box: isEmpty
      ? { x: 0, y: 0, width: 0, height: 0 }
      : { x: left - PAD, y: top - PAD, width: right - left + 2 * PAD, height: bottom - top + 2 * PAD },
  };
}

function drawnBody(body: PlacedBody, view: View) {
  const { points, near } = bodySeen(body, view);
  return { d: `${commands(points)}Z`, near, points };
}
