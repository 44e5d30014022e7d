import fc from 'fast-check';
import { lengthOfPath, type Path } from '../geometry/path';
import { pose, type Pose } from '../geometry/pose';
import { distance3, vec3 } from '../geometry/vec3';
import { expectOk, type Result } from '../result';
import type { WireSize } from '../wire/wireSize';
import { oneWrap } from '../wrap/wrap';
import type { Course, Piece, PieceWire, Wound } from './piece';
import { runPiece, type RunWire } from './run';

const round = (width: number): WireSize => ({ profile: 'round', width, height: width });
const RIGHT: Pose = pose(vec3(0, 0), vec3(1, 0));
const wire = (
  id: string,
  size: WireSize,
  first: readonly Course[],
  more: Partial<PieceWire> = {},
): PieceWire => ({
  id,
  name: id,
  cutFrom: 'wire',
  size,
  start: RIGHT,
  first,
  second: [],
  tails: { first: 0, second: 0 },
  ...more,
});
const run = (wires: readonly PieceWire[], bodies: Piece['bodies'] = []): readonly RunWire[] =>
  expectOk(runPiece({ wires, bodies })).wires;
const only = ([first]: readonly RunWire[]): RunWire => {
  if (!first) throw new Error('a wire was run');
  return first;
};
const last = (path: Path) => path.at(-1) ?? vec3(NaN, NaN);
const refusalOf = (result: Result<unknown>): string => (result.ok ? '' : result.error);
const laid = (length: number): Course => ({ kind: 'laid', name: 'laid', length });
const bent = (about: number, angle: number, roll = 0): Course => ({
  kind: 'bent',
  name: 'bent',
  about,
  angle,
  roll,
});
const coil = (on: string, from: number, wraps: number, more: Partial<Wound> = {}): Wound => ({
  kind: 'wound',
  name: 'coil',
  on: [{ wire: on, from, towards: 'first' }],
  groups: [{ kind: 'wrap', first: 0, last: 0, wraps }],
  ...more,
});

/** The farthest that two points of a line that follow one another stand apart. */
const widest = (path: Path): number =>
  Math.max(...path.slice(1).map((point, index) => distance3(point, path[index] ?? point)));

