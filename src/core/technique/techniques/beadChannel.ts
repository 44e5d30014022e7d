import { counted } from '../../units/counted';
import type { Path } from '../../geometry/path';
import { refuse } from '../../result';
import { beadLength, count, drilled, length, roundWire, wire } from '../parameter';
import { moved, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** Beads in a row between two frame wires: the thin wire winds along one, crosses through a bead, and winds along the other. */
export const beadChannel = technique({
  id: 'bead-channel',
  title: 'Channel of beads between two wires',
  group: 'beads',
  source: 'n = ⌊P/max(b, w·d)⌋ crossings of b + D through the beads, (n + 1)·w wraps: plane geometry',
  parameters: {
    base: wire('Frame wires', roundWire(1.024), 'frame'),
    wire: wire('Lacing wire', roundWire(0.321), 'weaving'),
    along: length('Length of the channel', 40, 2, 600),
    bead: beadLength('Bead', 3, 0.5, 40),
    drilled: drilled(0.8),
    wraps: count('Wraps between beads', 8, 1, 60),
    tail: length('Tail at each end of the lacing wire', 60, 0, 200),
    frameTail: length('Tail at each end of the frame wires', 40, 0, 200),
  },
  plan: ({ base, wire: thin, along, bead, wraps, tail, frameTail }) => {
    const bound = winding(frameRow(base, 1), thin, wraps);
    const step = Math.max(bead, bound.along);
    const beads = Math.floor(along / step + 1e-9);
    if (beads < 1) return refuse(`${said(along)} of channel hold no bead; ${said(step)} hold one.`);
    const apart = bead + base.width;
    const drawn: Path[] = [];
    const left = -(beads * step) / 2;
    for (let index = 0; index <= beads; index += 1) {
      const x = left + index * step;
      const y = ((index % 2 === 0 ? -1 : 1) * apart) / 2;
      drawn.push(moved(bound.path, x - bound.along / 2, y));
      if (index < beads) drawn.push(straight(x + step / 2, y, x + step / 2, -y));
    }
    return {
      cuts: [
        {
          name: 'frame wire',
          wire: 'base',
          count: 2,
          terms: [net('along the channel', along), allowance('tails', 2 * frameTail)],
          marks: [
            { at: frameTail, what: 'the channel begins' },
            { at: frameTail + along / 2, what: 'middle' },
            { at: frameTail + along, what: 'the channel ends' },
          ],
          drawn: [straight(-along / 2, -apart / 2, along / 2, -apart / 2)],
          places: [straight(-along / 2, apart / 2, along / 2, apart / 2)],
        },
        {
          name: 'lacing wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(counted((beads + 1) * wraps, 'wrap'), (beads + 1) * bound.length),
            net(`across, through ${counted(beads, 'bead')}`, beads * apart),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to wrap' }],
          drawn,
        },
      ],
      steps: [
        { id: 'count-out', name: 'count out the beads', minutes: 1 + beads * 0.05 },
        {
          id: 'lace',
          name: 'lace the beads between the wires',
          minutes: 2 + beads * 1.1,
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'lace', why: 'a strand that runs out leaves the channel open' }],
      solids: Array.from({ length: beads }, (_, index) => ({
        kind: 'disc' as const,
        x: left + (index + 0.5) * step,
        y: 0,
        diameter: bead,
      })),
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [
        bound.along > bead
          ? `${counted(wraps, 'wrap')} reach ${said(bound.along)}, so the beads lie ${said(bound.along - bead)} apart.`
          : `${counted(wraps, 'wrap')} reach ${said(bound.along)} of the ${said(bead)} from bead to bead; ${Math.round(bead / thin.width)} would fill them.`,
      ],
    };
  },
});
