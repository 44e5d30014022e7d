import { takesFor, goingOnOf } from '../plan/takesFor';
import { named } from '../../../tests/support/techniques';
import { techniqueOf } from '../techniques/registry';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn, tried, type AtHand } from './goneOn';
import { resolve } from './resolve';

const AT_HAND: AtHand = { specs: {}, techniques: techniqueOf };

const begun = (...techniques: readonly string[]): Composition =>
  techniques.reduce((before, id) => goneOn(before, named(id), undefined, AT_HAND), EMPTY_COMPOSITION);

const takesOf = (composition: Composition, technique: string, ...labels: readonly string[]) => {
  const { left } = resolve(composition, {}, techniqueOf);
  const picked = labels.map((label) => {
    const found = left.find((each) => each.label === label);
    if (!found) throw new Error(`${label} is not left, but ${left.map((each) => each.label).join('; ')}`);
    return found;
  });
  return takesFor(goingOnOf(named(technique)), picked);
};

describe('a technique that is tried before it is added', () => {
  const frame = begun('bundle-frame');
  const before = resolve(frame, {}, techniqueOf);
  const takes = takesOf(frame, 'flat-spiral', 'frame wire 2, right end');
  const trial = tried(before, frame, named('flat-spiral'), takes, AT_HAND);

  it('comes to what it comes to when it is added', () => {
    const after = resolve(goneOn(frame, named('flat-spiral'), takes, AT_HAND), {}, techniqueOf);
    const cutOf = (name: string, pieces: typeof after.pieces) =>
      pieces[0]?.run.wires.find(({ wire }) => wire.name === name)?.cut;
    expect(trial.refusal).toBe('');
    expect(trial.part?.uses.map(({ technique }) => technique.id)).toEqual(['bundle-frame', 'flat-spiral']);
    expect(trial.grown.map(({ name }) => name)).toEqual(['frame wire 2']);
    expect(trial.grown[0]?.cut).toBe(cutOf('frame wire 2', after.pieces));
    expect(trial.grown[0]?.was).toBe(cutOf('frame wire 2', before.pieces));
    expect(before.minutes + trial.minutes).toBeCloseTo(after.minutes, 9);
    expect(trial.minutes).toBeGreaterThan(0);
  });

  it('leaves what it is tried on as it was', () => {
    expect(frame.uses.map(({ technique }) => technique)).toEqual(['bundle-frame']);
    expect(resolve(frame, {}, techniqueOf).pieces[0]?.run.wires.map(({ cut }) => cut)).toEqual(
      before.pieces[0]?.run.wires.map(({ cut }) => cut),
    );
  });

  it('says why when it cannot be made as it is proposed, and grows nothing then', () => {
    const many = begun('bundle-frame');
    const twice = { ends: ['a.right 1', 'a.right 1'] };
    const refused = tried(before, many, named('folded-bail'), twice, AT_HAND);
    expect(refused.refusal).toMatch(/frame wire 1, right end” is chosen twice/);
    expect(refused.grown).toEqual([]);
  });

  it('tells wires that are new', () => {
    const bound = tried(
      before,
      frame,
      named('neck-wraps'),
      takesOf(frame, 'neck-wraps', 'frame wire 1, left end', 'frame wire 1, right end'),
      AT_HAND,
    );
    expect(bound.grown.find(({ was }) => was === undefined)?.name).toBe('binding wire');
  });
});

describe('what something that was picked does next', () => {
  it.each([
    ['flat-spiral', ['frame wire 1, right end'], 'curl up in a flat spiral'],
    ['folded-bail', ['frame wire 1, right end', 'frame wire 2, right end'], 'fold over into a bail'],
    [
      'lashing',
      ['frame wire 1, round the stone to its left', 'frame wire 2, round the stone to its left'],
      'be lashed where they pass one another',
    ],
  ])('is said as a maker says it: %s', (id, labels, does) => {
    const technique = goingOnOf(named(id));
    const takes = takesOf(begun('bundle-frame'), id, ...labels);
    expect(technique.ports.filter(({ key }) => takes && key in takes).map((port) => port.does)).toEqual([
      does,
    ]);
  });
});
