import { refuse } from '../../result';
import { flatSpiral, spiralEnd } from '../formulas';
import { drop, hangingCut, order, stepsOf } from '../hangingDrop';
import { length, roundWire, wire } from '../parameter';
import { moved, spiral } from '../shapes';
import { net, said, technique } from '../technique';

/** A briolette on a wrapped loop whose end is rolled to a swirl in front of its tip. */
export const brioletteSwirl = technique({
  id: 'briolette-swirl',
  title: 'Briolette with a front swirl',
  group: 'beads',
  source: 'as on a wrapped loop; the swirl is an Archimedean spiral, exact',
  parameters: {
    ...drop,
    wire: wire('Wire', roundWire(0.644), 'hanging'),
    swirl: length('Swirl across, outside', 6, 1, 40),
    open: length('Gap between its turns', 0.2, 0, 5),
  },
  plan: ({ swirl, open, ...told }) => {
    const D = told.wire.width;
    const [from, to] = [D, spiralEnd(swirl, D, D + open)];
    if (to <= from)
      return refuse(`A swirl of ${said(D)} wire is more than ${said(3 * D)} across; ${said(swirl)} is not.`);
    const rolled = flatSpiral(from, to, D + open);
    return {
      cuts: [
        hangingCut(told, {
          sits: 'the drop sits here, at the short end',
          loopOf: 'short',
          terms: [net('swirl in front', rolled)],
          drawn: [moved(spiral(0, 0, from, to, D + open), 0, 0, 2 * D)],
        }),
      ],
      steps: [
        ...stepsOf('short'),
        { id: 'wrap', name: 'wrap the stem', minutes: 1.5 },
        { id: 'swirl', name: 'roll the swirl and lay it over the tip', minutes: 4, cautions: ['cut ends'] },
      ],
      order,
      parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
    };
  },
});
