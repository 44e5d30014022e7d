import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** A wire cut to a length that the maker knows. */
export const freeCut = technique({
  id: 'free-cut',
  title: 'A length that you know',
  group: 'anything else',
  source: 'as typed',
  parameters: {
    wire: wire('Wire', roundWire(0.812)),
    length: length('Length in the piece', 100, 0.1, 20_000),
    tail: length('Allowance', 0, 0, 2000),
  },
  plan: ({ wire: size, length: long, tail }) => {
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            name: 'wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(-long / 2, 0), vec3(1, 0)),
            first: [{ kind: 'laid', name: 'as typed', length: long }],
            second: [],
            tails: { first: tail, second: 0 },
          },
        ],
      },
      { tails: 'allowance' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [{ id: 'cut', name: 'cut it', minutes: 0.5, cautions: ['cut ends'] }],
    });
  },
});
