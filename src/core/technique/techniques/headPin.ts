import { ring } from '../formulas';
import { beadLength, drilled, length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, technique } from '../technique';
import { bendOf } from '../winding';

/** A pin whose tip is folded back, so that the bead cannot slide off. */
export const headPin = technique({
  id: 'head-pin',
  title: 'Head pin with a folded tip',
  group: 'findings',
  source: 'a loop is π(a + D); the tip is two thicknesses, 2 × fold + half a turn: plane geometry',
  parameters: {
    wire: wire('Pin wire', roundWire(0.812), 'frame'),
    bead: beadLength('Beads, along their holes', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop at the top, inside', 3, 0.5, 30),
    fold: length('Folded tip', 3, 1, 15),
    trim: length('Trim', 1, 0, 20),
  },
  plan: ({ wire, bead, loop, fold, trim }) => {
    const { thick: D } = bendOf(wire);
    const round = ring(loop, D);
    const bend = (Math.PI * D) / 2;
    return {
      cuts: [
        {
          name: 'pin wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('folded tip', 2 * fold + bend),
            net('through the bead', bead),
            net('plain loop', round),
            allowance('flush trim', trim),
          ],
          marks: [
            { at: fold + bend / 2, what: 'fold the tip back' },
            { at: 2 * fold + bend + bead, what: 'bend for the loop' },
          ],
          drawn: [
            // Below the bead the tip comes up again beside the wire.
            straight(D, 0, D, fold),
            bow(D / 2, fold, D / 2, 0, Math.PI),
            straight(0, fold, 0, -bead),
            bow(0, -bead - (loop + D) / 2, (loop + D) / 2, Math.PI / 2, 2 * Math.PI),
          ],
        },
      ],
      steps: [
        { id: 'fold', name: 'fold the tip and squeeze it', minutes: 1, cautions: ['cut ends'] },
        { id: 'thread-bead', name: 'thread the beads', minutes: 0.5 },
        { id: 'loop', name: 'turn the loop', minutes: 1.5 },
      ],
      order: [{ first: 'thread-bead', then: 'loop', why: 'the bead does not pass the loop' }],
      solids: [{ kind: 'disc', x: 0, y: -bead / 2, diameter: bead }],
    };
  },
});
