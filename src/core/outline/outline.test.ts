import { Clipper, ClipperOffset, EndType, JoinType } from 'clipper-lib';
import fc from 'fast-check';
import simpson from 'integrate-adaptive-simpson';
import { expectOk } from '../result';
import { OUTLINES, type OutlineKind } from '../stone/stone';
import { distance, norm, vec } from '../geometry/vector';
import {
  alongAtAngle,
  areaOf,
  centroidOf,
  FoldedLine,
  parallelOf,
  pathOf,
  perimeterOf,
  placeAt,
  pointsOf,
  type Outline,
} from './outline';
import { outlineOf, type OutlineMeasures } from '../stone/outlineOf';
import { stripRange } from './shapes/freeform';

const outline = (kind: OutlineKind, length: number, width: number, more: Partial<OutlineMeasures> = {}) =>
  expectOk(outlineOf({ outline: kind, length, width, ...more }));

/** Some thousand points along an outline. */
const dense = (of: Outline) => pointsOf(of, Math.ceil(1600 / of.curves.length));

/** Length of a fine polygon along an outline: measured from its drawing, not from a formula. */
function measured(of: Outline): number {
  const points = dense(of);
  return points.reduce(
    (sum, point, index) => sum + distance(point, points[(index + 1) % points.length] ?? point),
    0,
  );
}

const CONVEX: OutlineKind[] = ['round', 'oval', 'teardrop', 'marquise', 'square', 'rectangle'];
const stones = fc
  .record({
    kind: fc.constantFrom(...OUTLINES),
    width: fc.double({ min: 3, max: 60, noNaN: true }),
    stretch: fc.double({ min: 1.05, max: 3, noNaN: true }),
  })
  .map(({ kind, width, stretch }) => ({ kind, width, length: width * stretch }));

describe('perimeters', () => {
  it('an ellipse agrees with a numerical integration of a library (integrate-adaptive-simpson)', () => {
    for (const [length, width] of [
      [18, 13],
      [25, 25],
      [30, 10],
      [40, 4],
    ] as const) {
      const [a, b] = [length / 2, width / 2];
      const speed = (t: number) => Math.hypot(a * Math.sin(t), b * Math.cos(t));
      expect(perimeterOf(outline('oval', length, width))).toBeCloseTo(
        4 * simpson(speed, 0, Math.PI / 2, 1e-11, 24),
        7,
      );
    }
  });

  it('an ellipse agrees with Ramanujan’s second formula to 1 in 10⁴ for any cabochon', () => {
    // Ramanujan 1914: π[(a + b)(1 + 3h/(10 + √(4 − 3h)))], h = (a − b)²/(a + b)².
    for (const [length, width] of [
      [18, 13],
      [32, 19],
      [30, 10],
    ] as const) {
      const [a, b] = [length / 2, width / 2];
      const h = (a - b) ** 2 / (a + b) ** 2;
      const ramanujan = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
      expect(perimeterOf(outline('oval', length, width)) / ramanujan).toBeCloseTo(1, 4);
    }
  });

  // Formulas of the handbook of the trade, from length L and width W.
  it('a round stone of 20 mm is 62.83 mm round', () => {
    expect(perimeterOf(outline('round', 20, 20))).toBeCloseTo(Math.PI * 20, 9);
  });

  it('a teardrop is two tangents and an arc', () => {
    const [L, W] = [18, 13];
    const [r, e] = [W / 2, L - W / 2];
    expect(perimeterOf(outline('teardrop', L, W))).toBeCloseTo(
      2 * Math.sqrt(e * e - r * r) + r * (2 * Math.PI - 2 * Math.acos(r / e)),
      9,
    );
  });

  it('a marquise is two arcs', () => {
    const [L, W] = [20, 9];
    const R = (L * L + W * W) / (4 * W);
    expect(perimeterOf(outline('marquise', L, W))).toBeCloseTo(4 * R * Math.asin(L / (2 * R)), 9);
  });

  it('a rectangle loses (8 − 2π)r at its corners', () => {
    expect(perimeterOf(outline('rectangle', 30, 20, { corner: 3 }))).toBeCloseTo(
      100 - (8 - 2 * Math.PI) * 3,
      9,
    );
  });

  it('a freeform is so long round as the strip of paper was', () => {
    const { least, most } = stripRange(30, 20);
    // A rhombus has sides √(15² + 10²); nothing that bulges outward is shorter, and the rectangle is the longest.
    expect(least).toBeCloseTo(4 * Math.hypot(15, 10), 6);
    expect(most).toBeLessThanOrEqual(100);
    for (const strip of [75, 79.3, 90, 97]) {
      expect(perimeterOf(outline('freeform', 30, 20, { strip }))).toBeCloseTo(strip, 6);
    }
    expect(outlineOf({ outline: 'freeform', length: 30, width: 20, strip: 60 })).toEqual({
      ok: false,
      error: expect.stringMatching(/strip of 60 mm does not go round 30 mm by 20 mm; that takes 72.11 mm/),
    });
  });

  it('every outline’s length is that of its drawing', () => {
    fc.assert(
      fc.property(stones, ({ kind, length, width }) => {
        const of = outline(kind, length, width);
        expect(measured(of) / perimeterOf(of)).toBeCloseTo(1, 4);
      }),
    );
  });

  it('a stone twice as large is twice as long round, with four times the area', () => {
    fc.assert(
      fc.property(stones, fc.double({ min: 0.2, max: 5, noNaN: true }), ({ kind, length, width }, by) => {
        const [one, other] = [outline(kind, length, width), outline(kind, length * by, width * by)];
        expect(perimeterOf(other) / perimeterOf(one)).toBeCloseTo(by, 9);
        expect(areaOf(other) / areaOf(one)).toBeCloseTo(by * by, 8);
      }),
    );
  });
});

