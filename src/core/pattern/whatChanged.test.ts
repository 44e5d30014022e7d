import fc from 'fast-check';
import { named } from '../../../tests/support/techniques';
import { begun, changed, doneAgain, takenBack, type History } from '../history';
import { techniqueOf } from '../techniques/registry';
import { withOwnStep, withOwnStepAs, withoutOwnStep } from './changeOwnSteps';
import { withoutUse, withStepAt, withUse, withUseAt } from './changes';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn } from './goneOn';
import { resolve } from './resolve';
import { whatChanged, type Drafted } from './whatChanged';

const AT_HAND = { specs: {}, techniques: techniqueOf };
const added = (before: Composition, id: string) => goneOn(before, named(id), undefined, AT_HAND);
const stepsOf = (composition: Composition) => resolve(composition, {}, techniqueOf).steps.map(({ id }) => id);

const EMPTY: Drafted = { name: '', kind: 'pendant', notes: '', composition: EMPTY_COMPOSITION, parts: [] };
const composed = (composition: Composition): Drafted => ({ ...EMPTY, composition });

const frame = added(EMPTY_COMPOSITION, 'bundle-frame');
const both = added(frame, 'flat-spiral');
const said = (before: Composition, after: Composition) =>
  whatChanged(composed(before), composed(after), techniqueOf);

describe('what changed, in a few words', () => {
  const spiral = both.uses[1];
  if (!spiral) throw new Error('it has two techniques');
  it.each<[string, string]>([
    ['Flat spiral added', said(frame, both)],
    ['Flat spiral removed', said(both, withoutUse(both, spiral.id))],
    ['Flat spiral moved', said(both, withUseAt(both, spiral.id, 0))],
    [
      'Across, outside of Flat spiral',
      said(both, withUse(both, spiral.id, { texts: { ...spiral.texts, across: '9 mm' } })),
    ],
    ['Flat spiral called curl', said(both, withUse(both, spiral.id, { name: 'curl' }))],
    ['wire of Flat spiral', said(both, withUse(both, spiral.id, { wires: { wire: 'x' } }))],
    ['what Flat spiral takes up', said(both, withUse(both, spiral.id, { takes: {} }))],
    ['Stone: Length', said(both, { ...both, measures: { ...both.measures, 'stone.length': '20 mm' } })],
    ['polish added', said(both, withOwnStep(both, stepsOf(both), 'polish'))],
    ['a length that is cut already', said(both, { ...both, inHand: { 'a frame wires': '250 mm' } })],
    ['the order of work', said(both, withStepAt(both, stepsOf(both), stepsOf(both)[1] ?? '', 0))],
    ['pieces alike', said(both, { ...both, copies: 2 })],
    ['the name', whatChanged(EMPTY, { ...EMPTY, name: 'Weir' }, techniqueOf)],
    ['the notes', whatChanged(EMPTY, { ...EMPTY, notes: 'x' }, techniqueOf)],
    ['what it makes', whatChanged(EMPTY, { ...EMPTY, kind: 'ring' }, techniqueOf)],
    ['a part added', whatChanged(EMPTY, { ...EMPTY, parts: [{ name: '' }] }, techniqueOf)],
    ['garnet removed', whatChanged({ ...EMPTY, parts: [{ name: 'garnet' }] }, EMPTY, techniqueOf)],
  ])('%s', (words, told) => expect(told).toBe(words));

  it('is told of a step of the maker’s own', () => {
    const own = withOwnStep(both, stepsOf(both), 'polish');
    const id = own.steps?.[0]?.id ?? '';
    expect(said(own, withOwnStepAs(own, id, { minutes: '9' }))).toBe('step “polish”');
    expect(said(own, withoutOwnStep(own, id))).toBe('polish removed');
  });
});

/** What one does to a pattern: which change, and a number that says to what of it. */
const EDITS: readonly ((before: Composition, pick: number) => Composition)[] = [
  (before, pick) =>
    before.uses.length < 6 ? added(before, ['coil', 'flat-spiral', 'bent-ends'][pick % 3] ?? 'coil') : before,
  (before, pick) => withoutUse(before, before.uses[pick % Math.max(1, before.uses.length)]?.id ?? ''),
  (before, pick) => withUseAt(before, before.uses[0]?.id ?? '', pick % 4),
  (before, pick) => {
    const use = before.uses[pick % Math.max(1, before.uses.length)];
    return use ? withUse(before, use.id, { texts: { ...use.texts, across: `${pick} mm` } }) : before;
  },
  (before, pick) => ({ ...before, measures: { ...before.measures, bead: `${pick} mm` } }),
  (before, pick) => withOwnStep(before, stepsOf(before), `step ${pick}`),
  (before) => withoutOwnStep(before, before.steps?.[0]?.id ?? ''),
  (before, pick) => ({ ...before, copies: 1 + (pick % 20) }),
];

it('200 changes taken back one by one, and done again, are what was there exactly', () => {
  const edit = fc.tuple(fc.nat(EDITS.length - 1), fc.nat(60), fc.boolean());
  fc.assert(
    fc.property(fc.array(edit, { minLength: 200, maxLength: 200 }), (edits) => {
      let history: History<Drafted> = begun(EMPTY);
      const states = [history.now];
      for (const [which, pick, isTyped] of edits) {
        const before = history;
        history = changed(
          history,
          (now) => {
            const composition = (EDITS[which] as (typeof EDITS)[number])(now.composition, pick);
            return composition === now.composition ? now : { ...now, composition };
          },
          isTyped ? `field ${which}` : '',
        );
        if (history.past.length > before.past.length) states.push(history.now);
        else states[states.length - 1] = history.now;
      }
      const end = history;
      for (const state of states.slice(0, -1).reverse()) {
        const before = history;
        history = takenBack(history);
        expect(history.now).toBe(state);
        // Every one of them has a name.
        expect(whatChanged(history.now, before.now, techniqueOf)).not.toBe('');
      }
      expect(history.now).toBe(EMPTY);
      expect(takenBack(history)).toBe(history);
      for (const state of states.slice(1)) {
        history = doneAgain(history);
        expect(history.now).toBe(state);
      }
      expect(history.now).toBe(end.now);
      expect(resolve(history.now.composition, {}, techniqueOf).minutes).toBe(
        resolve(end.now.composition, {}, techniqueOf).minutes,
      );
    }),
    { numRuns: 6 },
  );
});
