import { counted } from '../../units/counted';
import { coil, ring } from '../formulas';
import { beadLength, count, drilled, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { insideWanted, ringStart } from '../ringStart';

/** A bead on a band, wire led round it from side to side in layers that grow outward, wrapped round the shank at each turn. */
export const herringboneRing = technique({
  id: 'herringbone-ring',
  title: 'Herringbone-bead ring',
  group: 'rings',
  source:
    'layer i is a circle π(b + (2i − 1)D) and a wrap √[(2πD)² + D²] on the shank at each side: plane geometry',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'bead ring'),
    inside: insideWanted,
    bands: count('Bands round the finger', 1, 1, 4),
    bead: beadLength('Bead', 8, 2, 30),
    drilled: drilled(1),
    layers: count('Layers round the bead', 3, 1, 10),
    tail: length('Handling tail at each end', 20, 0, 100),
  },
  plan: ({ wire: { width: D }, inside, bands, bead, layers, tail }) => {
    const start = ringStart('herringbone-ring', inside, bands * D);
    const round = ring(start.begun.diameter, D);
    const wrap = coil(D, D, 1);
    const radius = (start.begun.diameter + D) / 2;
    const y = -radius - bead / 2;
    const layer = (index: number) => (bead + (2 * index + 1) * D) / 2;
    const all = Array.from({ length: layers }, (_, index) => layer(index));
    const circles = all.reduce((sum, each) => sum + 2 * Math.PI * each, 0);
    return {
      cuts: [
        {
          name: 'ring wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${counted(bands, 'band')} at the starting size`, bands * round),
            net('through the bead', bead),
            net(`${counted(layers, 'layer')} round the bead`, circles),
            net('a wrap on each side of every layer', 2 * layers * wrap),
            allowance('handling tails', 2 * tail),
          ],
          marks: [{ at: tail + (bands * round) / 2, what: 'middle of the band: the back of the hand' }],
          drawn: [
            ...Array.from({ length: bands }, (_, index) =>
              bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, index * D),
            ),
            straight(-bead / 2, y, bead / 2, y),
            ...all.map((each, index) => bow(0, y, each, 0, 2 * Math.PI, (layers - index) * D * 0.2)),
            ...all.flatMap((each) => [
              moved(helix(0, 0, D, 1, D), -each - D / 2, y),
              moved(helix(0, 0, D, 1, D), each - D / 2, y),
            ]),
          ],
        },
      ],
      steps: [
        { id: 'thread-bead', name: 'thread the bead', minutes: 0.5 },
        { id: 'band', name: 'wrap the band on the mandrel', minutes: 3 },
        {
          id: 'layers',
          name: 'lead the wire round the bead, with a wrap at each side',
          minutes: 2 + layers * 3,
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck', minutes: 2, cautions: ['cut ends'] },
        {
          id: 'size',
          name: 'mallet it to size on the mandrel, turning it round between',
          minutes: 3,
          cautions: ['hammering'],
        },
      ],
      order: [
        { first: 'thread-bead', then: 'band', why: 'the bead cannot be threaded when the band is wrapped' },
        { first: 'tuck', then: 'size', why: 'a loose end is driven into the band by the mallet' },
      ],
      solids: [{ kind: 'disc', x: 0, y, diameter: bead }],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      notes: [start.note],
    };
  },
});
