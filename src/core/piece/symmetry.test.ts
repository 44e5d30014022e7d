import fc from 'fast-check';
import { widestGap } from '../../../tests/support/constructions';
import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { facingBack, pose, type Pose } from '../geometry/pose';
import { distance3, norm3, vec3 } from '../geometry/vec3';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import type { Course, Piece, PieceWire } from './piece';
import { runPiece, type RunWire } from './run';

/**
 * Wires of random courses, bent, coiled, curled and led through space: what no single technique would do. Two thousand of them in all;
 * what holds for them holds for what techniques are made of.
 */
const RUNS = 500;
/** The same wires every time, so that a run says what the last one said. */
const SEED = 1127;

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const signed = (min: number, max: number) =>
  fc.tuple(between(min, max), fc.boolean()).map(([by, isLeft]) => (isLeft ? -by : by));
const direction = fc
  .tuple(between(-1, 1), between(-1, 1), between(-1, 1))
  .map(([x, y, z]) => vec3(x, y, z))
  .filter((way) => norm3(way) > 0.2);
const place = fc
  .tuple(between(-40, 40), between(-40, 40), between(-20, 20))
  .map(([x, y, z]) => vec3(x, y, z));
const somewhere: fc.Arbitrary<Pose> = fc.tuple(place, direction).map(([at, along]) => pose(at, along));

const course: fc.Arbitrary<Course> = fc.oneof(
  between(0.5, 30).map((length): Course => ({ kind: 'laid', name: 'straight', length })),
  fc
    .record({ about: between(0, 12), angle: signed(5, 300), roll: between(-180, 180) })
    .map((bend): Course => ({ kind: 'bent', name: 'bend', ...bend })),
  fc
    .record({ about: between(1, 8), turns: signed(0.3, 4), pitch: between(1, 4), roll: between(-180, 180) })
    .map((coil): Course => ({ kind: 'coiled', name: 'coil', ...coil })),
  fc
    .record({ inside: between(0.5, 4), turns: signed(0.5, 4), pitch: between(1, 3) })
    .map((curl): Course => ({ kind: 'curled', name: 'curl', ...curl })),
  somewhere.map((to): Course => ({ kind: 'led', name: 'on to a place', to })),
);
const hand = fc.array(course, { maxLength: 5 });
const wires: fc.Arbitrary<PieceWire> = fc
  .record({ start: somewhere, first: hand, second: hand, thick: fc.constantFrom(0.4, 0.8, 1.2) })
  .filter(({ first, second }) => first.length + second.length > 0)
  .map(({ thick, ...wire }) => ({
    id: 'wire',
    name: 'wire',
    cutFrom: 'wire',
    size: roundWire(thick),
    ...wire,
    tails: { first: 10, second: 20 },
  }));

const ran = (wire: PieceWire): RunWire => {
  const piece: Piece = { bodies: [], wires: [wire] };
  return expectOk(runPiece(piece)).wires[0] as RunWire;
};

const scaledTo = (by: number) => ({
  at: ({ x, y, z }: Vec3) => vec3(x * by, y * by, z * by),
  pose: ({ at, along, up }: Pose): Pose => ({ at: vec3(at.x * by, at.y * by, at.z * by), along, up }),
  course: (each: Course): Course => {
    switch (each.kind) {
      case 'laid':
        return { ...each, length: each.length * by };
      case 'bent':
        return { ...each, about: each.about * by };
      case 'coiled':
        return { ...each, about: each.about * by, pitch: each.pitch * by };
      case 'curled':
        return { ...each, inside: each.inside * by, pitch: each.pitch * by };
      case 'led':
        return { ...each, to: scaledTo(by).pose(each.to) };
      default:
        throw new Error(`no ${each.kind} is tried`);
    }
  },
});

/** Left for right: a turn to the right becomes one to the left, a plane that was rolled one way is rolled the other. */
const flip = ({ x, y, z }: Vec3): Vec3 => vec3(-x, y, z);
const flipped = ({ at, along, up }: Pose): Pose => ({ at: flip(at), along: flip(along), up: flip(up) });
const mirrored = (each: Course): Course => {
  switch (each.kind) {
    case 'laid':
      return each;
    case 'bent':
      return { ...each, angle: -each.angle, roll: -(each.roll ?? 0) };
    case 'coiled':
      return { ...each, turns: -each.turns, roll: -(each.roll ?? 0) };
    case 'curled':
      return { ...each, turns: -each.turns };
    case 'led':
      return { ...each, to: flipped(each.to) };
    default:
      throw new Error(`no ${each.kind} is tried`);
  }
};

/** How far two lines of as many points lie from one another at most, mm. */
const apart = (a: Path, b: Path): number =>
  a.length === b.length ? Math.max(...a.map((at, index) => distance3(at, b[index] as Vec3))) : Infinity;

describe('a wire of any courses', () => {
  it('has no gap, and is as long as its courses together, drawn and reckoned, within 0.5 %', () => {
    fc.assert(
      fc.property(wires, (wire) => {
        const run = ran(wire);
        expect(widestGap(run)).toBeLessThan(1e-6);
        // A wire that goes nowhere is as long as nothing.
        expect(Math.abs(lengthOfPath(run.path) - run.net)).toBeLessThan(0.005 * run.net + 1e-9);
        expect(run.cut).toBeCloseTo(run.net + 30, 9);
      }),
      { numRuns: RUNS, seed: SEED },
    );
  });

  it('twice as large is twice as long, and lies twice as far out', () => {
    fc.assert(
      fc.property(wires, (wire) => {
        const { pose: larger, course: grown } = scaledTo(2);
        const big = ran({
          ...wire,
          size: roundWire(wire.size.width * 2),
          ...(wire.start ? { start: larger(wire.start) } : {}),
          first: wire.first.map(grown),
          second: wire.second.map(grown),
        });
        const run = ran(wire);
        expect(big.net).toBeCloseTo(2 * run.net, 5);
        const [end, far] = [run.path.at(-1), big.path.at(-1)] as [Vec3, Vec3];
        expect(distance3(scaledTo(2).at(end), far)).toBeLessThan(1e-6 * (1 + norm3(far)));
      }),
      { numRuns: RUNS, seed: SEED },
    );
  });

  it('left for right it takes the same, and every point of it lies mirrored', () => {
    fc.assert(
      fc.property(wires, (wire) => {
        const run = ran(wire);
        const other = ran({
          ...wire,
          ...(wire.start ? { start: flipped(wire.start) } : {}),
          first: wire.first.map(mirrored),
          second: wire.second.map(mirrored),
        });
        expect(other.net).toBeCloseTo(run.net, 6);
        expect(apart(run.path.map(flip), other.path)).toBeLessThan(1e-5);
      }),
      { numRuns: RUNS, seed: SEED },
    );
  });

  it('its hands exchanged, it is the same wire begun the other way: the same line from its other end', () => {
    fc.assert(
      fc.property(wires, (wire) => {
        const run = ran(wire);
        const other = ran({
          ...wire,
          ...(wire.start ? { start: facingBack(wire.start) } : {}),
          first: wire.second,
          second: wire.first,
        });
        expect(other.net).toBeCloseTo(run.net, 9);
        expect(apart([...run.path].reverse(), other.path)).toBeLessThan(1e-6);
      }),
      { numRuns: RUNS, seed: SEED },
    );
  });
});
