import { ring } from '../formulas';
import { choice, length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, technique } from '../technique';
import { bendOf } from '../winding';

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
  plan: ({ wire: of, small, large, between, stand, trim }) => {
    const { thick: D } = bendOf(of);
    const [first, last] = [ring(small, D), ring(large, D)];
    const [r, R] = [(small + D) / 2, (large + D) / 2];
    const across = stand === 'across each other';
    const small2 = bow(-between / 2 - r, 0, r, 0, 2 * Math.PI);
    return {
      cuts: [
        {
          name: 'link wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('small loop', first),
            net('between the loops', between),
            net('large loop', last),
            allowance('flush trim', 2 * trim),
          ],
          marks: [
            { at: trim + first, what: 'bend for the small loop' },
            { at: trim + first + between, what: 'bend for the large loop' },
          ],
          drawn: [
            ...(between > 0 ? [straight(-between / 2, 0, between / 2, 0)] : []),
            across ? small2.map(({ x, y }) => ({ x, y: 0, z: y })) : small2,
            bow(between / 2 + R, 0, R, Math.PI, 2 * Math.PI),
          ],
        },
      ],
      steps: [
        { id: 'small', name: 'turn the small loop', minutes: 1.5, cautions: ['cut ends'] },
        {
          id: 'large',
          name: `turn the large loop ${across ? 'at a right angle to it' : 'in the same plane'}`,
          minutes: 2,
        },
      ],
    };
  },
});
