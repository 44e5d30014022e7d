import { ring } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, technique } from '../technique';
import { bendOf } from '../winding';

/** A French hook: a loop in front, over the ear, and a leg behind. */
export const earWire = technique({
  id: 'ear-wire',
  title: 'Ear wire',
  group: 'findings',
  source: 'loop π(a + D), half a circle over the ear, two legs: plane geometry',
  parameters: {
    wire: wire('Ear wire', roundWire(0.812), 'ear wire'),
    loop: length('Loop, inside', 2, 0.8, 10),
    front: length('Leg in front', 6, 0, 40),
    hook: length('Width over the ear, inside', 9, 4, 30),
    back: length('Leg behind', 18, 5, 60),
    trim: length('Trim and rounding at each end', 1, 0, 10),
  },
  plan: ({ wire, loop, front, hook, back, trim }) => {
    const { thick: D } = bendOf(wire);
    const round = ring(loop, D);
    const over = (Math.PI * (hook + D)) / 2;
    const radius = (hook + D) / 2;
    return {
      cuts: [
        {
          name: 'ear wire',
          wire: 'wire',
          // One for an ear; a pair is two of everything.
          count: 1,
          terms: [
            net('loop', round),
            net('leg in front', front),
            net('over the ear', over),
            net('leg behind', back),
            allowance('trim and rounding', 2 * trim),
          ],
          marks: [
            { at: trim + round, what: 'bend for the loop' },
            { at: trim + round + front, what: 'begin to bend over the mandrel' },
            { at: trim + round + front + over, what: 'the bend ends; the leg stays straight' },
          ],
          drawn: [
            bow(-radius - (loop + D) / 2, front, (loop + D) / 2, 0, 2 * Math.PI),
            straight(-radius, front, -radius, 0),
            bow(0, 0, radius, Math.PI, Math.PI),
            straight(radius, 0, radius, back),
          ],
        },
      ],
      steps: [
        {
          id: 'loop',
          name: 'turn the loop; of a pair both, step by step together',
          minutes: 1,
          cautions: ['cut ends'],
        },
        { id: 'bend', name: 'bend it over the mandrel', minutes: 1 },
        { id: 'round', name: 'round and polish the ends', minutes: 1.5, cautions: ['skin', 'filing'] },
        { id: 'harden', name: 'harden it with a few light taps', minutes: 0.5, cautions: ['hammering'] },
      ],
    };
  },
});
