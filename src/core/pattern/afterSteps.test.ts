import { techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';
import { afterSteps, afterStepsInOrder } from './afterSteps';
import { withTechnique } from './addTechnique';
import { withUse } from './changes';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { drawnParts, type DrawnPart } from './drawnParts';
import { resolve } from './resolve';

const added = (composition: Composition, technique: string, takes = {}, texts = {}): Composition => {
  const next = withTechnique(composition, techniqueOf(technique) as AnyTechnique, techniqueOf);
  const use = next.uses.at(-1);
  return use ? withUse(next, use.id, { takes, texts: { ...use.texts, ...texts } }) : next;
};

/** A strip that is woven flat on whole wires, formed round a stone after that, with a bail of two of its ends. */
const strip = added(EMPTY_COMPOSITION, 'straight-weave', {}, { weave: 'A3 AB2 BC', length: '7 mm' });
const framed = added(
  strip,
  'bundle-frame',
  { frame: ['a.wire 1', 'a.wire 2', 'a.wire 3'] },
  { bound: '0 mm', holds: '2' },
);
const woven = added(framed, 'folded-bail', { ends: ['b.left 1', 'b.right 1'] }, { wraps: '0' });

const partOf = (composition: Composition): DrawnPart => {
  const [part] = drawnParts(resolve(composition, {}, techniqueOf));
  if (!part) throw new Error('it is drawn');
  return part;
};

/** How far a line strays up and down. */
const highOf = (path: readonly { readonly y: number }[]): number =>
  Math.max(...path.map(({ y }) => y)) - Math.min(...path.map(({ y }) => y));

describe('a piece after each step', () => {
  const part = partOf(woven);
  const after = afterSteps(part);

  it('lies flat while it is woven, and goes round its stone when the frame is formed', () => {
    expect(part.uses.map(({ refusal }) => refusal)).toEqual(['', '', '']);
    expect(after.map(({ id }) => id)).toEqual(['a.weave', 'b.form', 'b.try', 'b.close', 'c.fold']);
    const lies = after.map(
      ({ plan }) => plan.run?.wires.filter(({ wire }) => wire.id.startsWith('a.frame')) ?? [],
    );
    expect(lies[0]?.map(({ path }) => highOf(path) < 0.5)).toEqual([true, true, true]);
    expect(lies[1]?.map(({ path }) => highOf(path) > 10)).toEqual([true, true, true]);
  });

  it('has its stone from when it is tried, and its last picture is the piece', () => {
    expect(after.map(({ plan }) => plan.run?.bodies.length)).toEqual([0, 0, 1, 1, 1]);
    expect(after.at(-1)?.plan.run?.wires.map(({ path }) => path)).toEqual(
      part.plan.run?.wires.map(({ path }) => path),
    );
  });

  it('is numbered as the order of the work has it, whichever way that was chosen', () => {
    const resolved = resolve(woven, {}, techniqueOf);
    const numbered = afterStepsInOrder(part, resolved.steps);
    expect(numbered.map(({ number, name }) => [number, name])).toEqual(
      numbered.map(({ id, number }) => [number, resolved.steps.find((step) => step.id === id)?.name]),
    );
    expect(numbered.map(({ number }) => number)).toEqual(
      numbered.map(({ number }) => number).sort((a, b) => a - b),
    );
  });
});
