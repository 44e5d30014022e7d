import { counted } from '../../units/counted';
import { coil, ring } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, turned } from '../shapes';
import { allowance, net, said, saidBy, technique } from '../technique';

/** A wire folded at the foot of a point, both halves wound up it against each other, their ends a wrapped loop. */
export const pointSpiral = technique({
  id: 'point-spiral',
  title: 'Double spiral round a point',
  group: 'holding a stone',
  source: 'two helices n √[(π(w + D))² + p²], a fold and a loop of π(a + D): helices unrolled',
  parameters: {
    wire: wire('Wire', roundWire(0.8), 'frame'),
    across: length('Point across', 8, 2, 60),
    long: length('Length that is wound', 30, 5, 150),
    turns: count('Turns of each half', 4, 1, 30),
    fold: length('Fold at the foot, inside', 2, 0.5, 20),
    loop: length('Hanging loop, inside', 3, 1, 20),
    wraps: count('Wraps under the loop', 3, 1, 20),
    tail: length('Handling tail at each end', 30, 0, 120),
  },
  plan: ({ wire: { width: D }, across, long, turns, fold, loop, wraps, tail }) => {
    const pitch = long / turns;
    const half = coil(across, D, turns, pitch);
    const neck = coil(2 * D, D, wraps);
    const radius = (across + D) / 2;
    const bend = ring(fold, D) / 2;
    const upright = (begin: number) =>
      moved(turned(helix(0, 0, radius, turns, pitch, begin), -Math.PI / 2), 0, long / 2);
    const top = -long / 2;
    return {
      cuts: [
        {
          name: 'wire',
          wire: 'wire',
          count: 1,
          terms: [
            net('fold at the foot', bend),
            net(`${counted(turns, 'turn')} of each half`, 2 * half),
            net('hanging loop', ring(loop, D)),
            net(`${counted(wraps, 'wrap')} under it`, neck),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            // The loop and its wraps are made of one half, so the fold lies off the middle.
            { at: tail + half + bend / 2, what: 'fold here, at the foot of the point' },
            { at: tail + 2 * half + bend, what: 'the longer half becomes the loop' },
          ],
          drawn: [
            bow(0, long / 2, (fold + D) / 2, 0, Math.PI),
            upright(0),
            upright(Math.PI),
            bow(0, top - wraps * D - (loop + D) / 2, (loop + D) / 2, Math.PI / 2, 2 * Math.PI),
            moved(turned(helix(0, 0, (3 * D) / 2, wraps, D), -Math.PI / 2), 0, top),
          ],
        },
      ],
      steps: [
        { id: 'fold', name: 'fold the wire and seat the fold under the foot', minutes: 2 },
        { id: 'wind', name: 'wind both halves up, crossing in front and behind', minutes: 3 + turns * 1.5 },
        { id: 'loop', name: 'turn the hanging loop', minutes: 2 },
        { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
        { id: 'shut', name: 'wrap the neck shut, trim and tuck', minutes: 3, cautions: ['cut ends'] },
        { id: 'tighten', name: 'tighten the spirals by kinking them, all round', minutes: 2 },
      ],
      order: [
        { first: 'wind', then: 'loop', why: 'the point does not pass under a closed loop' },
        { first: 'hang', then: 'shut', why: 'nothing can be hung in a loop that is wrapped shut' },
      ],
      parts: [{ name: `point, ${saidBy(long, across)}`, count: 1 }],
      notes: [`The turns lie ${said(pitch)} apart; a point thinner than that at its tip slides out there.`],
    };
  },
});
