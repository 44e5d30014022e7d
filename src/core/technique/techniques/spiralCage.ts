import { refuse } from '../../result';
import { flatSpiral, ring, spiralEnd } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { bow, moved, spiral, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Two flat spirals on one wire, folded together and pulled open over an undrilled stone, with a loop to hang it by. */
export const spiralCage = technique({
  id: 'spiral-cage',
  title: 'Cage of two flat spirals',
  group: 'holding a stone',
  source: 'two Archimedean spirals, exact, joined by a straight piece; loop π(a + D)',
  parameters: {
    wire: wire('Cage wire', roundWire(1.024), 'cage'),
    across: length('Each spiral across, outside', 14, 4, 80),
    start: length('Hole in the middle', 1, 0, 20),
    gap: length('Gap between turns', 0, 0, 5),
    join: length('Straight piece between them', 6, 1, 60),
    loop: length('Hanging loop, inside', 4, 1, 20),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire: { width: D }, across, start, gap, join, loop, trim }) => {
    const pitch = D + gap;
    const [from, to] = [(start + D) / 2, spiralEnd(across, D, pitch)];
    if (to <= from)
      return refuse(
        `Spirals of ${said(D)} wire round a hole of ${said(start)} are more than ${said(start + 2 * D)} across.`,
      );
    const each = flatSpiral(from, to, pitch);
    const path = spiral(0, 0, from, to, pitch);
    return {
      cuts: [
        {
          name: 'cage wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('two spirals', 2 * each),
            net('between them', join),
            net('hanging loop', ring(loop, D)),
            allowance('trim', 2 * trim),
          ],
          marks: [
            { at: trim + each, what: 'the first spiral ends' },
            { at: trim + each + (join + ring(loop, D)) / 2, what: 'middle: the hanging loop' },
            { at: trim + each + join + ring(loop, D), what: 'the second spiral ends' },
          ],
          drawn: [
            moved(path, -across / 2 - join / 2, 0),
            moved(
              path.map(({ x, y, z }) => ({ x: -x, y: -y, z })),
              across / 2 + join / 2,
              0,
            ),
            straight(-join / 2, 0, join / 2, 0),
            bow(0, -across / 2, (loop + D) / 2, Math.PI / 2, 2 * Math.PI),
          ],
        },
      ],
      steps: [
        { id: 'spirals', name: 'roll both spirals, one from each end', minutes: 8, cautions: ['gripping'] },
        { id: 'fold', name: 'fold them together', minutes: 1 },
        { id: 'stone', name: 'pull them open and put the stone in', minutes: 3 },
        { id: 'loop', name: 'turn the hanging loop', minutes: 2, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'stone', then: 'loop', why: 'the cage does not open any more when its loop is turned' },
      ],
      parts: [{ name: 'undrilled stone', count: 1 }],
    };
  },
});
