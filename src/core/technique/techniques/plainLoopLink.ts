import { ring } from '../formulas';
import { beadLength, drilled, length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf } from '../winding';

/** A bead between two plain loops. */
export const plainLoopLink = technique({
  id: 'plain-loop-link',
  title: 'Link with plain loops',
  group: 'links and loops',
  source: 'a loop is π(a + D): plane geometry',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop, inside', 3, 0.5, 30),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire, bead, loop, trim }) => {
    const { thick: D } = bendOf(wire);
    const each = ring(loop, D);
    const radius = (loop + D) / 2;
    return {
      cuts: [
        {
          name: 'link wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('through the bead', bead),
            net('two plain loops', 2 * each),
            allowance('flush trim', 2 * trim),
          ],
          marks: [
            { at: trim + each, what: 'bend for the first loop' },
            { at: trim + each + bead, what: 'bend for the second loop' },
          ],
          drawn: [
            straight(-bead / 2, 0, bead / 2, 0),
            bow(bead / 2 + radius, 0, radius, Math.PI, 2 * Math.PI),
            bow(-bead / 2 - radius, 0, radius, 0, 2 * Math.PI),
          ],
        },
      ],
      steps: [
        { id: 'first-loop', name: 'turn a plain loop at one end', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'thread-bead', name: 'thread the bead', minutes: 0.5 },
        { id: 'last-loop', name: 'turn the loop at the other end, in the same plane', minutes: 2 },
      ],
      order: [
        {
          first: 'thread-bead',
          then: 'last-loop',
          why: 'the bead cannot be threaded when both loops are turned',
        },
      ],
      solids: [{ kind: 'disc', x: 0, y: 0, diameter: bead }],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
    };
  },
});
