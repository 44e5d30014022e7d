import { counted } from '../../units/counted';
import { coil } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { helix, moved, stoodUp, turned } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf, frameRow, winding } from '../winding';

/** Turns of one wire on a mandrel as a bail, and wraps of its end round the neck. */
export const wrappedBail = technique({
  id: 'wrapped-bail',
  title: 'Wrapped bail',
  group: 'findings',
  source: 'a close coil on the mandrel and wraps round k wires of the neck: helices unrolled',
  parameters: {
    wire: wire('Bail wire', roundWire(0.812), 'frame'),
    inside: length('Inside, for the chain', 4, 1, 30),
    turns: count('Turns of the bail', 3, 1, 20),
    neck: wire('Wires of the neck', roundWire(0.812)),
    wires: count('Wires in the neck', 2, 1, 16),
    wraps: count('Wraps round the neck', 4, 1, 30),
    tail: length('Handling tail at each end', 15, 0, 100),
  },
  plan: ({ wire: bail, inside, turns, neck, wires, wraps, tail }) => {
    const { thick: D, pitch } = bendOf(bail);
    const top = coil(inside, D, turns, pitch);
    const bound = winding(frameRow(neck, wires), bail, wraps);
    return {
      cuts: [
        {
          name: 'bail wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${counted(turns, 'turn')} of the bail`, top),
            net(`${counted(wraps, 'wrap')} round the neck`, bound.length),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail, what: 'begin on the mandrel' },
            { at: tail + top, what: 'begin to wrap the neck' },
          ],
          drawn: [
            helix((-turns * pitch) / 2, -(inside + D) / 2, (inside + D) / 2, turns, pitch),
            moved(turned(stoodUp(bound.path), Math.PI / 2), 0, D),
          ],
        },
      ],
      steps: [
        { id: 'turn', name: 'turn the bail on a mandrel', minutes: 2 },
        { id: 'hang', name: 'hang what belongs in the bail', minutes: 0.5 },
        { id: 'wrap', name: 'wrap the neck, trim and tuck', minutes: 3, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'hang', then: 'wrap', why: 'a closed ring does not pass a bail that is wrapped shut' },
      ],
      notes: [`It is ${said(turns * pitch)} wide and lets ${said(inside)} through.`],
    };
  },
});
