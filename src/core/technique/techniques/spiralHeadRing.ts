import { refuse } from '../../result';
import { flatSpiral, ring, spiralEnd } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, moved, spiral } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { insideWanted, ringStart } from '../ringStart';

/** Wires side by side round the finger, every end rolled to a flat spiral that is the ring’s head. */
export const spiralHeadRing = technique({
  id: 'spiral-head-ring',
  title: 'Spiral-head ring',
  group: 'rings',
  source:
    'shank π(a + D), two Archimedean spirals a wire, exact; begun two to three sizes small (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(1.024), 'frame'),
    inside: insideWanted,
    wires: count('Wires side by side', 2, 1, 4),
    across: length('Each spiral across, outside', 9, 3, 30),
    hole: length('Hole in the middle of it', 0.5, 0, 10),
    tail: length('Handling tail at each end', 20, 0, 100),
  },
  plan: ({ wire: { width: D }, inside, wires, across, hole, tail }) => {
    const start = ringStart('spiral-head-ring', inside, wires * D);
    const [from, to] = [(hole + D) / 2, spiralEnd(across, D, D)];
    if (to <= from)
      return refuse(
        `Spirals of ${said(D)} wire are more than ${said(hole + 2 * D)} across; ${said(across)} is not.`,
      );
    const shank = ring(start.begun.diameter, D);
    const rolled = flatSpiral(from, to, D);
    const radius = (start.begun.diameter + D) / 2;
    const path = spiral(0, 0, from, to, D);
    const wireAt = (index: number) => {
      const z = (index - (wires - 1) / 2) * D;
      return [
        bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, z),
        moved(path, -across / 2, -radius - across / 2, z),
        moved(
          path.map((point) => ({ ...point, x: -point.x })),
          across / 2,
          -radius - across / 2,
          z,
        ),
      ];
    };
    return {
      cuts: [
        {
          name: 'ring wire',
          wire: 'wire',
          count: wires,
          terms: [
            net('shank at the starting size', shank),
            net('two spirals', 2 * rolled),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail + rolled, what: 'the shank begins' },
            { at: tail + rolled + shank / 2, what: 'middle: the back of the hand' },
            { at: tail + rolled + shank, what: 'the shank ends' },
          ],
          drawn: wireAt(0),
          places: Array.from({ length: wires - 1 }, (_, index) => wireAt(index + 1)).flat(),
        },
      ],
      steps: [
        { id: 'shank', name: 'bend the shank on the mandrel, at the starting size', minutes: 3 },
        { id: 'spirals', name: 'roll every end to a spiral', minutes: wires * 6, cautions: ['gripping'] },
        { id: 'hammer', name: 'hammer the shank, growing it to size', minutes: 5, cautions: ['hammering'] },
        { id: 'tuck', name: 'trim and smooth the ends', minutes: 3, cautions: ['cut ends', 'filing'] },
      ],
      order: [
        { first: 'spirals', then: 'hammer', why: 'the hammered shank is too hard to bend at its ends' },
      ],
      notes: [start.note],
    };
  },
});
