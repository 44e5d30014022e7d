import fc from 'fast-check';
import { expectOk } from '../result';
import { techniqueOf, TECHNIQUES } from '../techniques/registry';
import { CAUTIONS } from '../technique/cautions';
import { plainSpec } from '../plan/totals';
import { roundWire } from '../parameter/parameter';
import type { AnyTechnique } from '../technique/technique';
import { stepsOf } from './bodyOf';
import { withTechnique } from './addTechnique';
import { withStepAt, withUse, withoutUse } from './changes';
import { EMPTY_COMPOSITION, type Composition, type Specs } from './composition';
import { withOwnStep, withOwnStepAs, withoutOwnStep } from './changeOwnSteps';
import { readMinutes } from './ownSteps';
import { minutesOf } from './pattern';
import { readComposition } from './readComposition';
import { resolve } from './resolve';

const hook = withTechnique(EMPTY_COMPOSITION, techniqueOf('ear-wire') as AnyTechnique, techniqueOf);
const stepsIn = (composition: Composition, specs: Specs = {}) =>
  resolve(composition, specs, techniqueOf).steps;
const withStep = (composition: Composition, name: string) =>
  withOwnStep(
    composition,
    stepsIn(composition).map(({ id }) => id),
    name,
  );

describe('a step of the maker’s own', () => {
  it('stands last until it is moved, and stays where it was put', () => {
    const added = withStep(hook, 'photograph it');
    expect(stepsIn(added).at(-1)).toMatchObject({ id: 'own.1', name: 'photograph it', minutes: 5 });
    const order = stepsIn(added).map(({ id }) => id);
    const moved = withStepAt(added, order, 'own.1', 1);
    expect(stepsIn(moved).map(({ id }) => id)[1]).toBe('own.1');
    // Another technique comes after all that; its own steps follow.
    const more = withTechnique(moved, techniqueOf('coil-bead') as AnyTechnique, techniqueOf);
    expect(stepsIn(more).map(({ id }) => id)[1]).toBe('own.1');
    expect(stepsIn(withoutUse(more, 'b')).map(({ id }) => id)).toEqual(stepsIn(moved).map(({ id }) => id));
    expect(stepsIn(withoutOwnStep(moved, 'own.1'))).toHaveLength(stepsIn(hook).length);
  });

  it('counts for each piece, or once for all of a sitting, however many are made', () => {
    const added = { ...withOwnStepAs(withStep(hook, 'tumble'), 'own.1', { minutes: '12,5' }), copies: 2 };
    const { each, setUp } = minutesOf({ steps: stepsOf(resolve(added, {}, techniqueOf)) });
    const plain = minutesOf({ steps: stepsOf(resolve({ ...hook, copies: 2 }, {}, techniqueOf)) });
    expect([each - plain.each, setUp]).toEqual([25, 0]);
    const once = withOwnStepAs(added, 'own.1', { once: true });
    const shared = minutesOf({ steps: stepsOf(resolve(once, {}, techniqueOf)) });
    expect([shared.each - plain.each, shared.setUp]).toEqual([0, 12.5]);
  });

  it('is a check or a stop where it says so, and takes no time when it is told none', () => {
    const stop = withOwnStepAs(withStep(hook, 'both alike?'), 'own.1', { kind: 'stop', minutes: '0' });
    expect(stepsOf(resolve(stop, {}, techniqueOf)).at(-1)).toEqual({
      name: 'both alike?',
      minutes: 0,
      perSitting: false,
      kind: 'stop',
      stops: [],
      cautions: [],
    });
  });

  it('is judged by the finish of the wire: plated wire is not hammered, and the bath wants care (common practice)', () => {
    const plated = {
      ...plainSpec(roundWire(0.812), 'copper'),
      finish: 'plated' as const,
      finishName: 'silver',
    };
    const bead = withTechnique(EMPTY_COMPOSITION, techniqueOf('coil-bead') as AnyTechnique, techniqueOf);
    const cut = withUse(bead, 'a', { wires: { wire: 'p20' } });
    const said = (composition: Composition) =>
      resolve(composition, { p20: plated }, techniqueOf).uses.flatMap(({ judgements }) =>
        judgements.map(({ said: what }) => what),
      );
    expect(said(withStep(cut, 'look at it'))).not.toContain('Plated wire should not be hammered.');
    const hammered = withStep(cut, 'hammer what juts out');
    expect(said(hammered)).toContain('Plated wire should not be hammered.');
    expect(said(withOwnStepAs(hammered, 'own.1', { does: '' }))).not.toContain(
      'Plated wire should not be hammered.',
    );
    expect(stepsOf(resolve(withStep(hook, 'antique and polish'), {}, techniqueOf)).at(-1)?.cautions).toEqual([
      CAUTIONS.antiquing,
    ]);
  });

  it('says what is wrong with it as it is typed; such a pattern is not complete', () => {
    const odd = (change: Parameters<typeof withOwnStepAs>[2]) => {
      const resolved = resolve(withOwnStepAs(withStep(hook, 'tumble'), 'own.1', change), {}, techniqueOf);
      return [resolved.complete, resolved.steps.at(-1)?.wrong];
    };
    expect(odd({})).toEqual([true, '']);
    expect(odd({ name: ' ' })).toEqual([false, 'Say what is done in this step.']);
    expect(odd({ minutes: 'long' })).toEqual([
      false,
      '“long” are no minutes of a step; write a number from 0 to 1000, like 5 or 2.5.',
    ]);
    expect(readMinutes('1001').ok).toBe(false);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000 }), (tenths) => {
        expect(readMinutes(String(tenths / 10)).ok).toBe(tenths / 10 <= 1000);
      }),
    );
  });

  it('goes through a file and comes back the same; one that is none is refused by its place', () => {
    const added = withOwnStepAs(withStep(withStep(hook, 'tumble'), 'weigh it'), 'own.2', { once: true });
    expect(expectOk(readComposition(JSON.parse(JSON.stringify(added)), TECHNIQUES))).toEqual(added);
    const refusal = (step: unknown) => {
      const read = readComposition({ ...hook, steps: [step] }, TECHNIQUES);
      return read.ok ? '' : read.error;
    };
    const right = added.steps?.[0];
    expect(refusal({ ...right, id: 'a.loop' })).toMatch(/steps\.0\.id: an id like own\.1/);
    expect(refusal({ ...right, kind: 'rest' })).toMatch(/steps\.0\.kind: work, check, stop are allowed/);
    expect(refusal({ ...right, does: 'melting' })).toMatch(/steps\.0\.does: antiquing, hammering/);
    expect(refusal({ ...right, once: 'yes' })).toMatch(/steps\.0\.once: true or false/);
    const twice = readComposition({ ...hook, steps: [right, right] }, TECHNIQUES);
    expect(twice.ok ? '' : twice.error).toMatch(/“own\.1” stands twice/);
    // Patterns of before have none.
    expect(expectOk(readComposition(hook, TECHNIQUES))).not.toHaveProperty('steps');
  });
});
