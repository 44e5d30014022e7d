import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { choice, length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** A link with a small loop and a large one, in one plane or across each other, as an earring hangs on. */
export const unevenLink = technique({
  id: 'uneven-link',
  title: 'Link with a small and a large loop',
  group: 'links and loops',
  source: 'a loop is π(a + D): plane geometry',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    small: length('Small loop, inside', 2, 0.5, 30),
    large: length('Large loop, inside', 5, 0.5, 60),
    between: length('Straight between the loops', 4, 0, 100),
    stand: choice('The loops stand', ['across each other', 'in one plane'], 'across each other'),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire: size, small, large, between, stand, trim }) => {
    const across = stand === 'across each other';
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            name: 'link wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, -between / 2), vec3(0, -1)),
            first: plainLoop({ name: 'small loop', inside: small, size, roll: across ? 90 : 0 }),
            second: [
              ...(between > 0 ? [{ kind: 'laid', name: 'between the loops', length: between } as const] : []),
              ...plainLoop({ name: 'large loop', inside: large, size }),
            ],
            tails: { first: trim, second: trim },
          },
        ],
      },
      {
        measuredFrom: 'first',
        tails: 'flush trim',
        marked: [
          { wire: 'wire', side: 'first', at: 'small loop', what: 'bend for the small loop' },
          { wire: 'wire', side: 'second', at: 'large loop', what: 'bend for the large loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'small', name: 'turn the small loop', minutes: 1.5, cautions: ['cut ends'] },
        {
          id: 'large',
          name: `turn the large loop ${across ? 'at a right angle to it' : 'in the same plane'}`,
          minutes: 2,
        },
      ],
    });
  },
});
