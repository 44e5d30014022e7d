import fc from 'fast-check';
import { lengthOfPath } from '../../src/core/geometry/path';
import { collisionsOf } from '../../src/core/piece/collisions';
import { insideBodies } from '../../src/core/piece/insideBodies';
import { cutOf, netOf, type Plan } from '../../src/core/technique/technique';
import { cutFromParts } from '../../src/core/technique/wireState';
import { widestGap } from './constructions';
import { named, planFor, planOf } from './techniques';
import { WHOLE } from './wholeMeasures';

/** Which measures are tried: always the same, so that a run of the tests says what the last one said. */
const SEED = 1127;
/** How many pieces of each technique are measured, and of how many it is looked whether a wire lies in anything. */
const [MEASURED, LOOKED_AT] = [58, 42];
/** How many pieces all parts together have to measure, at least. */
const LEAST = 2000;

const runOf = ({ run }: Plan) => {
  if (!run) throw new Error('it is told by the ways of its wires');
  return run;
};

/** Describes what holds of every whole technique, whatever its measures, for one of several parts of them: each part is a file, so that they run beside each other. */
export function describeRandomPieces(part: number, parts: number): void {
  let pieces = 0;
  describe.each(WHOLE.filter((_, index) => index % parts === part))('%s, whole', (id, values) => {
    it('has no gap, is as long as its terms within 0.5 %, and lies in nothing, whatever its measures', () => {
      let tried = 0;
      fc.assert(
        fc.property(values, (given) => {
          tried += 1;
          const planned = planFor(named(id), given);
          if (!planned.ok) return;
          pieces += 1;
          const run = runOf(planned.value);
          for (const each of run.wires) {
            const { wire, path, net } = each;
            // Strands of a rope that is bent are cut alike, as long as they are on average.
            const isRope = wire.first.some(({ sketched }) => sketched !== undefined);
            const within = isRope ? 0.0075 : 0.005;
            expect([wire.name, Math.abs(lengthOfPath(path) / net - 1) < within]).toEqual([wire.name, true]);
            expect([wire.name, widestGap(each) < 1e-6]).toEqual([wire.name, true]);
          }
          if (tried > LOOKED_AT) return;
          expect(collisionsOf(run)).toEqual([]);
          expect(insideBodies(run)).toEqual([]);
        }),
        { numRuns: MEASURED, endOnFailure: true, seed: SEED },
      );
    });

    it('cuts as many wires as it has, for its net lengths and its tails', () => {
      const plan = planOf(id);
      const { wires } = runOf(plan);
      // What it is wound on by itself is there already.
      const parameters = plan.cuts.map(({ wire }) => wire);
      const cut = wires.filter(({ wire }) => parameters.includes(cutFromParts(wire.cutFrom).parameter));
      // What is made of the rest of a cut is part of it.
      const whole = cut.filter(({ wire }) => wire.restOf === undefined);
      expect(plan.cuts.reduce((sum, { count }) => sum + count, 0)).toBe(whole.length);
      const [net, all] = [netOf, cutOf].map((of) =>
        plan.cuts.reduce((sum, each) => sum + each.count * of(each), 0),
      );
      // What is cut alike differs by a hundredth of a millimetre at most.
      expect(net).toBeCloseTo(
        cut.reduce((sum, each) => sum + each.net, 0),
        2,
      );
      expect(all).toBeCloseTo(
        cut.reduce((sum, each) => sum + each.cut, 0),
        2,
      );
    });
  });

  it('more than two thousand pieces could be made and were measured, with the other parts', () => {
    expect(pieces).toBeGreaterThan(LEAST / parts);
  });
}
