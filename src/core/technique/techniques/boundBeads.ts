import { counted } from '../../units/counted';
import type { Path } from '../../geometry/path';
import { refuse } from '../../result';
import { boundBeads as boundOn, threaded, through } from '../boundBead';
import { beadLength, count, drilled, length, roundWire, wire } from '../parameter';
import { moved, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Small beads bound along a frame wire, with wraps between them. */
export const boundBeads = technique({
  id: 'bound-beads',
  title: 'Beads bound along a frame',
  group: 'beads',
  source:
    'n = ⌊(P − w·d)/(b + w·d)⌋, wire = (n + 1)·w wraps + n·b and the rise to each hole, 2(√(h² − r²) − r·acos(r/h)): handbook of the trade; twice through: n·b and n·π(b + d)/2 more',
  parameters: {
    base: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Binding wire', roundWire(0.321), 'weaving'),
    along: length('Length of frame to cover', 40, 1, 600),
    bead: beadLength('Bead, along its hole', 2, 0.5, 40),
    drilled: drilled(0.8),
    through,
    wraps: count('Wraps between beads', 3, 1, 30),
    tail: length('Tail at each end', 60, 0, 200),
  },
  plan: ({ base, wire: thin, along, bead, wraps, tail, through: times }) => {
    const thread = threaded(bead, thin.width, times);
    const bound = boundOn(base, thin, wraps, bead);
    const step = bead + bound.along;
    const beads = Math.floor((along - bound.along) / step + 1e-9);
    if (beads < 1)
      return refuse(
        `${said(along)} of frame hold no bead of ${said(bead)} between wraps; ${said(step + bound.along)} hold one.`,
      );
    const side = bound.height;
    const drawn: Path[] = [];
    for (let index = 0; index <= beads; index += 1) {
      const x = index * step;
      drawn.push(moved(bound.path(index > 0, index < beads), x, 0));
      const from = x + bound.along;
      if (index < beads) drawn.push(...thread.paths.map((path) => moved(path, from, -side)));
    }
    return {
      cuts: [
        {
          name: 'binding wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(counted((beads + 1) * wraps, 'wrap'), (beads + 1) * bound.wraps),
            net(`through ${counted(beads, 'bead')}`, beads * thread.inside),
            ...(thread.back > 0 ? [net('back round each bead', beads * thread.back)] : []),
            net('up to the holes and down again', beads * bound.rise),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to wrap' }],
          drawn: drawn.map((path) => moved(path, -(beads * step) / 2, 0)),
        },
      ],
      steps: [
        { id: 'count-out', name: 'count out the beads, alike on both sides', minutes: 1 + beads * 0.05 },
        { id: 'bind', name: 'bind them on, one after another', minutes: 1 + beads * 0.8 },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'bind', why: 'a strand that runs out leaves the sides unlike' }],
      solids: [
        {
          kind: 'wire' as const,
          wire: 'base',
          path: straight(-(beads * step) / 2 - 2, 0, (beads * step) / 2 + bound.along + 2, 0),
        },
        ...Array.from({ length: beads }, (_, index) => ({
          kind: 'disc' as const,
          x: index * step + bound.along + bead / 2 - (beads * step) / 2,
          y: -side,
          diameter: bead,
        })),
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [`Room for ${counted(beads, 'bead')} on ${said(along)}.`],
    };
  },
});
