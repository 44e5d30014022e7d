import { counted } from '../../units/counted';
import { advice, type Judgement } from '../../judgement/judgement';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { allowance, said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

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
  plan: ({ wire: size, inside, rings, cutter, bend }) => {
    const { thick, height, pitch } = bendOf(size);
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            name: 'coil',
            cutFrom: 'wire',
            size,
            // Its mandrel lies across the paper.
            start: pose(
              vec3((rings * pitch) / 2, -(inside + thick) / 2),
              vec3(-pitch, 0, Math.PI * (inside + thick)),
              vec3(-1, 0),
            ),
            first: [{ kind: 'coiled', name: counted(rings, 'turn'), about: inside, turns: rings, pitch }],
            second: [],
            tails: { first: bend / 2, second: bend / 2 },
          },
        ],
      },
      { middle: 'begin to wind', tails: 'first bend and last turn' },
    );
    if (!cut.ok) return cut;
    return ok({
      run: cut.value.run,
      cuts: cut.value.cuts.map((each) => ({
        ...each,
        terms: [...each.terms, allowance('lost to the cutter', rings * cutter)],
      })),
      steps: [
        { id: 'wind', name: 'wind the coil on its mandrel', minutes: 1 + rings * 0.05 },
        { id: 'cut', name: 'cut the rings', minutes: rings * 0.25, cautions: ['cut ends'] },
      ],
      advice: judgeAspect(inside / height),
      notes: [
        `Their aspect ratio is ${(inside / height).toFixed(1)}.`,
        `On a mandrel of ${said(inside)} they spring open to ${said(inside * 1.01)} to ${said(inside * 1.03)} inside.`,
      ],
    });
  },
});
