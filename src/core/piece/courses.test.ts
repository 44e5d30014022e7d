import fc from 'fast-check';
import { lengthOfPath } from '../geometry/path';
import { pose } from '../geometry/pose';
import { distance3, plus3, scaled3, vec3 } from '../geometry/vec3';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import { acrossPath } from './across';
import { faceAt } from './body';
import type { Cab, Course, PieceWire } from './piece';
import { runPiece } from './run';

const round: Cab = {
  kind: 'cab',
  id: 'stone',
  size: { outline: 'round', length: 20, width: 20, depth: 6, edge: 2 },
  pose: pose(vec3(0, 0), vec3(0, -1)),
};

describe('a way across a stone', () => {
  it('is pulled taut: nowhere lower than the wire lies, nowhere hollow, straight as seen from above', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (y, high, thick) => {
          const path = acrossPath(round, 'front', vec3(-11.5, y, high), vec3(11.5, y, high), thick);
          for (const [index, at] of path.entries()) {
            expect(at.y).toBeCloseTo(y, 9);
            const inward = 10 - Math.hypot(at.x, at.y);
            // Between the points at which the stone is felt, a chord of its dome lies a little under it.
            if (inward > 0) expect(at.z).toBeGreaterThan(faceAt(round, inward) + thick / 2 - 0.05);
            const [before, next] = [path[index - 1], path[index + 1]];
            if (!before || !next) continue;
            const slope = (a: typeof at, b: typeof at) => (b.z - a.z) / (b.x - a.x);
            expect(slope(at, next)).toBeLessThanOrEqual(slope(before, at) + 1e-6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('behind the back it is as long as it is straight, when its ends lie behind the back, too', () => {
    const path = acrossPath(round, 'back', vec3(-12, 0, -0.6), vec3(12, 0, -0.6), 0.8);
    expect(lengthOfPath(path)).toBeCloseTo(24, 6);
  });

  it('over the middle of a dome it is as long as the string that a numeric search finds', () => {
    const path = acrossPath(round, 'front', vec3(-11, 0, 1), vec3(11, 0, 1), 0.5);
    // A string on a grid of heights, let down again and again to the middle of its neighbours, but never into the stone.
    const xs = Array.from({ length: 221 }, (_, index) => -11 + index / 10);
    const floor = xs.map((x) => {
      const inward = 10 - Math.abs(x);
      return inward >= 0 ? faceAt(round, inward) + 0.25 : -Infinity;
    });
    let high: readonly number[] = xs.map((_, index) => (index === 0 || index === 220 ? 1 : 8));
    for (let round = 0; round < 40_000; round += 1)
      high = high.map((each, index) =>
        index === 0 || index === 220
          ? each
          : Math.max(floor[index] as number, ((high[index - 1] as number) + (high[index + 1] as number)) / 2),
      );
    const string = lengthOfPath(xs.map((x, index) => vec3(x, 0, high[index] as number)));
    expect(Math.abs(lengthOfPath(path) / string - 1)).toBeLessThan(0.01);
  });
});

describe('beads beside a wire', () => {
  const frame: PieceWire = {
    id: 'frame',
    name: 'frame',
    cutFrom: 'frame',
    size: roundWire(1),
    start: pose(vec3(0, 0), vec3(1, 0)),
    first: [{ kind: 'bent', name: 'hoop', about: 30, angle: 300 }],
    second: [],
    tails: { first: 0, second: 0 },
  };
  const bound = (side: 'left' | 'right', times: readonly ('through' | 'back over')[]) => {
    const on = { wire: 'frame', from: 10, towards: 'first' as const };
    const courses = times.map((does): Course => ({
      kind: 'beside',
      name: does,
      bead: 'bead',
      on,
      side,
      does,
    }));
    return expectOk(
      runPiece({
        bodies: [{ kind: 'bead', id: 'bead', width: 4, length: 6, hole: 1 }],
        wires: [
          frame,
          {
            id: 'thin',
            name: 'thin',
            cutFrom: 'thin',
            size: roundWire(0.3),
            first: courses,
            second: [],
            tails: { first: 0, second: 0 },
          },
        ],
      }),
    );
  };

  it.each([
    ['left', 15.5 + 0.5 + 2],
    ['right', 15.5 - 0.5 - 2],
  ] as const)('to the %s of a hoop that goes to the right, a bead touches it from its side', (side, off) => {
    const [bead] = bound(side, ['through']).bodies;
    if (!bead) throw new Error('it is there');
    // The middle of the hoop lies a radius to the right of where it begins.
    expect(distance3(bead.pose.at, vec3(0, 15.5))).toBeCloseTo(off, 2);
  });

  it('through it the wire is as long as the bead, and back over it half of an ellipse', () => {
    const { wires } = bound('left', ['through', 'back over']);
    const [through, over] = wires[1]?.first.filter(({ course }) => course?.kind === 'beside') ?? [];
    expect(through?.length).toBeCloseTo(6, 9);
    // Half axes 3.15 and 2.15: by Ramanujan’s second formula.
    const [a, b] = [3.15, 2.15];
    const h = ((a - b) / (a + b)) ** 2;
    const half = (Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))) / 2;
    expect((over?.length ?? 0) / half).toBeCloseTo(1, 2);
  });
});

describe('turns about a wire', () => {
  const turnsOf = (told: Partial<Extract<Course, { kind: 'bound' }>>, start?: PieceWire['start']) => {
    const { wires } = expectOk(
      runPiece({
        bodies: [],
        wires: [
          {
            id: 'core',
            name: 'core',
            cutFrom: 'core',
            size: roundWire(1),
            start: pose(vec3(0, 0), vec3(1, 0)),
            first: [{ kind: 'laid', name: 'core', length: 30 }],
            second: [],
            tails: { first: 0, second: 0 },
          },
          {
            id: 'thin',
            name: 'thin',
            cutFrom: 'thin',
            size: roundWire(0.4),
            ...(start ? { start } : {}),
            first: [
              {
                kind: 'bound',
                name: 'turns',
                on: [{ wire: 'core', from: 5, towards: 'first' }],
                turns: 3,
                ...told,
              },
            ],
            second: [],
            tails: { first: 0, second: 0 },
          },
        ],
      }),
    );
    return wires[1]?.path ?? [];
  };

  it.each([
    [0, vec3(5, 0, 0.7)],
    [90, vec3(5, 0.7, 0)],
    [180, vec3(5, 0, -0.7)],
    [270, vec3(5, -0.7, 0)],
  ])('begin %d° clockwise from up', (begin, at) => {
    const [first] = turnsOf({ begin });
    if (!first) throw new Error('it is wound');
    expect(distance3(first, at)).toBeLessThan(1e-6);
  });

  it('go over what lies on it: √[(π(D + 2o + d))² + p²] each', () => {
    const path = turnsOf({ over: 0.5, long: 3 * 0.4 });
    expect(Math.min(...path.map(({ y, z }) => Math.hypot(y, z)))).toBeCloseTo(0.5 + 0.5 + 0.2, 3);
    const each = Math.hypot(Math.PI * (1 + 2 * 0.5 + 0.4), 0.4);
    expect(lengthOfPath(path) / (3 * each)).toBeCloseTo(1, 2);
  });

  it('begin where the hand has come to, when they are told to look for that', () => {
    const on = [{ wire: 'core', from: 2, towards: 'first' as const }];
    const come = pose(vec3(12, -0.7, 0), vec3(0, 0, 1));
    const beginOf = (within?: number) =>
      turnsOf({ on: on.map((each) => ({ ...each, ...(within ? { within } : {}) })), begin: 270 }, come)[0]?.x;
    // The way along the wire to where it is told is put in first.
    expect(turnsOf({ on }, come).at(-1)?.x).toBeCloseTo(2 + 3 * 0.4, 6);
    expect(beginOf(20)).toBeCloseTo(12, 2);
    expect(turnsOf({ on: on.map((each) => ({ ...each, within: 20 })) }, come).at(-1)?.x).toBeCloseTo(
      12 + 3 * 0.4,
      2,
    );
  });
});

describe('what is wound on a wire before that is shaped', () => {
  const [thin, size] = [roundWire(0.3), roundWire(0.8)];
  const upTo = (mm: number, pulls: Extract<Course, { kind: 'round' }>['pulls']): Course => ({
    kind: 'round',
    name: 'round the stone',
    body: 'stone',
    from: { mm: 0 },
    to: { mm },
    play: 0.3,
    height: 1,
    ...(pulls ? { pulls } : {}),
  });
  const wireOf = (id: string, of: Pick<PieceWire, 'first' | 'start' | 'size'>): PieceWire => ({
    id,
    name: id,
    cutFrom: id,
    second: [],
    tails: { first: 0, second: 0 },
    ...of,
  });
  const wrap = { kind: 'wrap', first: 0, last: 0 } as const;
  const framed = (pulls: Extract<Course, { kind: 'round' }>['pulls'], others: readonly PieceWire[] = []) => {
    const start = pose(vec3(-10.7, 0, 1), vec3(0, -1));
    const frame = wireOf('frame', { size, start, first: [upTo(50, pulls)] });
    return expectOk(runPiece({ wires: [frame, ...others], bodies: [round] })).wires;
  };
  const middleOf = (pulls: Parameters<typeof framed>[0], from: number) => {
    const on = [{ wire: 'frame', from, towards: 'first' as const }];
    const coil: Course = { kind: 'wound', name: 'coil', on, groups: [{ ...wrap, wraps: 4 }] };
    const path = framed(pulls, [wireOf('coil', { size: thin, first: [coil] })])[1]?.path ?? [];
    const sum = path.reduce((all, at) => plus3(all, at), vec3(0, 0));
    return scaled3(sum, 1 / path.length);
  };

  it('stays where it is when the wire is pulled in before it, and the wire comes through', () => {
    const pulled = [{ at: 15, long: 10, inward: 1.5, height: 4 }];
    for (const from of [25, 32, 40])
      expect(distance3(middleOf(undefined, from), middleOf(pulled, from))).toBeLessThan(0.02);
    // In over the edge and out again the wire is longer by far more than that.
    const [plain, longer] = [undefined, pulled].map((pulls) => framed(pulls)[0]?.net ?? NaN);
    expect((longer ?? NaN) - (plain ?? NaN)).toBeGreaterThan(1);
  });

  it('spreads to both sides alike where its middle stays as the wire is bent, and to one side where its beginning does', () => {
    const bent = (isCentred: boolean) => {
      const arc: Course = { kind: 'bent', name: 'bent', about: 4, angle: 170 };
      const straight: Course = { kind: 'laid', name: 'straight', length: 20 };
      const frame = wireOf('frame', {
        size,
        start: pose(vec3(-20, 0), vec3(1, 0)),
        first: [straight, arc, straight],
      });
      // About the middle of the bend, over more than all of it.
      const middle = 20 + ((4.8 / 2) * 170 * Math.PI) / 360;
      const wraps = 40;
      const on = [{ wire: 'frame', from: middle - (wraps * 0.3) / 2, towards: 'first' as const }];
      const coil: Course = { kind: 'wound', name: 'coil', on, groups: [{ ...wrap, wraps }], isCentred };
      const coiled = wireOf('coil', { size: thin, first: [coil] });
      const path = expectOk(runPiece({ wires: [frame, coiled], bodies: [] })).wires[1]?.path ?? [];
      // Both legs lie alike about the middle of the bend.
      const [begin, end] = [path[0], path.at(-1)].map((point) =>
        distance3(point ?? vec3(NaN, NaN), vec3(0, 4.8 / 2)),
      );
      return Math.abs((begin ?? NaN) - (end ?? NaN));
    };
    expect(bent(true)).toBeLessThan(0.6);
    expect(bent(false)).toBeGreaterThan(1);
  });
});
