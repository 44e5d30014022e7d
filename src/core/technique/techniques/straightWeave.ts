import { refuse } from '../../result';
import { repeatsFor, weaveNeed, weavePaths, wireFor } from '../../weave/consume';
import { printWeave, wiresOf } from '../../weave/notation';
import { length, roundWire, weave, wire } from '../parameter';
import { straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Repeats beyond this are drawn by nobody and read by nobody. */
const MOST_REPEATS = 1000;

/** A weave over frame wires that lie side by side. */
export const straightWeave = technique({
  id: 'straight-weave',
  title: 'Weave over straight wires',
  group: 'weaves',
  source: 'the sum of its wraps, each √[(π(D + d) + 2(k − 1)(D + g))² + p²]: handbook of the trade',
  parameters: {
    weave: weave('Weave', {
      repeat: [
        { kind: 'wrap', first: 0, last: 0, wraps: 3 },
        { kind: 'wrap', first: 0, last: 1, wraps: 2 },
      ],
      close: [],
    }),
    base: wire('Frame wire', roundWire(0.812)),
    weaving: wire('Weaving wire', roundWire(0.321)),
    length: length('Length of the weave', 40, 1, 600),
    tail: length('Tail at each end of the frame wires', 60, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  plan: ({ weave: woven, base, weaving, length: long, tail, weavingTail }) => {
    const wires = {
      base: base.width,
      profile: base.profile === 'square' ? ('square' as const) : ('round' as const),
      weaving: weaving.width,
    };
    const need = weaveNeed(woven, wires);
    if (need.advance <= 0)
      return refuse('This weave does not move on along the frame; give it a wrap, like A3 AB2.');
    const repeats = repeatsFor(need, long);
    if (repeats > MOST_REPEATS) return refuse(`That is ${repeats} repeats; ${MOST_REPEATS} are allowed.`);
    const covered = repeats * need.advance + need.closeAdvance;
    return {
      cuts: [
        {
          name: 'frame wire',
          wire: 'base',
          count: wiresOf(woven),
          terms: [net('under the weave', covered), allowance('tails', 2 * tail)],
          marks: [
            { at: tail, what: 'the weave begins' },
            { at: tail + covered / 2, what: 'middle' },
            { at: tail + covered, what: 'the weave ends' },
          ],
          drawn: [straight(0, 0, covered, 0)],
        },
        {
          name: 'weaving wire',
          wire: 'weaving',
          count: 1,
          terms: [
            net(`${repeats} repeats of ${printWeave(woven)}`, wireFor(need, repeats)),
            allowance('tails', 2 * weavingTail),
          ],
          marks: [{ at: weavingTail, what: 'begin to weave' }],
          drawn: weavePaths(woven, wires, repeats),
        },
      ],
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
        { id: 'weave', name: 'weave', minutes: 3 + repeats * 0.6, cautions: ['gripping'] },
        { id: 'tuck', name: 'trim and tuck the weaving wire', minutes: 1, cautions: ['cut ends'] },
      ],
      notes: [`${repeats} repeats reach ${said(covered)}; each moves on by ${said(need.advance)}.`],
    };
  },
});
