import fc from 'fast-check';
import simpson from 'integrate-adaptive-simpson';
import { lengthOfPath } from '../geometry/path';
import { turnsRound } from './turnsRound';
import { perimeterOf } from '../outline/outline';
import { asRound, eightRound, figureEight, oneWrap, sectionRound, type FrameRow } from './wrap';

const row = (count = 1, more: Partial<FrameRow> = {}): FrameRow => ({
  profile: 'round',
  size: 0.812,
  count,
  gap: 0,
  ...more,
});
const rows = fc.record({
  profile: fc.constantFrom('round' as const, 'square' as const),
  size: fc.double({ min: 0.3, max: 3, noNaN: true }),
  count: fc.integer({ min: 1, max: 6 }),
  gap: fc.double({ min: 0, max: 1, noNaN: true }),
});

describe('one wrap', () => {
  it('round one wire agrees with a helix integrated by a library (integrate-adaptive-simpson)', () => {
    const [D, d, p] = [0.812, 0.321, 0.5];
    const r = (D + d) / 2;
    const speed = (t: number) =>
      Math.hypot(r * 2 * Math.PI * Math.sin(2 * Math.PI * t), r * 2 * Math.PI * Math.cos(2 * Math.PI * t), p);
    expect(oneWrap(row(), d, p)).toBeCloseTo(simpson(speed, 0, 1, 1e-12), 9);
  });

  it('follows the formulas of the handbook for rows of round and of square wire', () => {
    const [D, d, g, k] = [1, 0.3, 0.2, 3];
    expect(oneWrap(row(k, { size: D, gap: g }), d)).toBeCloseTo(
      Math.hypot(Math.PI * (D + d) + 2 * (k - 1) * (D + g), d),
      12,
    );
    expect(oneWrap(row(k, { size: D, profile: 'square' }), d)).toBeCloseTo(
      Math.hypot(2 * k * D + 2 * D + Math.PI * d, d),
      12,
    );
  });

  it('round several rows is the hull of all of them: as a polygon round every wire finds it', () => {
    // The hull of circles, numerically: the widest in each direction, integrated over all of them (Cauchy: perimeter = ∫ h dφ).
    const hull = (k: number, m: number, D: number, d: number, g: number) => {
      const steps = 20_000;
      let sum = 0;
      for (let step = 0; step < steps; step += 1) {
        const angle = (2 * Math.PI * step) / steps;
        const reach =
          Math.abs(Math.cos(angle)) * ((k - 1) * (D + g)) * 0.5 +
          Math.abs(Math.sin(angle)) * ((m - 1) * D) * 0.5;
        sum += reach + (D + d) / 2;
      }
      return (sum * 2 * Math.PI) / steps;
    };
    for (const [k, rowsOf] of [
      [3, 2],
      [1, 2],
      [4, 3],
      [2, 1],
    ] as const) {
      const each = row(k, { size: 1, gap: 0.2, rows: rowsOf });
      expect(Math.hypot(hull(k, rowsOf, 1, 0.3, 0.2), 0.3)).toBeCloseTo(oneWrap(each, 0.3), 5);
      expect(Math.hypot(perimeterOf(sectionRound(each, 0.3)), 0.3)).toBeCloseTo(oneWrap(each, 0.3), 9);
    }
    const squares = row(3, { profile: 'square', size: 1, rows: 2 });
    expect(oneWrap(squares, 0.3)).toBeCloseTo(Math.hypot(10 + Math.PI * 0.3, 0.3), 9);
    expect(perimeterOf(sectionRound(squares, 0.3))).toBeCloseTo(10 + Math.PI * 0.3, 9);
  });

  it('a half-round band lies with its centroid 0.424 of its height off the flat', () => {
    // Centroid of a half disc: 4r/(3π) (plane geometry).
    expect(asRound(0.4) / 2).toBeCloseTo(0.424 * 0.4, 3);
  });

  it('is drawn as long as it is computed, round any row', () => {
    fc.assert(
      fc.property(rows, fc.double({ min: 0.1, max: 1, noNaN: true }), (each, wire) => {
        expect(Math.hypot(perimeterOf(sectionRound(each, wire)), wire)).toBeCloseTo(oneWrap(each, wire), 9);
        const drawn = lengthOfPath(turnsRound(sectionRound(each, wire), 3, wire));
        expect(drawn / (3 * oneWrap(each, wire))).toBeGreaterThan(0.99);
        expect(drawn / (3 * oneWrap(each, wire))).toBeLessThanOrEqual(1.0000001);
      }),
    );
  });

  it('takes more round more, thicker or wider spaced wire, never less', () => {
    fc.assert(
      fc.property(rows, fc.double({ min: 0.1, max: 1, noNaN: true }), (each, wire) => {
        const here = oneWrap(each, wire);
        expect(oneWrap({ ...each, count: each.count + 1 }, wire)).toBeGreaterThan(here);
        expect(oneWrap({ ...each, size: each.size * 1.01 }, wire)).toBeGreaterThan(here);
        expect(oneWrap(each, wire * 1.01)).toBeGreaterThan(here);
        expect(oneWrap({ ...each, gap: each.gap + 0.01 }, wire)).toBeGreaterThanOrEqual(here);
      }),
    );
  });
});

describe('a figure-eight', () => {
  it('agrees with the approximation for crossed belts of textbooks on mechanics', () => {
    // π/2 (D₁ + D₂) + 2C + (D₁ + D₂)²/(4C), good while the belt crosses at a small angle (from memory).
    const [D, C] = [10, 60];
    const approximate = Math.PI * D + 2 * C + (2 * D) ** 2 / (4 * C);
    expect(figureEight(D, 0, C) / approximate).toBeCloseTo(1, 3);
  });

  it('of wires that touch it is two whole circles', () => {
    expect(figureEight(0.8, 0.3, 1.1)).toBeCloseTo(2 * Math.PI * 1.1, 6);
    expect(() => figureEight(0.8, 0.3, 1)).toThrow(/no room to pass/);
  });

  it('is drawn as long as it is computed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (size, wire, more) => {
          const apart = size + wire + more;
          expect(perimeterOf(eightRound(size, wire, apart))).toBeCloseTo(figureEight(size, wire, apart), 6);
        },
      ),
    );
  });
});
