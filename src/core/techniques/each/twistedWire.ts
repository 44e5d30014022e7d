import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

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
  plan: ({ wire: size, length: long, turns: lay, tail }) => {
    const turns = long / lay;
    const axis = pose(vec3(-long / 2, 0), vec3(1, 0));
    const strand = Math.hypot(1, (Math.PI * size.width) / lay);
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [0, 1].map((index) => ({
          id: `strand ${index + 1}`,
          name: `strand ${index + 1}`,
          cutFrom: 'wire',
          size,
          first: [
            {
              kind: 'twisted' as const,
              name: counted(turns.toFixed(1), 'turn'),
              axis,
              strands: 2,
              strand: index,
              along: long,
              turns,
            },
          ],
          second: [],
          tails: { first: tail, second: tail },
        })),
      },
      { tails: 'held at the ends' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [{ id: 'twist', name: 'twist evenly, under tension', minutes: 1 + turns * 0.03 }],
      notes: [`Each strand is ${((strand - 1) * 100).toFixed(1)} % longer than the twist.`],
    });
  },
});
