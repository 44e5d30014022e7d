import { counted } from '../../units/counted';
import { count, length, roundWire, wire } from '../parameter';
import { bow, moved, stoodUp, straight, turned } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** Frame wires side by side folded over a mandrel and bound to the neck, their ends curled away in front. */
export const foldedBail = technique({
  id: 'folded-bail',
  title: 'Folded bail',
  group: 'findings',
  source: 'half a circle of π(a + D)/2 and two legs: plane geometry',
  parameters: {
    wire: wire('Bail wire', roundWire(0.812), 'frame'),
    wires: count('Wires side by side', 3, 1, 10),
    inside: length('Inside, for the chain', 5, 1, 30),
    leg: length('Leg from the neck to the bend', 6, 0, 40),
    binding: wire('Binding wire', roundWire(0.321), 'bundle binding'),
    wraps: count('Wraps at the neck', 8, 1, 60),
    tail: length('Tail at each end', 20, 0, 100),
    bindingTail: length('Tail at each end of the binding wire', 40, 0, 200),
  },
  plan: ({ wire: bail, wires, inside, leg, binding, wraps, tail, bindingTail }) => {
    const D = bail.width;
    const radius = (inside + D) / 2;
    const over = Math.PI * radius;
    // Front and back legs lie on each other at the neck: two rows are bound there.
    const neck = winding({ ...frameRow(bail, wires), rows: 2 }, binding, wraps);
    return {
      cuts: [
        {
          name: 'bail wire',
          wire: 'wire',
          count: wires,
          terms: [net('two legs', 2 * leg), net('over the mandrel', over), allowance('tails', 2 * tail)],
          marks: [
            { at: tail + leg, what: 'the bend begins' },
            { at: tail + leg + over / 2, what: 'middle: the top of the bail' },
            { at: tail + leg + over, what: 'the bend ends' },
          ],
          drawn: [
            straight(-radius, 0, -radius, -leg),
            bow(0, -leg, radius, Math.PI, Math.PI),
            straight(radius, -leg, radius, 0),
          ],
        },
        {
          name: 'binding wire',
          wire: 'binding',
          count: 1,
          terms: [
            net(`${counted(wraps, 'wrap')} round ${counted(2 * wires, 'wire')}`, neck.length),
            allowance('tails', 2 * bindingTail),
          ],
          marks: [{ at: bindingTail, what: 'begin to bind' }],
          drawn: [moved(turned(stoodUp(neck.path), Math.PI / 2), 0, 0)],
        },
      ],
      steps: [
        { id: 'fold', name: 'fold the wires over a mandrel', minutes: 2 },
        { id: 'hang', name: 'thread what the bail shall hold', minutes: 0.5 },
        { id: 'bind', name: 'bind the neck', minutes: 1 + wraps * 0.15 },
        { id: 'tuck', name: 'curl or tuck the ends', minutes: 3, cautions: ['cut ends', 'piercing'] },
      ],
      order: [{ first: 'hang', then: 'bind', why: 'a closed ring does not pass a bail that is bound' }],
      notes: [`It is ${said(wires * D)} wide and lets ${said(inside)} through.`],
    };
  },
});
