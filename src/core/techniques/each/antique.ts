import { choice } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** The whole piece darkened in a bath, and polished where it stands out; it takes no wire. */
export const antique = technique({
  id: 'antique',
  title: 'Antique and polish',
  group: 'finishing',
  source: 'common practice',
  toWholePiece: ['antiquing'],
  parameters: {
    polish: choice('Polished by', ['hand', 'tumbler'], 'hand'),
  },
  plan: ({ polish }) => ({
    cuts: [],
    steps: [
      {
        id: 'antique',
        name: 'antique it in an oxidising bath, then rinse it',
        minutes: 5,
        cautions: ['antiquing'],
      },
      {
        id: 'polish',
        name: polish === 'hand' ? 'polish what stands out' : 'tumble it',
        minutes: polish === 'hand' ? 5 : 2,
      },
      { id: 'inspect', name: 'look once more whether every stone is tight', minutes: 1 },
    ],
    order: [
      {
        first: 'antique',
        then: 'polish',
        why: 'Polishing takes the dark off again where it shall be bright.',
      },
      { first: 'polish', then: 'inspect', why: 'A bath and a polish loosen what was nearly tight.' },
    ],
  }),
});
