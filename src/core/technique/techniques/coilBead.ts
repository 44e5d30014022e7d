import { counted } from '../../units/counted';
import { refuse } from '../../result';
import { coil } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { helix } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf } from '../winding';

/** A bead of wire alone: coiled on a mandrel, back over itself in layers that grow shorter. */
export const coilBead = technique({
  id: 'coil-bead',
  title: 'Coil bead',
  group: 'coils and spirals',
  source: 'each layer is a close coil on the one beneath, its core two thicknesses more: helices unrolled',
  parameters: {
    wire: wire('Wire', roundWire(0.644), 'coiling'),
    hole: length('Hole', 2, 0.4, 30),
    length: length('Length of the bead', 12, 1, 100),
    layers: count('Layers', 2, 1, 6),
    shorter: length('Each layer begins so far in, at both ends', 2, 0, 30),
    tail: length('Held at each end', 15, 0, 100),
  },
  plan: ({ wire, hole, length: long, layers, shorter, tail }) => {
    const { thick: d, height, pitch } = bendOf(wire);
    const top = long - 2 * shorter * (layers - 1);
    if (top < pitch)
      return refuse(
        `The last layer would be ${said(Math.max(0, top))} long; ${said(pitch)}, one turn, is the least.`,
      );
    const all = Array.from({ length: layers }, (_, layer) => {
      const turns = (long - 2 * shorter * layer) / pitch;
      const core = hole + 2 * height * layer;
      return {
        turns,
        length: coil(core, d, turns, pitch),
        path: helix(-(turns * pitch) / 2, 0, (core + d) / 2, turns, pitch),
      };
    });
    return {
      cuts: [
        {
          name: 'coiled wire',
          wire: 'wire',
          count: 1,
          terms: [
            ...all.map(({ turns, length: each }, layer) =>
              net(`layer ${layer + 1}: ${counted(turns.toFixed(1), 'turn')}`, each),
            ),
            allowance('held at the ends', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to coil' }],
          drawn: all.map(({ path }) => path),
        },
      ],
      steps: [
        {
          id: 'coil',
          name: 'coil it on its mandrel, and back over itself',
          minutes: 1 + all.reduce((sum, { turns }) => sum + turns, 0) * 0.04,
        },
        { id: 'tuck', name: 'trim and tuck the ends inside', minutes: 1.5, cautions: ['cut ends'] },
      ],
      notes: [`It is ${said(hole + 2 * height * layers)} thick in the middle.`],
    };
  },
});
