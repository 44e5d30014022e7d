import { counted } from '../../units/counted';
import { refuse } from '../../result';
import { flatSpiral as spiralLength, spiralEnd } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { spiral } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf } from '../winding';

/** A spiral rolled flat, from a small beginning. */
export const flatSpiral = technique({
  id: 'flat-spiral',
  title: 'Flat spiral',
  group: 'coils and spirals',
  source: 'arc length of the Archimedean spiral, exact: p/(4π) · [θ√(1 + θ²) + asinh θ]',
  parameters: {
    wire: wire('Wire', roundWire(1.024), 'coiling'),
    across: length('Across, outside', 12, 2, 150),
    start: length('Hole in the middle', 1, 0, 40),
    gap: length('Gap between turns', 0, 0, 10),
    tail: length('Tail', 20, 0, 200),
  },
  plan: ({ wire, across, start, gap, tail }) => {
    // Rolled flat, half-round and flat wire stand on edge: their height is what lies turn beside turn.
    const { thick: D } = bendOf(wire);
    const pitch = D + gap;
    const [from, to] = [(start + D) / 2, spiralEnd(across, D, pitch)];
    if (to <= from)
      return refuse(
        `A spiral of ${said(D)} wire round a hole of ${said(start)} is more than ${said(start + 2 * D)} across; ${said(across)} is not.`,
      );
    const turns = (to - from) / pitch;
    return {
      cuts: [
        {
          name: 'spiral wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(counted(turns.toFixed(1), 'turn'), spiralLength(from, to, pitch)),
            allowance('tail', tail),
          ],
          marks: [{ at: 0, what: 'begin the spiral here' }],
          drawn: [spiral(0, 0, from, to, pitch)],
        },
      ],
      steps: [{ id: 'roll', name: 'roll the spiral', minutes: 1 + turns * 0.8, cautions: ['gripping'] }],
      notes: [`By the rule π(R² − r²)/p it is ${said((Math.PI * (to ** 2 - from ** 2)) / pitch)}.`],
    };
  },
});