describe('area and balance', () => {
  it('know the ellipse, the rectangle and the half disc (plane geometry)', () => {
    expect(areaOf(outline('oval', 18, 13))).toBeCloseTo((Math.PI * 18 * 13) / 4, 8);
    expect(areaOf(outline('square', 20, 20, { corner: 0 }))).toBeCloseTo(400, 8);
    // A crescent as deep as half its length has a half disc for its outside, less the segment that is hollow.
    const of = outline('crescent', 20, 10);
    const rise = 5;
    const R = (100 + rise * rise) / (2 * rise);
    const segment = R * R * Math.asin(10 / R) - 10 * (R - rise);
    expect(areaOf(of)).toBeCloseTo((Math.PI * 100) / 2 - segment, 8);
  });

  it('agree with a polygon library (clipper-lib) for every outline', () => {
    fc.assert(
      fc.property(stones, ({ kind, length, width }) => {
        const of = outline(kind, length, width);
        const polygon = dense(of).map(({ x, y }) => ({
          X: Math.round(x * 1e6),
          Y: Math.round(y * 1e6),
        }));
        expect(areaOf(of) / Math.abs(Clipper.Area(polygon) / 1e12)).toBeCloseTo(1, 4);
        // Walked clockwise on the paper, which a library whose y axis points up calls outward too.
        expect(Clipper.Orientation(polygon)).toBe(true);
      }),
    );
  });

  it('a teardrop balances below its middle, a symmetrical stone in it', () => {
    const { x, y } = centroidOf(outline('teardrop', 18, 13));
    expect(x).toBeCloseTo(0, 9);
    expect(y).toBeGreaterThan(0.5);
    const middle = centroidOf(outline('marquise', 18, 9));
    expect(norm(middle)).toBeLessThan(1e-9);
    // A lopsided triangle: the mean of its corners (plane geometry), traced densely enough that the smoothing stays small.
    const corners = [vec(0, 0), vec(30, 0), vec(0, 12)];
    const traced = corners.flatMap((from, index) => {
      const to = corners[(index + 1) % 3] ?? from;
      return Array.from({ length: 100 }, (_, step) =>
        vec(from.x + ((to.x - from.x) * step) / 100, from.y + ((to.y - from.y) * step) / 100),
      );
    });
    const balance = centroidOf(outline('freeform', 30, 12, { points: traced }));
    expect(distance(balance, vec(10, 4))).toBeLessThan(0.02);
  });
});

