import { counted } from '../../units/counted';
import { ring, stemWraps } from '../formulas';
import { beadLength, count, drilled, length, roundWire, wire } from '../parameter';
import { bow, helix, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** A bead between two loops that are wrapped shut on their own stem. */
export const wrappedLoopLink = technique({
  id: 'wrapped-loop-link',
  title: 'Link with wrapped loops',
  group: 'links and loops',
  source: 'π(a + D) + n √[(2πD)² + D²] + the jog: handbook of the trade',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop, inside', 3, 0.5, 30),
    wraps: count('Wraps on each stem', 3, 1, 20),
    tail: length('Handling tail at each end', 15, 0, 100),
  },
  plan: ({ wire: { width: D }, bead, loop, wraps, tail }) => {
    const round = ring(loop, D);
    const shut = stemWraps(D, wraps);
    const stem = wraps * D;
    // The stem is bent aside by half the loop, so that the loop sits over it.
    const jog = (loop + D) / 2;
    const end = stem + jog + round + shut;
    const radius = (loop + D) / 2;
    const side = (way: 1 | -1) => [
      straight((way * bead) / 2, 0, way * (bead / 2 + stem), 0),
      straight(way * (bead / 2 + stem), 0, way * (bead / 2 + stem), jog),
      bow(way * (bead / 2 + stem + radius), 0, radius, way > 0 ? Math.PI : 0, 2 * Math.PI),
      helix(way > 0 ? bead / 2 : -bead / 2 - stem, 0, D, wraps, D),
    ];
    return {
      cuts: [
        {
          name: 'link wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('through the bead', bead),
            net('stems under the wraps', 2 * stem),
            net('jogs', 2 * jog),
            net('two loops', 2 * round),
            net(`${counted(wraps, 'wrap')} on each stem`, 2 * shut),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail + shut + round + jog, what: 'bend aside for the first loop' },
            { at: tail + end + bead + stem, what: 'bend aside for the second loop' },
          ],
          drawn: [straight(-bead / 2, 0, bead / 2, 0), ...side(1), ...side(-1)],
        },
      ],
      steps: [
        { id: 'first-loop', name: 'form the first loop', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'hang-first', name: 'hang what belongs in the first loop', minutes: 0.5 },
        { id: 'shut-first', name: 'wrap the first loop shut', minutes: 2 },
        { id: 'thread-bead', name: 'thread the bead', minutes: 0.5 },
        { id: 'last-loop', name: 'form the second loop', minutes: 1.5 },
        { id: 'hang-last', name: 'hang what belongs in the second loop', minutes: 0.5 },
        { id: 'shut-last', name: 'wrap the second loop shut, trim and tuck', minutes: 2.5 },
      ],
      order: [
        {
          first: 'hang-first',
          then: 'shut-first',
          why: 'nothing can be hung in a loop that is wrapped shut',
        },
        { first: 'thread-bead', then: 'last-loop', why: 'the bead does not pass a loop' },
        { first: 'hang-last', then: 'shut-last', why: 'nothing can be hung in a loop that is wrapped shut' },
      ],
      solids: [{ kind: 'disc', x: 0, y: 0, diameter: bead }],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
    };
  },
});
