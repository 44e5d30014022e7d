import { turnsRound } from '../../geometry/path';
import { startSize, methodOf } from '../../ring/drift';
import { describeRing, ringOf } from '../../ring/ringSize';
import { oneWrap, sectionRound } from '../../wrap/wrap';
import { coil, ring } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, straight } from '../shapes';
import { allowance, net, technique } from '../technique';

/** A bead on a band that is wrapped on a mandrel, with the ends wound round the bead and the shank. */
export const beadRing = technique({
  id: 'bead-ring',
  title: 'Ring wrapped round a bead',
  group: 'rings',
  source:
    'bands π(a + D); swirls and shank wraps are helices: plane geometry. Start one size large (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812)),
    inside: length('Inside diameter wanted', 17.3, 10, 30),
    bands: count('Bands round the finger', 2, 1, 6),
    bead: length('Bead', 6, 2, 30),
    swirls: count('Turns round the bead', 2, 0, 10),
    wraps: count('Wraps on the shank at each side', 3, 1, 12),
    tail: length('Handling tail at each end', 15, 0, 80),
  },
  plan: ({ wire: { width: D }, inside, bands, bead, swirls, wraps, tail }) => {
    const begun = startSize(ringOf(inside), methodOf('bead-ring').drift);
    const row = { profile: 'round' as const, size: D, count: bands, gap: 0 };
    const round = ring(begun.diameter, D);
    const radius = (begun.diameter + D) / 2;
    const section = sectionRound(row, D);
    const shank = turnsRound(section, wraps, D);
    return {
      cuts: [
        {
          name: 'ring wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${bands} bands at the starting size`, bands * round),
            net('through the bead', bead),
            net(`${swirls} turns round the bead`, coil(bead, D, swirls, D)),
            net(`${wraps} wraps on each side of the shank`, 2 * wraps * oneWrap(row, D)),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            {
              at: tail + wraps * oneWrap(row, D) + (bands * round) / 2,
              what: 'middle: the back of the hand',
            },
          ],
          drawn: [
            ...Array.from({ length: bands }, (_, index) =>
              bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, index * D),
            ),
            straight(-bead / 2, -radius - bead / 2, bead / 2, -radius - bead / 2),
            ...(swirls > 0 ? [helix(-(swirls * D) / 2, -radius - bead / 2, (bead + D) / 2, swirls, D)] : []),
            moved(shank, -bead / 2 - wraps * D - D, -radius),
            moved(shank, bead / 2 + D, -radius),
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
      parts: [{ name: 'bead', count: 1 }],
      notes: [`Begin at ${describeRing(begun)}: it tightens to ${describeRing(ringOf(inside))}.`],
    };
  },
});
