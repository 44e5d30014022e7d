import type { Path, Vec3 } from '../geometry/path';
import { inPose } from '../geometry/pose';
import { spaceLine } from '../geometry/spaceLine';
import { cross3, distance3, dot3, minus3, norm3, plus3, scaled3, unit3, vec3 } from '../geometry/vec3';
import { centroidOf, pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { beadRadius, domeAt, onBody, radiusAt, type PlacedBody } from '../piece/body';
import { expectOk } from '../result';
import { thinned, type Off } from './thinned';

/** A surface of triangles; places and outward normals in mm, three numbers each, and three indices for each triangle. */
export interface Mesh {
  readonly positions: readonly Vec3[];
  readonly normals: readonly Vec3[];
  readonly triangles: readonly (readonly [number, number, number])[];
}

/** Several surfaces as one. */
export function together(meshes: readonly Mesh[]): Mesh {
  let before = 0;
  const triangles = meshes.flatMap(({ positions, triangles: own }) => {
    const first = before;
    before += positions.length;
    return own.map(([a, b, c]) => [a + first, b + first, c + first] as const);
  });
  return {
    positions: meshes.flatMap(({ positions }) => positions),
    normals: meshes.flatMap(({ normals }) => normals),
    triangles,
  };
}

/** Rings of points as one surface: each ring closed, neighbours joined, every triangle facing outward as its normals do. */
function joinRings(
  rings: readonly (readonly Vec3[])[],
  normalAt: (ring: number, index: number) => Vec3,
): Mesh {
  const around = rings[0]?.length ?? 0;
  const positions = rings.flat();
  const normals = rings.flatMap((ring, index) => ring.map((_, at) => normalAt(index, at)));
  const triangles = rings.slice(1).flatMap((_, ring) =>
    Array.from({ length: around }, (__, index) => {
      const next = (index + 1) % around;
      const [a, b] = [ring * around + index, ring * around + next];
      const [c, d] = [a + around, b + around];
      return [facing([a, b, d], positions, normals), facing([a, d, c], positions, normals)];
    }).flat(),
  );
  return { positions, normals, triangles };
}

/** A triangle turned so that it faces as the normals of its corners together. */
function facing(
  [a, b, c]: readonly [number, number, number],
  positions: readonly Vec3[],
  normals: readonly Vec3[],
): readonly [number, number, number] {
  const [p, q, r] = [positions[a], positions[b], positions[c]] as [Vec3, Vec3, Vec3];
  const outward = [a, b, c].reduce((sum, at) => plus3(sum, normals[at] as Vec3), vec3(0, 0));
  const towards = dot3(cross3(minus3(q, p), minus3(r, p)), outward);
  return towards >= 0 ? [a, b, c] : [a, c, b];
}

/** How closely surfaces follow what they are of. */
export interface Fineness {
  /** Sides of a wire. */
  readonly sides: number;
  /** How far a wire may stray from its line, as a part of its thickness. */
  readonly stray: number;
  /** Points round the edge of a cabochon, and rings from there to the middle of its face. */
  readonly cab: { readonly round: number; readonly rings: number };
}

/** For a file, which is looked at as closely as one likes. */
export const IN_A_FILE: Fineness = { sides: 10, stray: 0.02, cab: { round: 192, rings: 24 } };

/** For a piece that is turned on a screen: half as many triangles, since some browsers have them drawn by the processor. */
export const ON_A_SCREEN: Fineness = { sides: 8, stray: 0.03, cab: { round: 96, rings: 12 } };

const offInSpace: Off<Vec3> = (point, first, last) => {
  const [way, to] = [minus3(last, first), minus3(point, first)];
  const long = norm3(way);
  return long > 0 ? norm3(cross3(to, way)) / long : norm3(to);
};

/** A round wire along a line, closed at both ends. @param thick mm */
export function tubeMesh(path: Path, thick: number, { sides, stray }: Fineness): Mesh {
  const line = spaceLine(thinned(path, stray * thick, offInSpace));
  let along = 0;
  const poses = line.points.map((point, index) => {
    const before = line.points[index - 1];
    if (before) along += distance3(before, point);
    return line.at(along);
  });
  const ringAt = (index: number, radius: number): readonly Vec3[] => {
    const pose = poses[index] as (typeof poses)[number];
    return Array.from({ length: sides }, (_, side) => {
      const angle = (2 * Math.PI * side) / sides;
      return inPose(pose, 0, radius * Math.sin(angle), radius * Math.cos(angle));
    });
  };
  const last = poses.length - 1;
  const rings = [ringAt(0, 0), ...poses.map((_, index) => ringAt(index, thick / 2)), ringAt(last, 0)];
  const middles = [poses[0], ...poses, poses[last]].map((pose) => pose?.at ?? vec3(0, 0));
  return joinRings(rings, (ring, index) => {
    if (ring === 0) return scaled3(poses[0]?.along ?? vec3(1, 0), -1);
    if (ring === rings.length - 1) return poses[last]?.along ?? vec3(1, 0);
    return unit3(minus3(rings[ring]?.[index] as Vec3, middles[ring] as Vec3));
  });
}

/** Points round a body, and rings along half of it. */
const [ROUND, RINGS] = [48, 24];
/** Of a bead, of which there are many; it is small. */
const [BEAD_ROUND, BEAD_RINGS] = [24, 10];

/** A body in the round. */
export function bodyMesh(body: PlacedBody, { cab }: Fineness): Mesh {
  if (body.kind === 'cab') return cabMesh(body, cab);
  const [from, to] = body.kind === 'bead' ? [-body.length / 2, body.length / 2] : [0, body.length];
  const radius = (along: number) => (body.kind === 'bead' ? beadRadius(body, along) : radiusAt(body, along));
  const [around, half] = body.kind === 'bead' ? [BEAD_ROUND, BEAD_RINGS] : [ROUND, RINGS];
  const places = Array.from(
    { length: 2 * half + 1 },
    (_, index) => (from + to) / 2 - ((to - from) / 2) * Math.cos((Math.PI * index) / (2 * half)),
  );
  const rings = places.map((along) => {
    const off = radius(along);
    return Array.from({ length: around }, (_, index) => {
      const angle = (2 * Math.PI * index) / around;
      return onBody(body, along, off * Math.sin(angle), off * Math.cos(angle));
    });
  });
  const middle = onBody(body, (from + to) / 2, 0, 0);
  return joinRings(rings, (ring, index) => outwardFrom(middle, rings[ring]?.[index] as Vec3));
}

const outwardFrom = (middle: Vec3, at: Vec3): Vec3 => {
  const off = minus3(at, middle);
  return norm3(off) > 1e-9 ? unit3(off) : vec3(0, 0, 1);
};

/** A cabochon: its back flat, its edge straight up, its face a dome. */
function cabMesh(
  body: Extract<PlacedBody, { kind: 'cab' }>,
  { round, rings: inward }: Fineness['cab'],
): Mesh {
  const outline = expectOk(outlineOf(body.size));
  const edge = pointsOf(outline, Math.ceil(round / outline.curves.length));
  const middle = centroidOf(outline);
  const ring = (part: number, height: number): readonly Vec3[] =>
    edge.map(({ x, y }) => onBody(body, x + (middle.x - x) * part, y + (middle.y - y) * part, height));
  // A dome is steepest at its edge: its rings stand closer there.
  const dome = Array.from(
    { length: inward + 1 },
    (_, index) => 1 - Math.cos((Math.PI * index) / (2 * inward)),
  );
  const rings = [
    ring(1, 0),
    ring(0, 0),
    ring(0, 0),
    ...dome.map((part) => ring(part, domeAt(body.size, part))),
  ];
  const up = body.pose.up;
  const inside = onBody(body, middle.x, middle.y, body.size.edge / 2);
  return joinRings(rings, (index, at) => {
    if (index < 2) return scaled3(up, -1);
    const off = outwardFrom(inside, rings[index]?.[at] as Vec3);
    // The edge stands straight up.
    return index === 2 ? unit3(plus3(off, scaled3(up, -dot3(off, up)))) : off;
  });
}
