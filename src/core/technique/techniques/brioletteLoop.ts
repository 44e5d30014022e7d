import { stemWraps } from '../formulas';
import { drop, hanging, order, steps } from '../hangingDrop';
import { helix } from '../shapes';
import { allowance, net, technique } from '../technique';

/** A briolette on a plain wrapped loop. */
export const brioletteLoop = technique({
  id: 'briolette-loop',
  title: 'Briolette on a wrapped loop',
  group: 'beads',
  source: 'legs by Pythagoras, loop π(a + D), wraps n √[(2πD)² + D²]: plane geometry',
  parameters: drop,
  plan: ({ wire: { width: D }, across, above, loop, wraps, tail }) => {
    const hung = hanging(D, across, above, loop, wraps);
    return {
      cuts: [
        {
          name: 'hanging wire',
          wire: 'wire',
          count: 1,
          terms: [
            ...hung.terms,
            net(`${wraps} wraps on the stem`, stemWraps(D, wraps)),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail + hung.leg + across / 2, what: 'the drop sits here, not in the middle' },
            { at: tail + 2 * hung.leg + across + hung.stem, what: 'bend aside for the loop' },
          ],
          drawn: [...hung.drawn, helix(-hung.stem / 2, -above, D, wraps, D)],
        },
      ],
      steps: [
        ...steps,
        {
          id: 'wrap',
          name: 'wrap it shut with the shorter leg, trim and tuck',
          minutes: 2,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: 'briolette', count: 1 }],
    };
  },
});
