import { counted } from '../../units/counted';
import { length, roundWire, wire } from '../parameter';
import { helix } from '../shapes';
import { allowance, net, technique } from '../technique';

/** Two wires of one kind twisted together. */
export const twistedWire = technique({
  id: 'twisted-wire',
  title: 'Two wires twisted together',
  group: 'coils and spirals',
  source: 'each strand is √[1 + (πdT)²] times the twist: a helix unrolled',
  parameters: {
    wire: wire('Strands', roundWire(0.511)),
    length: length('Length of the twist', 100, 1, 3000),
    turns: length('Length of one turn', 3, 0.3, 100),
    tail: length('Held at each end', 20, 0, 120),
  },
  plan: ({ wire: { width: d }, length: long, turns: lay, tail }) => {
    const turns = long / lay;
    const strand = turns * Math.hypot(Math.PI * d, lay);
    const half = (begin: number) => helix(-long / 2, 0, d / 2, turns, lay, begin);
    return {
      cuts: [
        {
          name: 'strand',
          wire: 'wire',
          count: 2,
          terms: [net(counted(turns.toFixed(1), 'turn'), strand), allowance('held at the ends', 2 * tail)],
          marks: [],
          drawn: [half(0)],
        },
      ],
      steps: [{ id: 'twist', name: 'twist evenly, under tension', minutes: 1 + turns * 0.03 }],
      notes: [`Each strand is ${((strand / long - 1) * 100).toFixed(1)} % longer than the twist.`],
    };
  },
});