describe('the line beside an outline', () => {
  it('of a convex outline it is longer by 2π times the distance: a closed frame is perimeter + πD', () => {
    fc.assert(
      fc.property(
        stones.filter(({ kind }) => CONVEX.includes(kind)),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        ({ kind, length, width }, by) => {
          const of = outline(kind, length, width);
          expect(perimeterOf(parallelOf(of, by))).toBeCloseTo(perimeterOf(of) + 2 * Math.PI * by, 7);
        },
      ),
    );
  });

  it('agrees with a polygon library (clipper-lib, round joins), hollows included', () => {
    fc.assert(
      fc.property(
        stones.filter(({ width }) => width > 12),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        ({ kind, length, width }, by) => {
          const of = outline(kind, length, width);
          const offset = new ClipperOffset(2, 100);
          const polygon = dense(of).map(({ x, y }) => ({
            X: Math.round(x * 1e5),
            Y: Math.round(y * 1e5),
          }));
          offset.AddPath(polygon, JoinType.jtRound, EndType.etClosedPolygon);
          const found: { X: number; Y: number }[][] = [];
          offset.Execute(found, by * 1e5);
          const [largest = []] = found.sort((a, b) => b.length - a.length);
          const length2 = largest.reduce((sum, { X, Y }, index) => {
            const next = largest[(index + 1) % largest.length] ?? { X, Y };
            return sum + Math.hypot(next.X - X, next.Y - Y) / 1e5;
          }, 0);
          expect(perimeterOf(parallelOf(of, by)) / length2).toBeCloseTo(1, 3);
        },
      ),
    );
  });

  it('is drawn as long as it is computed', () => {
    fc.assert(
      fc.property(stones, ({ kind, length, width }) => {
        const of = parallelOf(outline(kind, length, width), width / 20);
        expect(measured(of) / perimeterOf(of)).toBeCloseTo(1, 3);
      }),
    );
  });

  it('refuses a hollow that is narrower than the wire', () => {
    // The hollow of this crescent has a radius of (5² + 2²)/(2·2) = 7.25 mm.
    expect(() => parallelOf(outline('crescent', 10, 4), 8)).toThrow(FoldedLine);
    expect(() => parallelOf(outline('crescent', 10, 4), 8)).toThrow(
      /hollow that is too narrow for a line 8 mm off it/,
    );
  });
});

describe('places on an outline', () => {
  it('lie as far along as was asked, all the way round', () => {
    fc.assert(
      fc.property(stones, fc.double({ min: 0, max: 1, noNaN: true }), ({ kind, length, width }, part) => {
        const of = outline(kind, length, width);
        const whole = perimeterOf(of);
        const here = placeAt(of, part * whole);
        const near = placeAt(of, part * whole + whole * 1e-4);
        expect(distance(here.point, near.point)).toBeLessThanOrEqual(whole * 1.001e-4);
        expect(norm(here.direction)).toBeCloseTo(1, 9);
      }),
    );
  });

  it('are found by their angle from the balance point', () => {
    const round = outline('round', 20, 20);
    // A quarter of the way round is at three o’clock.
    expect(alongAtAngle(round, 90)).toBeCloseTo((Math.PI * 20) / 4, 2);
    expect(alongAtAngle(round, 180)).toBeCloseTo((Math.PI * 20) / 2, 2);
    const { point } = placeAt(outline('teardrop', 18, 13), alongAtAngle(outline('teardrop', 18, 13), 0));
    expect(distance(point, vec(0, -9))).toBeLessThan(0.05);
  });
});

it('draws a closed path, and says which measures are no such outline', () => {
  for (const kind of OUTLINES) expect(pathOf(outline(kind, 20, 12))).toMatch(/^M [-\d. ]+ [LA] .* Z$/);
  const problem = (kind: OutlineKind, length: number, width: number) => {
    const result = outlineOf({ outline: kind, length, width });
    return result.ok ? '' : result.error;
  };
  expect(problem('teardrop', 12, 12)).toMatch(/longer than wide; this is 12 mm by 12 mm/);
  expect(problem('heart', 5, 20)).toMatch(/more than 11.11 mm long; this is 5 mm/);
  expect(problem('oval', 0, 5)).toMatch(/must be more than 0/);
});
