import fc from 'fast-check';
import { rulerEdges, roundSpan } from './ruler';
import { mm, um, UM_PER_FOOT, UM_PER_INCH, UM_PER_METRE } from './units/length';

const PER_UNIT: Readonly<Record<string, number>> = {
  mm: 1000,
  m: UM_PER_METRE,
  in: UM_PER_INCH,
  ft: UM_PER_FOOT,
};

describe('a ruler', () => {
  it('has millimetres and inches on a short one, metres and feet on a long one', () => {
    expect(rulerEdges(mm(300))).toMatchObject({ metric: { unit: 'mm' }, imperial: { unit: 'in' } });
    expect(rulerEdges(mm(30_000))).toMatchObject({ metric: { unit: 'm' }, imperial: { unit: 'ft' } });
  });

  it('puts every labelled mark where its number says', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 2_000_000_000 }), (span) => {
        const { metric, imperial } = rulerEdges(um(span));
        for (const { unit, ticks } of [metric, imperial]) {
          for (const { at, label } of ticks) {
            expect(at).toBeGreaterThanOrEqual(0);
            expect(at).toBeLessThanOrEqual(1 + 1e-9);
            if (label !== null) expect(at * span).toBeCloseTo(Number(label) * (PER_UNIT[unit] ?? NaN), 1);
          }
        }
      }),
    );
  });

  it('never carries more labels than fit beside each other on a phone', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 1_000_000_000 }), (span) => {
        const { metric, imperial } = rulerEdges(um(span));
        for (const { ticks } of [metric, imperial]) {
          expect(ticks.filter(({ label }) => label !== null).length).toBeLessThanOrEqual(8);
        }
      }),
    );
  });

  it('is as long as the longest wire on it, and not twice that', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 10_000_000_000 }), (longest) => {
        const span = roundSpan(um(longest));
        expect(span).toBeGreaterThanOrEqual(longest);
        expect(span).toBeLessThan(longest * 2);
      }),
    );
    expect(roundSpan(mm(210))).toBe(mm(300));
    expect(roundSpan(um(0), mm(50))).toBe(mm(50));
  });
});
