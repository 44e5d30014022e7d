import { counted } from '../../units/counted';
import { coil, ring } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, stoodUp, turned } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';
import { insideWanted, ringStart } from '../ringStart';

/** A round stone in a bezel of close turns on one wire with its band, bound together at both sides. */
export const coilBezelRing = technique({
  id: 'coil-bezel-ring',
  title: 'Coil-bezel ring',
  group: 'rings',
  source:
    'bezel turns π(s + 1 + D) each, bands π(a + D); the bezel is formed 1 mm over the stone (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'bead ring'),
    inside: insideWanted,
    bands: count('Bands round the finger', 3, 1, 6),
    stone: length('Stone across', 8, 2, 30),
    over: length('Bezel larger than the stone by', 1, 0, 5),
    turns: count('Turns of the bezel', 3, 1, 12),
    wraps: count('Wraps at each side', 4, 1, 15),
    ties: count('Ties over the bezel', 4, 0, 12),
    tail: length('Handling tail at each end', 40, 0, 120),
  },
  plan: ({ wire: thin, inside, bands, stone, over, turns, wraps, ties, tail }) => {
    const D = thin.width;
    const start = ringStart('coil-bezel-ring', inside, bands * D);
    const shank = ring(start.begun.diameter, D);
    const bezel = coil(stone + over, D, turns);
    const side = winding(frameRow(thin, bands), thin, wraps);
    // A tie goes once round the stacked turns of the bezel.
    const tie = winding(frameRow(thin, turns), thin, 1);
    const radius = (start.begun.diameter + D) / 2;
    const top = -radius - D;
    const bezelRadius = (stone + over + D) / 2;
    const middle = tail + side.length + (bezel + bands * shank + ties * tie.length) / 2;
    return {
      cuts: [
        {
          name: 'ring wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${counted(turns, 'turn')} of the bezel`, bezel),
            net(`${counted(bands, 'band')} at the starting size`, bands * shank),
            net(`${counted(wraps, 'wrap')} at each side`, 2 * side.length),
            net(`${counted(ties, 'tie')} over the bezel`, ties * tie.length),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            // Begun at its centre: both ends leave the bezel and go round the finger.
            { at: middle - bezel / 2, what: 'the bezel ends, bands begin' },
            { at: middle, what: 'centre: begin the bezel here' },
            { at: middle + bezel / 2, what: 'the bezel ends, bands begin' },
          ],
          drawn: [
            // Seen from the side of the finger: the bezel’s axis points up.
            moved(turned(helix(0, 0, bezelRadius, turns, D), -Math.PI / 2), 0, top),
            ...Array.from({ length: bands }, (_, index) =>
              bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, (index - (bands - 1) / 2) * D),
            ),
            moved(stoodUp(side.path), -bezelRadius - side.along, -radius * 0.8),
            moved(stoodUp(side.path), bezelRadius, -radius * 0.8),
            ...Array.from({ length: ties }, (_, index) =>
              moved(
                turned(tie.path, Math.PI),
                bezelRadius * Math.sin((2 * Math.PI * index) / ties),
                top - (turns * D) / 2,
                bezelRadius * Math.cos((2 * Math.PI * index) / ties),
              ),
            ),
          ],
        },
      ],
      steps: [
        { id: 'bezel', name: `wind the bezel on a mandrel of ${said(stone + over)}`, minutes: 3 },
        { id: 'bands', name: 'wind the bands on the ring mandrel, at the starting size', minutes: 5 },
        { id: 'wrap', name: 'wrap both sides of the shank', minutes: 6, cautions: ['gripping'] },
        { id: 'stone', name: 'put the stone in', minutes: 2 },
        { id: 'ties', name: 'tie over the edge of the bezel', minutes: 2 + 2 * ties, cautions: ['piercing'] },
        {
          id: 'tuck',
          name: 'trim, tuck, and read the size both ways round',
          minutes: 4,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'wrap', then: 'stone', why: 'wrapping the shank would push a set stone out' },
        { first: 'stone', then: 'ties', why: 'the stone does not pass the ties' },
      ],
      solids: [{ kind: 'disc', x: 0, y: top - (turns * D) / 2, diameter: stone }],
      parts: [{ name: `round stone, ${said(stone)}`, count: 1 }],
      notes: [start.note],
    };
  },
});
