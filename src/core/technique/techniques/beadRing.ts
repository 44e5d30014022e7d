import { counted } from '../../units/counted';
import { describeRing } from '../../ring/ringSize';
import { coil, ring } from '../formulas';
import { beadLength, count, drilled, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { insideWanted, ringStart } from '../ringStart';
import { frameRow, winding } from '../winding';

/** A bead on a band that is wrapped on a mandrel, with the ends wound round the bead and the shank. */
export const beadRing = technique({
  id: 'bead-ring',
  title: 'Ring wrapped round a bead',
  group: 'rings',
  source:
    'bands π(a + D); swirls and shank wraps are helices: plane geometry. Start one size large (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'bead ring'),
    inside: insideWanted,
    bands: count('Bands round the finger', 2, 1, 6),
    bead: beadLength('Bead', 6, 2, 30),
    drilled: drilled(1),
    swirls: count('Turns round the bead', 2, 0, 10),
    wraps: count('Wraps on the shank at each side', 3, 1, 12),
    tail: length('Handling tail at each end', 15, 0, 80),
  },
  plan: ({ wire: thin, inside, bands, bead, swirls, wraps, tail }) => {
    const D = thin.width;
    const { begun, note } = ringStart('bead-ring', inside, bands * D);
    const shank = winding(frameRow(thin, bands), thin, wraps);
    const round = ring(begun.diameter, D);
    const radius = (begun.diameter + D) / 2;
    const turns = coil(bead, D, swirls, D);
    const middle = tail + shank.length + (bands * round + turns + bead) / 2;
    return {
      cuts: [
        {
          name: 'ring wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${counted(bands, 'band')} at the starting size`, bands * round),
            net('through the bead', bead),
            net(`${counted(swirls, 'turn')} round the bead`, turns),
            net(`${counted(wraps, 'wrap')} on each side of the shank`, 2 * shank.length),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            // Begun at the bead: both ends go round the finger from there.
            { at: middle - bead / 2, what: 'kink: the bead begins' },
            { at: middle, what: 'middle: the bead sits here' },
            { at: middle + bead / 2, what: 'kink: the bead ends' },
          ],
          drawn: [
            ...Array.from({ length: bands }, (_, index) =>
              bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, index * D),
            ),
            straight(-bead / 2, -radius - bead / 2, bead / 2, -radius - bead / 2),
            ...(swirls > 0 ? [helix(-(swirls * D) / 2, -radius - bead / 2, (bead + D) / 2, swirls, D)] : []),
            moved(shank.path, -bead / 2 - shank.along - D, -radius),
            moved(shank.path, bead / 2 + D, -radius),
          ],
        },
      ],
      steps: [
        { id: 'thread-bead', name: 'thread the bead to the middle', minutes: 0.5 },
        { id: 'wrap', name: `wrap it on the mandrel at ${describeRing(begun)}`, minutes: 3 },
        { id: 'swirl', name: 'wind the ends round the bead', minutes: 4 },
        { id: 'shank', name: 'wrap the shank at both sides', minutes: 4 },
        {
          id: 'tuck',
          name: 'trim, tuck, and read the size both ways round',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'thread-bead', then: 'wrap', why: 'the bead cannot be threaded when the bands are wrapped' },
      ],
      solids: [{ kind: 'disc', x: 0, y: -radius - bead / 2, diameter: bead }],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      notes: [note],
    };
  },
});
