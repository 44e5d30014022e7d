import fc from 'fast-check';
import integrate from 'integrate-adaptive-simpson';
import { studentT, studentTAt } from './studentT';

describe('Student’s t distribution', () => {
  // Table of upper critical values of Student's t distribution, NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2 (from memory).
  it.each([
    [1, 0.9, 3.078],
    [2, 0.95, 2.92],
    [4, 0.9, 1.533],
    [5, 0.975, 2.571],
    [10, 0.99, 2.764],
    [30, 0.95, 1.697],
    [100, 0.999, 3.174],
  ])('has the printed value: %d degrees of freedom, %d', (freedom, probability, printed) => {
    expect(studentTAt(probability, freedom)).toBeCloseTo(printed, 3);
  });

  it('is Cauchy’s for one degree of freedom, and has the known forms for two and three', () => {
    for (const t of [-20, -3, -0.5, 0, 0.2, 1, 7]) {
      expect(studentT(t, 1)).toBeCloseTo(0.5 + Math.atan(t) / Math.PI, 12);
      expect(studentT(t, 2)).toBeCloseTo(0.5 + t / (2 * Math.sqrt(2 + t * t)), 12);
      const s = t / Math.sqrt(3);
      expect(studentT(t, 3)).toBeCloseTo(0.5 + (s / (1 + s * s) + Math.atan(s)) / Math.PI, 12);
    }
  });

  it('is the integral of its density, whatever the degrees of freedom', () => {
    for (const freedom of [4.37, 5.1, 11.8, 40.5]) {
      const density = (t: number) => (1 + (t * t) / freedom) ** (-(freedom + 1) / 2);
      const whole = 2 * integrate(density, 0, 400, 1e-12, 40);
      for (const t of [0.3, 1.2, 2.5]) {
        const part = 0.5 + integrate(density, 0, t, 1e-12, 40) / whole;
        expect(studentT(t, freedom)).toBeCloseTo(part, 6);
      }
    }
  });

  it('leads back to where it came from, and grows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (probability, freedom) => {
          const t = studentTAt(probability, freedom);
          expect(studentT(t, freedom)).toBeCloseTo(probability, 7);
          expect(studentTAt(1 - probability, freedom)).toBeCloseTo(-t, 5);
        },
      ),
    );
  });
});
