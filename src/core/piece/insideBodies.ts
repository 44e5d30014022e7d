import { finely } from '../geometry/alongPath';
import { insideOutline } from '../geometry/insideOutline';
import type { Path, Vec3 } from '../geometry/path';
import { sideOf } from '../geometry/pose';
import { distance3, dot3, minus3, norm3, plus3, scaled3 } from '../geometry/vec3';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { bendOf } from '../wrap/winding';
import { beadRadius, faceAt, radiusAt, type PlacedBody } from './body';
import type { RunPiece } from './run';

/** A wire that lies in a stone or bead. */
export interface Inside {
  readonly wire: string;
  readonly body: string;
  /** How far its surface is inside, mm. */
  readonly depth: number;
  readonly at: Vec3;
}

/** How close together a wire is looked at, mm: straight ways have points at their ends only. */
const STEP = 0.4;

/** Stations along a body by which its profile is measured. */
const STATIONS = 96;

/** A sphere that holds a body. */
function sphereAbout(body: PlacedBody): { readonly middle: Vec3; readonly reach: number } {
  const { at, along } = body.pose;
  switch (body.kind) {
    case 'cab':
      return { middle: at, reach: Math.hypot(body.size.length, body.size.width, 2 * body.size.depth) / 2 };
    case 'bead':
      return { middle: at, reach: Math.hypot(body.length, body.width) / 2 };
    case 'point':
      return {
        middle: plus3(at, scaled3(along, body.length / 2)),
        reach: Math.hypot(body.length, body.width) / 2,
      };
  }
}

/**
 * How far a place of a wire is inside a body, mm, square to its surface; negative outside. In a hole a wire is where it belongs, and where it bends
 * over the rim of one, within its own thickness.
 */
function depthIn(body: PlacedBody): (at: Vec3, thick: number) => number {
  const { pose } = body;
  const side = sideOf(pose);
  const own = (at: Vec3) => {
    const off = minus3(at, pose.at);
    return { x: dot3(off, pose.along), y: dot3(off, side), z: dot3(off, pose.up) };
  };
  if (body.kind === 'cab') {
    const edge = pointsOf(expectOk(outlineOf(body.size)), 48);
    return (at) => {
      const { x, y, z } = own(at);
      const { drilled = 0, size } = body;
      if (Math.hypot(x, z - size.edge / 2) < drilled / 2) return -Infinity;
      const inward = insideOutline(edge, x, y);
      return Math.min(inward, z, faceAt(body, inward) - z);
    };
  }
  const isBead = body.kind === 'bead';
  const across = body.kind === 'point' ? body.drilled : undefined;
  const begin = isBead ? -body.length / 2 : 0;
  const profile = Array.from({ length: STATIONS + 1 }, (_, station) => {
    const x = begin + (body.length * station) / STATIONS;
    return { x, y: isBead ? beadRadius(body, x) : radiusAt(body, x) };
  });
  const round = [...profile, ...[...profile].reverse().map(({ x, y }) => ({ x, y: -y }))];
  return (at, thick) => {
    const { x, y, z } = own(at);
    const off = Math.hypot(y, z);
    const isInHole = isBead
      ? off < body.hole / 2 + thick
      : across !== undefined && Math.hypot(x - across.at, z) < across.hole / 2;
    return isInHole ? -Infinity : insideOutline(round, x, off);
  };
}

/** Places of a line within a sphere, as close together as it is looked at. */
function placesWithin(path: Path, middle: Vec3, reach: number): Vec3[] {
  const places: Vec3[] = [];
  path.forEach((to, index) => {
    const from = path[index - 1] ?? to;
    const long = distance3(from, to);
    // Most of a wire is nowhere near.
    if (distance3(to, middle) > reach + long) return;
    for (const at of long > STEP ? finely([from, to], STEP).slice(1) : [to])
      if (distance3(at, middle) <= reach) places.push(at);
  });
  return places;
}

/**
 * Where wires of a piece lie in its stones and beads, the deepest place of each two.
 * @param allowed how far the surface of a wire may be inside, mm
 */
export function insideBodies({ wires, bodies }: RunPiece, allowed = 0.3): Inside[] {
  return bodies.flatMap((body) => {
    const depth = depthIn(body);
    const { middle, reach } = sphereAbout(body);
    return wires.flatMap(({ wire, path }): Inside[] => {
      const thick = bendOf(wire.size).thick;
      // It is cut flat: beside its very ends there is nothing of it before them.
      const ends = [path[0], path.at(-1)] as readonly Vec3[];
      const near = placesWithin(path, middle, reach);
      const deepest = near.reduce<{ depth: number; at: Vec3 } | undefined>((most, at) => {
        if (ends.some((end) => norm3(minus3(at, end)) < thick / 2)) return most;
        const here = depth(at, thick) + thick / 2;
        return here > (most?.depth ?? allowed) ? { depth: here, at } : most;
      }, undefined);
      return deepest ? [{ wire: wire.id, body: body.id, ...deepest }] : [];
    });
  });
}
