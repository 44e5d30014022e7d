import { drop, hangingCut, order, stepsOf } from '../hangingDrop';
import { said, technique } from '../technique';

/** A briolette on a plain wrapped loop. */
export const brioletteLoop = technique({
  id: 'briolette-loop',
  title: 'Briolette on a wrapped loop',
  group: 'beads',
  source: 'legs by Pythagoras, loop π(a + D), wraps n √[(2πD)² + D²]: plane geometry',
  parameters: drop,
  plan: (told) => ({
    cuts: [hangingCut(told, { sits: 'the drop sits here, not in the middle', loopOf: 'longer' })],
    steps: [
      ...stepsOf('longer'),
      {
        id: 'wrap',
        name: 'wrap it shut with the shorter leg, trim and tuck',
        minutes: 2,
        cautions: ['cut ends'],
      },
    ],
    order,
    parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
  }),
});
