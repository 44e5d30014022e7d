import { counted } from '../../units/counted';
import { ok } from '../../result';
import { length, roundWire, weave, wire } from '../parameter';
import { said, technique } from '../technique';
import { cutsOfStrip, halvesSaid, minutesToWeave, stripOf, THREE_AND_TWO } from '../woven';

/** A weave over frame wires that lie side by side. */
export const straightWeave = technique({
  id: 'straight-weave',
  title: 'Weave over straight wires',
  group: 'weaves',
  source: 'the sum of its wraps, each √[(π(D + d) + 2(k − 1)(D + g))² + p²]: handbook of the trade',
  parameters: {
    weave: weave('Weave', THREE_AND_TWO),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    length: length('Length of the weave', 40, 1, 600),
    tail: length('Tail at each end of the frame wires', 60, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  plan: ({ weave: woven, base, weaving, length: long, tail, weavingTail }) => {
    const strip = stripOf(woven, base, weaving, long);
    if (!strip.ok) return strip;
    const { covered, repeats, advance } = strip.value;
    return ok({
      cuts: cutsOfStrip(strip.value, { frame: tail, weaving: weavingTail }),
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
        { id: 'weave', name: 'weave', minutes: 3 + minutesToWeave(strip.value), cautions: ['gripping'] },
        { id: 'tuck', name: 'trim and tuck the weaving wire', minutes: 1, cautions: ['cut ends'] },
      ],
      notes: [
        `${counted(repeats, 'repeat')} over ${said(covered)}; each moves on by ${said(advance)}.`,
        halvesSaid(repeats),
      ],
    });
  },
});
