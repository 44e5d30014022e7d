import { ring } from '../formulas';
import { beadLength, drilled, length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, technique } from '../technique';
import { bendOf } from '../winding';

/** A pin with a loop at its foot. */
export const eyePin = technique({
  id: 'eye-pin',
  title: 'Eye pin',
  group: 'findings',
  source: 'a loop is π(a + D): plane geometry',
  parameters: {
    wire: wire('Pin wire', roundWire(0.812), 'frame'),
    bead: beadLength('Beads, along their holes', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop at the top, inside', 3, 0.5, 30),
    eye: length('Eye at the foot, inside', 2.5, 0.5, 30),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire, bead, loop, eye, trim }) => {
    const { thick: D } = bendOf(wire);
    const [foot, top] = [ring(eye, D), ring(loop, D)];
    return {
      cuts: [
        {
          name: 'pin wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('eye', foot),
            net('through the bead', bead),
            net('plain loop', top),
            allowance('flush trim', 2 * trim),
          ],
          marks: [
            { at: trim + foot, what: 'bend for the eye' },
            { at: trim + foot + bead, what: 'bend for the loop' },
          ],
          drawn: [
            bow(0, (eye + D) / 2, (eye + D) / 2, -Math.PI / 2, 2 * Math.PI),
            straight(0, 0, 0, -bead),
            bow(0, -bead - (loop + D) / 2, (loop + D) / 2, Math.PI / 2, 2 * Math.PI),
          ],
        },
      ],
      steps: [
        { id: 'eye', name: 'turn the eye', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'thread-bead', name: 'thread the beads', minutes: 0.5 },
        { id: 'loop', name: 'turn the loop at the top', minutes: 1.5 },
      ],
      order: [{ first: 'thread-bead', then: 'loop', why: 'the bead does not pass the loop' }],
      solids: [{ kind: 'disc', x: 0, y: -bead / 2, diameter: bead }],
    };
  },
});
