import type { Path, Vec3 } from '../geometry/path';
import { pathOf } from '../outline/outline';
import type { WireSize } from './parameter';
import type { Plan } from './technique';
import type { Values } from './readValues';

/** Everything of one wire that lies in one layer: SVG path commands in mm, and how thick. */
export interface DrawnLine {
  readonly d: string;
  readonly thick: number;
  /** The wire parameter that it is of. */
  readonly wire: string;
}

/** A plan as it is drawn: what lies behind, in and before the paper, and the box that holds it all. Everything in mm. */
export interface Drawing {
  readonly behind: readonly DrawnLine[];
  readonly level: readonly DrawnLine[];
  readonly before: readonly DrawnLine[];
  readonly stones: readonly string[];
  readonly beads: readonly { readonly x: number; readonly y: number; readonly diameter: number }[];
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** Within this of the paper a wire is neither behind nor before it, mm. */
const LEVEL = 0.02;
/** Points that a whole drawing has at most: beyond them the eye sees no more, and the browser works for nothing. */
const MOST_POINTS = 6000;
/** The least room about a drawing, mm. */
const PAD = 1;

type Layer = 'behind' | 'level' | 'before';

const layerOf = (z: number): Layer => (z < -LEVEL ? 'behind' : z > LEVEL ? 'before' : 'level');

/** A path in runs that lie in one layer each; neighbours share a point, so that no gap shows. */
function runsOf(path: Path): { readonly layer: Layer; readonly points: readonly Vec3[] }[] {
  const runs: { layer: Layer; points: Vec3[] }[] = [];
  for (const [index, point] of path.entries()) {
    const before = path[index - 1];
    const layer = layerOf(before ? (before.z + point.z) / 2 : point.z);
    const run = runs.at(-1);
    if (run?.layer === layer) run.points.push(point);
    else runs.push({ layer, points: before ? [before, point] : [point] });
  }
  return runs.filter(({ points }) => points.length > 1);
}

const figure = (value: number): string => String(Math.round(value * 100) / 100);

const commands = (points: readonly Vec3[]): string =>
  points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${figure(x)} ${figure(y)}`).join('');

/** Every so many-th point of a path, its ends always. */
const thinned = (path: Path, step: number): Path =>
  step <= 1 ? path : path.filter((_, index) => index % step === 0 || index === path.length - 1);

/** Lays out a plan for the eye. @param most points of all its wires together; fewer for a small picture */
export function drawPlan({ cuts, solids }: Plan, values: Values, most = MOST_POINTS): Drawing {
  const there = solids.flatMap((solid) => (solid.kind === 'wire' ? [solid] : []));
  const wires = [
    ...there,
    ...cuts.flatMap(({ wire, drawn, places = [] }) => [...drawn, ...places].map((path) => ({ wire, path }))),
  ].map(({ wire, path }) => ({ wire, path, thick: (values[wire] as WireSize).width }));
  const points = wires.reduce((sum, { path }) => sum + path.length, 0);
  const step = Math.ceil(points / most);
  const layers: Record<Layer, Map<string, DrawnLine>> = {
    behind: new Map(),
    level: new Map(),
    before: new Map(),
  };
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  const hold = (x: number, y: number, about: number) => {
    left = Math.min(left, x - about);
    right = Math.max(right, x + about);
    top = Math.min(top, y - about);
    bottom = Math.max(bottom, y + about);
  };
  for (const { wire, path, thick } of wires) {
    for (const run of runsOf(thinned(path, step))) {
      const layer = layers[run.layer];
      layer.set(wire, { d: (layer.get(wire)?.d ?? '') + commands(run.points), thick, wire });
    }
    for (const { x, y } of path) hold(x, y, thick / 2);
  }
  const stones: string[] = [];
  const beads: { x: number; y: number; diameter: number }[] = [];
  for (const solid of solids) {
    if (solid.kind === 'disc') {
      hold(solid.x, solid.y, solid.diameter / 2);
      beads.push(solid);
    } else if (solid.kind === 'outline') {
      stones.push(pathOf(solid.outline));
      for (const { at } of solid.outline.curves)
        for (const t of [0, 0.25, 0.5, 0.75]) hold(at(t).x, at(t).y, 0);
    }
  }
  return {
    behind: [...layers.behind.values()],
    level: [...layers.level.values()],
    before: [...layers.before.values()],
    stones,
    beads,
    box: { x: left - PAD, y: top - PAD, width: right - left + 2 * PAD, height: bottom - top + 2 * PAD },
  };
}
