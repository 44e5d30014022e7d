import fc from 'fast-check';
import { lengthOfPath } from '../geometry/path';
import { roundWire } from '../parameter/parameter';
import { plainSpec } from '../plan/totals';
import { mm } from '../units/length';
import { laidOut, laidOutLooks, laidWires } from './laidOut';
import type { PatternCut } from './pattern';

const specs = { thick: plainSpec(roundWire(0.812), 'copper'), thin: plainSpec(roundWire(0.321), 'sterling') };
const cut = (specId: keyof typeof specs, net: number, count = 1, tail = 0): PatternCut => ({
  name: 'wire',
  specId,
  count,
  net: mm(net),
  allowances: tail > 0 ? [{ name: 'tail', length: mm(tail) }] : [],
});

describe('wires laid out', () => {
  it('each is as long and as thick as it is cut, with its tails, folded where it is long', () => {
    const any = fc.record({
      net: fc.integer({ min: 5, max: 3000 }),
      tail: fc.integer({ min: 0, max: 120 }),
      count: fc.integer({ min: 1, max: 8 }),
      of: fc.constantFrom('thick' as const, 'thin' as const),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 6 }), (given) => {
        const wires = laidWires(
          given.map(({ of, net, count, tail }) => cut(of, net, count, tail)),
          specs,
        );
        expect(wires).toHaveLength(given.reduce((sum, { count }) => sum + count, 0));
        for (const { wire, path, thick } of wires) {
          const told = given[Number(wire)];
          if (!told) throw new Error('it is none of them');
          // Hairpins of eight chords are 0.6 % shorter than their arcs: 1 − sinc(π/16).
          expect(lengthOfPath(path) / (told.net + told.tail)).toBeGreaterThan(0.993);
          expect(lengthOfPath(path) / (told.net + told.tail)).toBeLessThanOrEqual(1 + 1e-9);
          expect(thick).toBe(told.of === 'thick' ? 0.812 : 0.321);
        }
        // None lies on another.
        const rows = [...new Set(wires.flatMap(({ path }) => path.map(({ y }) => y)))].length;
        expect(rows).toBeGreaterThanOrEqual(wires.length);
      }),
    );
  });

  it('is drawn in the metals of its wires; of many alike ten are enough', () => {
    const cuts = [cut('thick', 20, 36), cut('thin', 880)];
    const { wireOf } = laidOutLooks(cuts, specs);
    const wires = laidWires(cuts, specs);
    expect(wires.filter(({ wire }) => wireOf(wire).metal === 'copper')).toHaveLength(10);
    expect(wires.filter(({ wire }) => wireOf(wire).metal === 'sterling')).toHaveLength(1);
    expect(laidOut(cuts, specs).box.width).toBeGreaterThan(100);
    expect(laidOut([], specs).layers).toEqual([]);
  });
});
