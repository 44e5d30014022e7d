import { coil as coilLength } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { helix, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Thin wire wound round a core, side by side or open. */
export const coil = technique({
  id: 'coil',
  title: 'Coil',
  group: 'coils and spirals',
  source: '(ℓ/p) √[(π(D + d))² + p²]: a helix unrolled',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    wire: wire('Coiled wire', roundWire(0.405), 'coiling'),
    length: length('Length of the coil', 20, 0.5, 500),
    open: length('Gap between turns', 0, 0, 20, '0 when it is wound close'),
    tail: length('Tail at each end', 25, 0, 120),
  },
  plan: ({ core, wire: { width: d }, length: long, open, tail }) => {
    const pitch = d + open;
    const turns = long / pitch;
    return {
      cuts: [
        {
          name: 'coiled wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${turns.toFixed(1)} turns`, coilLength(core.width, d, turns, pitch)),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to coil' }],
          drawn: [helix(-long / 2, 0, (core.width + d) / 2, turns, pitch)],
        },
      ],
      steps: [{ id: 'coil', name: 'wind the coil', minutes: 0.5 + turns * 0.02 }],
      solids: [{ kind: 'wire', wire: 'core', path: straight(-long / 2 - 3, 0, long / 2 + 3, 0) }],
      notes: [`${turns.toFixed(1)} turns, ${said(core.width + 2 * d)} across.`],
    };
  },
});
