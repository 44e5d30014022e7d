import { readFileSync } from 'node:fs';
import ts from 'typescript';
import { lengthOfPath } from '../geometry/path';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { expectOk, ok } from '../result';
import type { ActTechnique } from '../technique/act';
import { cutsOfPiece, type CutPiece } from '../technique/ofPiece';
import { initialValues, length, roundWire, wire } from '../parameter/parameter';
import { actTechnique, planActs } from '../technique/planActs';
import { netOf, technique, type Technique } from '../technique/technique';
import { usesOf } from '../../../tests/support/acts';
import type { Result } from '../result';

/** What the examples of docs/techniques.md use without importing it. */
const GIVEN = {
  technique,
  actTechnique,
  wire,
  length,
  roundWire,
  ok,
  cutsOfPiece,
  pose,
  vec3,
  size: roundWire(0.8),
};

/** The examples in TypeScript of the page, in their order. */
const examples = [...readFileSync('docs/techniques.md', 'utf8').matchAll(/```ts\n([\s\S]*?)```/g)].map(
  ([, code = '']) => code,
);

/** Runs an example, and hands out what it is called. */
function runExample(index: number, name: string): unknown {
  const { outputText } = ts.transpileModule(examples[index] ?? '', {
    compilerOptions: { module: ts.ModuleKind.CommonJS, target: ts.ScriptTarget.ES2022 },
  });
  const run = new Function(
    'exports',
    ...Object.keys(GIVEN),
    `${outputText}\nreturn exports.${name} ?? ${name};`,
  ) as (exports: object, ...given: unknown[]) => unknown;
  return run({}, ...Object.values(GIVEN));
}

describe('what docs/techniques.md shows', () => {
  it('a technique is drawn as long as it says', () => {
    const hoop = runExample(0, 'hoop') as Technique;
    const plan = expectOk(hoop.plan(initialValues(hoop.parameters)));
    const [cut] = plan.cuts;
    if (!cut) throw new Error('it has a cut');
    expect(netOf(cut)).toBeCloseTo(Math.PI * (20 + 0.812), 6);
    const drawn = cut.drawn.reduce((sum, path) => sum + lengthOfPath(path), 0);
    expect(drawn / netOf(cut)).toBeCloseTo(1, 2);
  });

  it('wires that tell their ways come to their cuts', () => {
    const { cuts } = expectOk(runExample(1, 'cut') as Result<CutPiece>);
    expect(cuts.map(({ name }) => name)).toEqual(['pin wire']);
    // Through 7 mm of bead, and twice 350° about 3 mm.
    const [pin] = cuts;
    expect(pin && netOf(pin)).toBeCloseTo(7 + 2 * (350 / 360) * Math.PI * 3.8, 3);
  });

  it('a technique with ports goes on from ends that others left', () => {
    const hookedEnds = runExample(2, 'hookedEnds') as ActTechnique;
    const alone = expectOk(hookedEnds.plan(initialValues(hookedEnds.parameters)));
    expect(alone.cuts.map(({ name }) => name)).toEqual(['hook wire']);
    const frame = usesOf([['a', 'bundle-frame']]);
    const { uses, pieces } = planActs([
      ...frame,
      {
        id: 'b',
        name: hookedEnds.title,
        technique: hookedEnds,
        values: initialValues(hookedEnds.parameters),
        takes: { ends: ['a.left 1', 'a.right 1'] },
      },
    ]);
    expect(pieces).toHaveLength(1);
    const [first] = expectOk(uses[0]?.plan ?? ok({ cuts: [] } as never)).cuts;
    // Half a turn about 4 mm at both ends of the foremost frame wire.
    expect(first?.terms.find(({ name }) => name === 'hook')?.length).toBeCloseTo(Math.PI * 4.812, 3);
  });
});