describe('one wire', () => {
  it('is bent about what it is bent about: by hand, to a hook of three sides', () => {
    // 10 on, a quarter about 4 (centre line 2.5 from its middle), 5 on: it ends 12.5 on and 7.5 to the right.
    const hook = only(run([wire('hook', round(1), [laid(10), bent(4, 90), laid(5)])]));
    expect(last(hook.path)).toEqual({ x: expect.closeTo(12.5, 9), y: expect.closeTo(7.5, 9), z: 0 });
    expect(hook.net).toBeCloseTo(15 + (Math.PI / 2) * 2.5, 9);
    // Upright: the same, towards the eye.
    const upright = only(run([wire('hook', round(1), [laid(10), bent(4, 90, 90), laid(5)])]));
    expect(last(upright.path)).toEqual({
      x: expect.closeTo(12.5, 9),
      y: expect.closeTo(0, 9),
      z: expect.closeTo(7.5, 9),
    });
  });

  it('goes from its middle both ways, alike when both hands do alike', () => {
    const both = only(
      run([
        wire('fork', round(1), [laid(8), bent(2, 90)], {
          second: [laid(8), bent(2, -90)],
          tails: { first: 3, second: 4 },
        }),
      ]),
    );
    const [end, begin] = [last(both.path), both.path[0]];
    expect(begin).toEqual({ x: expect.closeTo(-end.x, 9), y: expect.closeTo(end.y, 9), z: 0 });
    expect(both.cut).toBeCloseTo(both.net + 7, 9);
  });

  it('winds about a mandrel and rolls up: as far as their formulas say', () => {
    const spring = only(
      run([wire('s', round(0.5), [{ kind: 'coiled', name: 'spring', about: 4, turns: 6, pitch: 1 }])]),
    );
    expect(spring.net).toBeCloseTo(6 * Math.hypot(Math.PI * 4.5, 1), 9);
    // Six turns on, it stands straight above where it began, six pitches up; the axis of a helix leans by its pitch.
    expect(distance3(last(spring.path), vec3(0, 0))).toBeCloseTo(6, 6);
    const rolled = only(
      run([wire('r', round(0.8), [{ kind: 'curled', name: 'spiral', inside: 2, turns: -3, pitch: 0.8 }])]),
    );
    expect(lengthOfPath(rolled.path) / rolled.net).toBeCloseTo(1, 3);
  });

  it('has no gap, and is as long as its courses say, whatever they are', () => {
    const course: fc.Arbitrary<Course> = fc.oneof(
      fc.double({ min: 0.5, max: 30, noNaN: true }).map(laid),
      fc
        .tuple(
          fc.double({ min: 0, max: 20, noNaN: true }),
          fc.integer({ min: -400, max: 400 }),
          fc.integer({ min: 0, max: 180 }),
        )
        .filter(([, angle]) => Math.abs(angle) > 2)
        .map(([about, angle, roll]) => bent(about, angle, roll)),
      fc
        .tuple(fc.double({ min: 1, max: 12, noNaN: true }), fc.integer({ min: 1, max: 5 }), fc.boolean())
        .map(([about, turns, left]): Course => ({
          kind: 'coiled',
          name: 'coiled',
          about,
          turns: left ? -turns : turns,
          pitch: 1,
        })),
      fc
        .tuple(fc.double({ min: 0.5, max: 5, noNaN: true }), fc.integer({ min: 1, max: 4 }))
        .map(([inside, turns]): Course => ({ kind: 'curled', name: 'curled', inside, turns, pitch: 1 })),
    );
    fc.assert(
      fc.property(
        fc.array(course, { minLength: 1, maxLength: 8 }),
        fc.array(course, { maxLength: 4 }),
        (first, second) => {
          const one = only(run([wire('w', round(0.8), first, { second })]));
          expect(Math.abs(lengthOfPath(one.path) / one.net - 1)).toBeLessThan(0.005);
          // The longest that is drawn by its ends alone is what is laid straight.
          expect(widest(one.path)).toBeLessThanOrEqual(30 + 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('beads and twists', () => {
  it('the first wire that threads a bead gives it its place; a second one goes through it there', () => {
    const bead = { kind: 'bead' as const, id: 'bead', width: 6, length: 5, hole: 1 };
    const through: Course = { kind: 'threaded', name: 'through the bead', bead: 'bead' };
    const beside = pose(vec3(12, 9), vec3(0, -1));
    const { wires, bodies } = expectOk(
      runPiece({
        wires: [
          wire('a', round(0.4), [laid(10), through, laid(3)]),
          wire('b', round(0.4), [laid(2), through], { start: beside }),
        ],
        bodies: [bead],
      }),
    );
    // 10 on, then half of its length: it lies about (12.5, 0), its hole along the first wire.
    expect(bodies[0]?.pose.at).toEqual({ x: expect.closeTo(12.5, 9), y: 0, z: 0 });
    expect(wires[0]?.net).toBeCloseTo(18, 9);
    const [, way, inside] = wires[1]?.first ?? [];
    expect(way?.name).toBe('way to through the bead');
    expect(inside?.path).toEqual([
      { x: expect.closeTo(10, 9), y: expect.closeTo(0, 9), z: 0 },
      { x: expect.closeTo(15, 9), y: expect.closeTo(0, 9), z: 0 },
    ]);
    expect(refusalOf(runPiece({ wires: [], bodies: [bead] }))).toMatch(/no wire threads this bead/);
  });

  it.each([2, 3, 4])(
    '%i strands that are twisted touch their neighbours, each longer than the twist',
    (strands) => {
      const axis = pose(vec3(0, 0), vec3(1, 0));
      const twist = (strand: number): Course => ({
        kind: 'twisted',
        name: 'twist',
        axis,
        strands,
        strand,
        along: 20,
        turns: 4,
      });
      const run_ = run(
        Array.from({ length: strands }, (_, strand) =>
          wire(`s${strand}`, round(0.4), [twist(strand)], { start: undefined }),
        ),
      );
      // A helix unrolled: off the axis by r/sin(π/n), four turns in 20 mm.
      const off = 0.2 / Math.sin(Math.PI / strands);
      for (const { path } of run_)
        expect(lengthOfPath(path) / Math.hypot(20, 4 * 2 * Math.PI * off)).toBeCloseTo(1, 2);
      const [a, b] = [run_[0]?.path ?? [], run_[1]?.path ?? []];
      const apart = a.map((point, index) => distance3(point, b[index] ?? point));
      expect(Math.min(...apart)).toBeCloseTo(0.4, 6);
      expect(Math.max(...apart)).toBeCloseTo(0.4, 6);
    },
  );
});

describe('what is wound on a wire', () => {
  const frame = (courses: readonly Course[]) => wire('frame', round(0.8), courses);

  it('is as long as its turns, and lies round the wire everywhere', () => {
    const [, thin] = run([
      frame([laid(40)]),
      wire('thin', round(0.3), [coil('frame', 10, 20)], { start: undefined }),
    ]);
    if (!thin) throw new Error('it was run');
    expect(thin.net).toBeCloseTo(20 * oneWrap({ profile: 'round', size: 0.8, count: 1, gap: 0 }, 0.3), 9);
    expect(lengthOfPath(thin.path) / thin.net).toBeCloseTo(1, 2);
    for (const { y, z } of thin.path) expect(Math.hypot(y, z)).toBeCloseTo(0.55, 9);
    expect(thin.path[0]?.x).toBeCloseTo(10, 9);
    expect(last(thin.path).x).toBeCloseTo(16, 9);
  });

  it('bends with it: a coil on a hoop stays as long, touches it everywhere, and itself inside of the hoop', () => {
    const hoop = [bent(19.2, 300)];
    const [bow, thin] = run([
      frame(hoop),
      wire('thin', round(0.3), [coil('frame', 5, 100)], { start: undefined }),
    ]);
    if (!thin || !bow) throw new Error('they were run');
    // The hoop's centre line is a circle of 10 about (0, 10).
    for (const { x, y, z } of thin.path)
      expect(Math.hypot(Math.hypot(x, y - 10) - 10, z)).toBeCloseTo(0.55, 2);
    expect(Math.abs(lengthOfPath(thin.path) / thin.net - 1)).toBeLessThan(0.005);
    const end = last(thin.path);
    // 100 wraps of 0.3 begin 5 along, at 0.5 radians; inside, 9.45 from the middle, they take 30 mm: they end 3.175 radians on.
    expect(Math.atan2(end.x, 10 - end.y) + 2 * Math.PI).toBeCloseTo(0.5 + 30 / 9.45, 1);
  });

  it('goes on both ways and on both hands of its wire', () => {
    const both = wire('frame', round(0.8), [laid(30)], { second: [laid(30)] });
    const back = coil('frame', 6, 40, { on: [{ wire: 'frame', from: 6, towards: 'second' }] });
    const [, thin] = run([both, wire('thin', round(0.3), [back], { start: undefined })]);
    if (!thin) throw new Error('it was run');
    expect(thin.path[0]?.x).toBeCloseTo(6, 9);
    expect(last(thin.path).x).toBeCloseTo(-6, 9);
  });

  it('over several wires is their weave, and lies on wires that part where they part', () => {
    const step = 0.8 + 0.3;
    const beside = pose(vec3(0, step), vec3(1, 0));
    const weave: Wound = {
      ...coil('a', 2, 0),
      name: 'weave',
      on: [
        { wire: 'a', from: 2, towards: 'first' },
        { wire: 'b', from: 2, towards: 'first' },
      ],
      groups: Array.from({ length: 6 }, () => [
        { kind: 'wrap' as const, first: 0, last: 0, wraps: 3 },
        { kind: 'wrap' as const, first: 0, last: 1, wraps: 2 },
      ]).flat(),
    };
    const [, , thin] = run([
      wire('a', round(0.8), [laid(40)]),
      wire('b', round(0.8), [laid(40)], { start: beside }),
      wire('thin', round(0.3), [weave], { start: undefined }),
    ]);
    if (!thin) throw new Error('it was run');
    const one = oneWrap({ profile: 'round', size: 0.8, count: 1, gap: 0 }, 0.3);
    const two = oneWrap({ profile: 'round', size: 0.8, count: 2, gap: 0.3 }, 0.3);
    expect(thin.net).toBeCloseTo(6 * (3 * one + 2 * two), 9);
    expect(Math.abs(lengthOfPath(thin.path) / thin.net - 1)).toBeLessThan(0.005);
  });

  it('goes on from one place to the next, with the way between as a term of its own', () => {
    const [, thin] = run([
      frame([laid(60)]),
      wire('thin', round(0.3), [coil('frame', 10, 5), { ...coil('frame', 30, 5), name: 'second coil' }], {
        start: undefined,
      }),
    ]);
    expect(thin?.first.map(({ name }) => name)).toEqual(['coil', 'way to second coil', 'second coil']);
    // From 11.5 to 30 along the frame, beside it.
    expect(thin?.first[1]?.length).toBeCloseTo(18.5, 9);
  });
});

describe('what cannot be made', () => {
  it('is told with the wire, the course and the numbers', () => {
    expect(
      refusalOf(
        runPiece({
          wires: [wire('thin', round(0.3), [coil('frame', 0, 3)], { start: undefined })],
          bodies: [],
        }),
      ),
    ).toBe('thin, coil: there is no wire “frame” in this piece.');
    expect(
      refusalOf(runPiece({ wires: [wire('a', round(1), [laid(3)], { start: undefined })], bodies: [] })),
    ).toBe('a, laid: say where this wire begins.');
    const circle = [
      wire('a', round(1), [coil('b', 5, 3)], { start: undefined }),
      wire('b', round(1), [coil('a', 5, 3)], { start: undefined }),
    ];
    expect(refusalOf(runPiece({ wires: circle, bodies: [] }))).toMatch(/goes round a wire that in turn/);
  });
});
