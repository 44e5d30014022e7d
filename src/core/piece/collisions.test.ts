import fc from 'fast-check';
import { finely } from '../geometry/alongPath';
import type { Path } from '../geometry/path';
import { distance3, vec3 } from '../geometry/vec3';
import { roundWire } from '../parameter/parameter';
import { collisionsOf } from './collisions';
import type { RunPiece, RunWire } from './run';

/** A wire that lies along a line. */
const wireAlong = (id: string, diameter: number, path: Path): RunWire => ({
  wire: {
    id,
    name: id,
    cutFrom: id,
    size: roundWire(diameter),
    first: [],
    second: [],
    tails: { first: 0, second: 0 },
  },
  first: [{ path } as RunWire['first'][number]],
  second: [],
  between: undefined,
  path,
  net: 0,
  cut: 0,
});
const pieceOf = (...wires: RunWire[]): RunPiece => ({ wires, bodies: [] });
const straight = (id: string, diameter: number, from: ReturnType<typeof vec3>, to: ReturnType<typeof vec3>) =>
  wireAlong(id, diameter, [from, to]);

/** A coil about the x axis. */
const coil = (radius: number, pitch: number, turns: number, points: number): Path =>
  Array.from({ length: turns * points + 1 }, (_, index) => {
    const angle = (2 * Math.PI * index) / points;
    return vec3((pitch * index) / points, radius * Math.cos(angle), radius * Math.sin(angle));
  });

it('two wires that cross lie in one another by what their axes come nearer than their diameter', () => {
  const crossing = pieceOf(
    straight('a', 1, vec3(-7, 0), vec3(5, 0)),
    straight('b', 0.6, vec3(0.2, -8, 0.5), vec3(0.2, 4, 0.5)),
  );
  // Half of 1 mm and half of 0.6 mm, less the half millimetre between them.
  expect(collisionsOf(crossing)).toEqual([
    { wires: ['a', 'b'], depth: expect.closeTo(0.3, 9), at: vec3(0.2, 0, 0.25) },
  ]);
});

it('wires that touch, or bite as far as is allowed, do not lie in one another', () => {
  const beside = (apart: number) =>
    collisionsOf(
      pieceOf(
        straight('a', 0.8, vec3(0, 0), vec3(20, 0)),
        straight('b', 0.8, vec3(0, apart), vec3(20, apart)),
      ),
    ).length;
  expect([0.8, 0.71, 0.69].map(beside)).toEqual([0, 0, 1]);
});

it('a coil that is wound closer than its wire is thick lies in itself, and one that is wound open does not', () => {
  const wound = (pitch: number) => collisionsOf(pieceOf(wireAlong('c', 0.5, coil(2, pitch, 6, 48))));
  expect(wound(0.55)).toEqual([]);
  const [own] = wound(0.3);
  expect(own?.wires).toEqual(['c', 'c']);
  // Neighbouring turns are a pitch apart along the axis, and a little less square to the wire.
  expect(own?.depth).toBeCloseTo(0.2, 2);
});

it('a thin wire that is folded back within a millimetre of itself is seen', () => {
  const folded = wireAlong(
    't',
    0.1,
    finely([vec3(0, 0), vec3(0.45, 0), vec3(0.45, 0.06), vec3(0, 0.06)], 0.1),
  );
  expect(collisionsOf(pieceOf(folded))[0]?.depth).toBeCloseTo(0.04, 9);
});

it('what is found is what is found by looking everywhere', () => {
  const place = fc.record({
    x: fc.double({ min: -6, max: 6, noNaN: true }),
    y: fc.double({ min: -6, max: 6, noNaN: true }),
    z: fc.double({ min: -2, max: 2, noNaN: true }),
  });
  const line = fc.array(place, { minLength: 2, maxLength: 5 });
  /** Places of a line a tenth of a millimetre apart. */
  const places = (path: Path) =>
    path.slice(1).flatMap((to, index) => {
      const from = path[index] ?? to;
      const parts = Math.max(1, Math.ceil(distance3(from, to) / 0.1));
      return Array.from({ length: parts + 1 }, (_, part) =>
        vec3(
          from.x + ((to.x - from.x) * part) / parts,
          from.y + ((to.y - from.y) * part) / parts,
          from.z + ((to.z - from.z) * part) / parts,
        ),
      );
    });
  let met = 0;
  fc.assert(
    fc.property(line, line, fc.double({ min: 0.2, max: 1.6, noNaN: true }), (a, b, diameter) => {
      const piece = pieceOf(wireAlong('a', diameter, a), wireAlong('b', 0.5, b));
      const found = collisionsOf(piece, 0).find(({ wires: [one, other] }) => one !== other);
      const [there, others] = [places(a), places(b)];
      const apart = Math.min(...there.map((at) => Math.min(...others.map((other) => distance3(at, other)))));
      // Places are a tenth of a millimetre apart: the axes come as near as that tells, or nearer by a little.
      const depth = (diameter + 0.5) / 2 - apart;
      if (found) met += 1;
      expect(found?.depth ?? 0).toBeGreaterThanOrEqual(Math.max(0, depth) - 1e-9);
      expect(found?.depth ?? 0).toBeLessThan(Math.max(0, depth + 0.08));
    }),
    { seed: 3, numRuns: 120 },
  );
  expect(met).toBeGreaterThan(20);
});
