import fc from 'fast-check';
import { lengthOfPath } from './path';
import { smoothLine, tightestBend } from './smoothLine';
import { distance3, vec3 } from './vec3';

describe('a smooth line through points', () => {
  it('is straight where its points are', () => {
    const line = smoothLine([
      { x: 10, y: 0 },
      { x: 24, y: 0 },
    ]);
    expect(lengthOfPath(line)).toBeCloseTo(24, 9);
    expect(tightestBend(line).radius).toBe(Infinity);
  });

  it('follows a circle through points on it: three quarters of one of 20 mm across, to its right', () => {
    const at = (degrees: number) => {
      const angle = (degrees * Math.PI) / 180;
      return { x: 10 * Math.sin(angle), y: 10 - 10 * Math.cos(angle) };
    };
    const line = smoothLine([45, 90, 135, 180, 225, 270].map(at));
    // Arc length rθ, plane geometry.
    expect(lengthOfPath(line) / (10 * 1.5 * Math.PI)).toBeCloseTo(1, 2);
    for (const { x, y } of line) expect(Math.abs(Math.hypot(x, y - 10) - 10)).toBeLessThan(0.1);
    expect(Math.abs(tightestBend(line).radius - 10)).toBeLessThan(1.5);
  });

  it('tells where it bends the most: at the corner of a hairpin, tighter than its points are apart', () => {
    const line = smoothLine([
      { x: 10, y: 0 },
      { x: 11, y: 1 },
      { x: 10, y: 2 },
      { x: 0, y: 2 },
    ]);
    const { on, radius } = tightestBend(line);
    expect(radius).toBeLessThan(1.2);
    expect(radius).toBeGreaterThan(0.5);
    expect(on).toBeGreaterThan(9);
    expect(on).toBeLessThan(14);
  });

  it('turns right back at a point: round, with that point the farthest out', () => {
    const line = smoothLine([
      { x: 0, y: -8 },
      { x: 0, y: 0 },
    ]);
    expect(Math.min(...line.map(({ y }) => y))).toBeCloseTo(-8, 1);
    expect(distance3(line.at(-1) ?? vec3(9, 9), vec3(0, 0))).toBeLessThan(1e-9);
    expect(tightestBend(line).radius).toBeGreaterThan(0.5);
  });

  it('goes through every point, has no gap, and grows with its points', () => {
    const point = fc.record({ x: fc.integer({ min: -40, max: 40 }), y: fc.integer({ min: -40, max: 40 }) });
    fc.assert(
      fc.property(fc.array(point, { minLength: 1, maxLength: 8 }), (given) => {
        const points = given.filter(({ x, y }, index) => {
          const before = given[index - 1] ?? { x: 0, y: 0 };
          return x !== before.x || y !== before.y;
        });
        fc.pre(points.length > 0 && (points[0]?.x !== 0 || points[0]?.y !== 0));
        const line = smoothLine(points);
        for (const { x, y } of points)
          expect(Math.min(...line.map((at) => distance3(at, vec3(x, y))))).toBeLessThan(1e-9);
        const chords = points.reduce((sum, { x, y }, index) => {
          const before = points[index - 1] ?? { x: 0, y: 0 };
          return sum + Math.hypot(x - before.x, y - before.y);
        }, 0);
        expect(lengthOfPath(line)).toBeGreaterThanOrEqual(chords - 1e-9);
        const twice = smoothLine(points.map(({ x, y }) => ({ x: 2 * x, y: 2 * y })));
        expect(lengthOfPath(twice)).toBeCloseTo(2 * lengthOfPath(line), 6);
      }),
    );
  });
});
