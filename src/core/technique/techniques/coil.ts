import { counted } from '../../units/counted';
import { length, roundWire, wire } from '../parameter';
import { moved, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf, frameRow, winding } from '../winding';

/** Thin wire wound round a core, side by side or open. */
export const coil = technique({
  id: 'coil',
  title: 'Coil',
  group: 'coils and spirals',
  source: '(ℓ/p) √[(π(D + d))² + p²], round square wire (4s + πd) in place of π(D + d): a helix unrolled',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    wire: wire('Coiled wire', roundWire(0.405), 'coiling'),
    length: length('Length of the coil', 20, 0.5, 500),
    open: length('Gap between turns', 0, 0, 20, '0 when it is wound close'),
    tail: length('Tail at each end', 25, 0, 120),
  },
  plan: ({ core, wire: coiled, length: long, open, tail }) => {
    const { height, pitch: close } = bendOf(coiled);
    const turns = long / (close + open);
    const wound = winding(frameRow(core, 1), coiled, turns, open);
    return {
      cuts: [
        {
          name: 'coiled wire',
          wire: 'wire',
          count: 1,
          terms: [net(counted(turns.toFixed(1), 'turn'), wound.length), allowance('tails', 2 * tail)],
          marks: [{ at: tail, what: 'begin to coil' }],
          drawn: [moved(wound.path, -long / 2, 0)],
        },
      ],
      steps: [{ id: 'coil', name: 'wind the coil', minutes: 0.5 + turns * 0.02 }],
      solids: [{ kind: 'wire', wire: 'core', path: straight(-long / 2 - 3, 0, long / 2 + 3, 0) }],
      notes: [`${counted(turns.toFixed(1), 'turn')}, ${said(core.width + 2 * height)} across.`],
    };
  },
});
