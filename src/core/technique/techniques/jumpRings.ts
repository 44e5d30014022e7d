import { counted } from '../../units/counted';
import { advice, type Judgement } from '../../judgement/judgement';
import { coil } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { helix } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf } from '../winding';

/** Rings that a hand closes: the inside is at least 2.5 and at most 8 times the wire (common practice). */
const ASPECT = { least: 2.5, most: 8 } as const;

function judgeAspect(aspect: number): Judgement[] {
  const said = `Their aspect ratio is ${aspect.toFixed(1)}.`;
  if (aspect < ASPECT.least)
    return [
      advice(
        'inside',
        said,
        'So small a ring can hardly be turned shut, and nothing moves in it.',
        'Take a wider inside or a thinner wire: 2.5 at least (common practice).',
      ),
    ];
  if (aspect > ASPECT.most)
    return [
      advice(
        'inside',
        said,
        'So wide a ring of so thin a wire pulls open.',
        'Take a thicker wire, or two rings: 8 at most (common practice).',
      ),
    ];
  return [];
}

/** Rings cut from a coil wound on a mandrel. */
export const jumpRings = technique({
  id: 'jump-rings',
  title: 'Jump rings from a coil',
  group: 'findings',
  source: 'π(a + D) each, wound as a helix of pitch D; coils spring open by 1–3 % (common practice)',
  parameters: {
    wire: wire('Ring wire', roundWire(0.812), 'frame'),
    inside: length('Inside diameter', 4, 0.8, 60),
    rings: count('Rings', 12, 1, 500),
    cutter: length(
      'Lost to the cutter at each ring',
      0,
      0,
      2,
      'A saw loses its blade, a flush cutter next to nothing',
    ),
    bend: length('First bend and last turn', 8, 0, 60),
  },
  plan: ({ wire, inside, rings, cutter, bend }) => {
    const { thick: D, height, pitch } = bendOf(wire);
    return {
      cuts: [
        {
          name: 'coil',
          wire: 'wire',
          count: 1,
          terms: [
            net(counted(rings, 'turn'), coil(inside, D, rings, pitch)),
            allowance('lost to the cutter', rings * cutter),
            allowance('first bend and last turn', bend),
          ],
          marks: [{ at: bend / 2, what: 'begin to wind' }],
          drawn: [helix(0, 0, (inside + D) / 2, rings, pitch)],
        },
      ],
      steps: [
        { id: 'wind', name: 'wind the coil on its mandrel', minutes: 1 + rings * 0.05 },
        { id: 'cut', name: 'cut the rings', minutes: rings * 0.25, cautions: ['cut ends'] },
      ],
      advice: judgeAspect(inside / height),
      notes: [
        `Their aspect ratio is ${(inside / height).toFixed(1)}.`,
        `On a mandrel of ${said(inside)} they spring open to ${said(inside * 1.01)} to ${said(inside * 1.03)} inside.`,
      ],
    };
  },
});
