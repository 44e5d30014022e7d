import type { Path } from '../geometry/path';
import { thinned, type Off } from './thinned';
import { seenFrom, type Seen, type View } from './view';

/**
 * What is drawn of one wire in one layer, with round ends: SVG path commands in mm, and how thick. Its edge is drawn first, the wire in it
 * later, so that no seam shows where one layer goes over into the next.
 */
export interface DrawnWire {
  readonly kind: 'edge' | 'wire';
  /** Which wire it is of. */
  readonly wire: string;
  readonly d: string;
  readonly thick: number;
}

/** A stone or bead: its edge. */
export interface DrawnBody {
  readonly kind: 'body';
  readonly body: string;
  readonly d: string;
}

/** Wires and bodies from one side, farthest first: what comes later lies over what came before. Everything in mm. */
export interface LineDrawing {
  readonly layers: readonly (DrawnWire | DrawnBody)[];
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** The box that holds two. */
export function boxAbout(a: LineDrawing['box'], b: LineDrawing['box']): LineDrawing['box'] {
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  const right = Math.max(a.x + a.width, b.x + b.width);
  const bottom = Math.max(a.y + a.height, b.y + b.height);
  return { x, y, width: right - x, height: bottom - y };
}

/** A wire to be drawn: its centre line, and how thick it is. */
export interface WireToDraw {
  readonly wire: string;
  readonly path: Path;
  readonly thick: number;
  /** How far its edge is drawn behind it, as a part of its thickness; as far as that of a wire that lies upon others when it is not told. */
  readonly edgeBehind?: number;
}

/** A body to be drawn: its edge as the view sees it; wires that are nearer than `near` lie over it. */
export interface BodyToDraw {
  readonly body: string;
  readonly points: readonly Seen[];
  readonly near: number;
}

/** How finely something is drawn, mm. */
export interface Fineness {
  /** How deep a layer is: of one wire, what lies within a layer is drawn at once. */
  readonly layer: number;
  /** Points that stray less than this from the straight way are left out. */
  readonly stray: number;
}

/** As large as a screen or a sheet has it. */
export const LARGE: Fineness = { layer: 0.2, stray: 0.02 };
/** As a small picture among others has it. */
export const SMALL: Fineness = { layer: 0.5, stray: 0.12 };

/** The edge of a wire as a part of its thickness, on each side. */
const EDGE = 0.12;
/**
 * How far an edge is drawn behind its wire, as a part of its thickness: behind its own neighbours along the wire where they rise steeply,
 * and still over any wire that it lies upon, whose middle is further off.
 */
const EDGE_BEHIND = 0.9;
/** Room about the drawing, mm. */
const PAD = 1;

/** Figures that a picture is told in, hundredths of a mm: as coarse as what is left out of it allows. */
const FIGURES = [10, 5, 2] as const;
const FINEST = 1;
const HUNDREDTHS = 100;

/** A figure in mm, as short as it can be written, with what parts it from the one before; one that is negative needs no room before it. */
function figure(hundredths: number, parted: boolean): string {
  // A whole number divided by a hundred is told by its two places at most: no rounding is seen.
  const told = String(Math.abs(hundredths) / HUNDREDTHS);
  const short = told.startsWith('0.') ? told.slice(1) : told;
  if (hundredths < 0) return `-${short}`;
  return parted ? ` ${short}` : short;
}

/** SVG path commands: where a line begins, and from there how far each point lies from the one before. */
function commands(points: readonly Seen[], stray: number): string {
  const least = FIGURES.find((each) => each / HUNDREDTHS <= stray / 2) ?? FINEST;
  const per = HUNDREDTHS / least;
  let [x, y] = [0, 0];
  let told = 'M';
  for (const [index, point] of points.entries()) {
    const [nextX, nextY] = [Math.round(point.x * per), Math.round(point.y * per)];
    told += figure((nextX - x) * least, index > 1) + figure((nextY - y) * least, true);
    if (index === 0) told += 'l';
    [x, y] = [nextX, nextY];
  }
  return told;
}

interface Run {
  readonly layer: number;
  readonly points: Seen[];
}

/** A line in runs that lie in one layer each; neighbours share a point, so that no gap shows. */
function runsOf(seen: readonly Seen[], deep: number): Run[] {
  const runs: Run[] = [];
  for (const [index, point] of seen.entries()) {
    const before = seen[index - 1];
    if (!before) continue;
    const layer = Math.floor((before.near + point.near) / 2 / deep);
    const run = runs.at(-1);
    if (run?.layer === layer) run.points.push(point);
    else runs.push({ layer, points: [before, point] });
  }
  return runs;
}

/** On the paper; a line that comes back to its beginning is measured from there. */
const offOnPaper: Off<Seen> = ({ x, y }, first, last) => {
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const long = Math.hypot(dx, dy);
  return long > 0
    ? Math.abs((x - first.x) * dy - (y - first.y) * dx) / long
    : Math.hypot(x - first.x, y - first.y);
};

/** Draws wires and bodies from one side, without perspective: nearer over farther, every wire as thick as it is. */
export function drawLines(
  wires: readonly WireToDraw[],
  bodies: readonly BodyToDraw[],
  view: View,
  { layer: deep, stray }: Fineness,
): LineDrawing {
  const layers = new Map<number, (DrawnWire | DrawnBody)[]>();
  const put = (layer: number, drawn: DrawnWire | DrawnBody) => {
    const there = layers.get(layer);
    if (there) there.push(drawn);
    else layers.set(layer, [drawn]);
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
  for (const { body, points, near } of bodies) {
    hold(points, 0);
    put(Math.floor(near / deep), {
      kind: 'body',
      body,
      d: `${commands(thinned(points, stray, offOnPaper), stray)}Z`,
    });
  }
  for (const [wire, own] of byWire(wires)) {
    const runs = new Map<number, string>();
    for (const { path } of own) {
      const seen = seenFrom(view, path);
      hold(seen, (own[0]?.thick ?? 0) / 2);
      for (const { layer, points } of runsOf(seen, deep))
        runs.set(layer, (runs.get(layer) ?? '') + commands(thinned(points, stray, offOnPaper), stray));
    }
    const { thick = 0, edgeBehind = EDGE_BEHIND } = own[0] ?? {};
    for (const [layer, d] of runs) {
      put(layer - Math.max(1, Math.floor((edgeBehind * thick) / deep)) - 0.5, {
        kind: 'edge',
        wire,
        d,
        thick,
      });
      put(layer, { kind: 'wire', wire, d, thick: thick * (1 - 2 * EDGE) });
    }
  }
  const sorted = [...layers.entries()].sort(([a], [b]) => a - b).flatMap(([, drawn]) => drawn);
  if (sorted.length === 0) return { layers: [], box: { x: 0, y: 0, width: 0, height: 0 } };
  const box = { x: left - PAD, y: top - PAD, width: right - left + 2 * PAD, height: bottom - top + 2 * PAD };
  return { layers: sorted, box };
}

function byWire(wires: readonly WireToDraw[]): ReadonlyMap<string, WireToDraw[]> {
  const grouped = new Map<string, WireToDraw[]>();
  for (const each of wires) {
    const there = grouped.get(each.wire);
    if (there) there.push(each);
    else grouped.set(each.wire, [each]);
  }
  return grouped;
}
