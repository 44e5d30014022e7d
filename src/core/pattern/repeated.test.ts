import fc from 'fast-check';
import { named } from '../../../tests/support/techniques';
import { expectOk } from '../result';
import { techniqueOf } from '../techniques/registry';
import type { ChosenPorts } from '../technique/refs';
import type { Texts } from '../parameter/readTexts';
import { withUse } from './changes';
import { EMPTY_COMPOSITION, type Composition } from './composition';
import { goneOn } from './goneOn';
import { withMirrored } from './mirrored';
import { againRound, MOST_TIMES, readTimes, repeatableFrom, withRepeated } from './repeated';
import { resolve } from './resolve';
import { pullableIn } from './toShape';

const AT_HAND = { specs: {}, techniques: techniqueOf };
const resolved = (composition: Composition) => resolve(composition, {}, techniqueOf);

/** Goes on with a technique from ends, with some texts of its own. */
function on(before: Composition, technique: string, takes: ChosenPorts, texts: Texts = {}): Composition {
  const next = goneOn(before, named(technique), takes, AT_HAND);
  const use = next.uses.at(-1);
  if (!use) throw new Error('it was added');
  return withUse(next, use.id, { texts: { ...use.texts, ...texts } });
}

const frame = goneOn(EMPTY_COMPOSITION, named('bundle-frame'), undefined, AT_HAND);
const BEND = { about: '5 mm', degrees: '90', after: '3 mm', apart: '0 mm' };
/** A wave: an end goes to the left, then to the right. */
const wave = on(
  on(frame, 'bent-ends', { ends: ['a.left 1'] }, { ...BEND, way: 'to the left' }),
  'bent-ends',
  { ends: ['b.end 1'] },
  { ...BEND, way: 'to the right' },
);

/** How long an end is bent beyond the frame, mm. */
function bentIn(composition: Composition): number {
  const [piece] = resolved(composition).pieces;
  const courses = piece?.run.wires.flatMap(({ first, second }) => [...first, ...second]) ?? [];
  return courses
    .filter(({ course }) => course && (piece?.by.get(course) ?? 'a') !== 'a')
    .reduce((sum, { length }) => sum + length, 0);
}

describe('what is done again along an end', () => {
  it('is a technique with what goes on from it: as long as its bends and what is straight between them', () => {
    const again = repeatableFrom('b', resolved(wave));
    expect(again?.uses.map(({ id }) => id)).toEqual(['b', 'c']);
    // Two quarters of a circle through the middle of the wire, and 3 mm after each (handbook, arcs: angle × radius).
    const { width } = resolved(wave).uses[1]?.values?.['wire'] as { width: number };
    expect(again?.long).toBeCloseTo(2 * ((Math.PI / 2) * ((5 + width) / 2) + 3), 6);
    expect(repeatableFrom('c', resolved(wave))?.uses.map(({ id }) => id)).toEqual(['c']);
  });

  it('takes as much again each time, and goes on from where it was left', () => {
    const once = bentIn(wave);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), (times) => {
        const more = expectOk(withRepeated(wave, 'b', times, AT_HAND));
        expect(more.uses).toHaveLength(3 + 2 * times);
        expect(resolved(more).uses.map(({ refusal }) => refusal)).toEqual(more.uses.map(() => ''));
        expect(bentIn(more)).toBeCloseTo(once * (times + 1), 5);
        // Each goes on from the one before.
        expect(more.uses.slice(3).map(({ takes }) => takes['ends']?.[0])).toEqual(
          more.uses.slice(2, -1).map(({ id }) => `${id}.end 1`),
        );
      }),
      { numRuns: 6 },
    );
  });

  it('is nothing of a frame, of what follows another, or of an end that is taken up', () => {
    expect(repeatableFrom('a', resolved(wave))).toBeUndefined();
    const both = expectOk(withMirrored(wave, 'b', resolved(wave)));
    const twin = both.uses.at(-1)?.id ?? '';
    expect(repeatableFrom(twin, resolved(both))).toBeUndefined();
    // Nor is it changed by hand: its measures are those of the other.
    expect(pullableIn(resolved(both), twin)).toEqual([]);
    expect(pullableIn(resolved(both), 'b')).toContain('about');
    const curled = on(wave, 'flat-spiral', { ends: ['c.end 1'] });
    expect(repeatableFrom('b', resolved(curled))).toBeUndefined();
    const refused = withRepeated(curled, 'b', 2, AT_HAND);
    expect(refused.ok ? '' : refused.error).toMatch(/nothing left to do it again with/);
  });

  it('says how often it can be done when that is not often enough', () => {
    const unread = withUse(wave, 'c', { texts: { ...wave.uses[2]?.texts, about: 'wide' } });
    const refused = withRepeated(unread, 'b', 3, AT_HAND);
    expect(refused.ok ? '' : refused.error).toMatch(
      /^It can be done 0 times more, not 3: something in it cannot be read/,
    );
  });
});

describe('how often', () => {
  it('is typed as a number, or as a length that it is done along', () => {
    expect(readTimes('3', 8, 'mm')).toEqual({ ok: true, value: 3 });
    expect(readTimes('60 mm', 8, 'mm')).toEqual({ ok: true, value: 7 });
    expect(readTimes('2 in', 25.4, 'in')).toEqual({ ok: true, value: 2 });
    const none = readTimes('60 mm', 0, 'mm');
    expect(none.ok ? '' : none.error).toMatch(/takes no length of its end; write how many times/);
    expect(readTimes('3', 0, 'mm')).toEqual({ ok: true, value: 3 });
  });

  it.each([
    ['often', /“often” is neither so many times, like 3, nor a length/],
    ['0', /0 times; 1 to 24/],
    [String(MOST_TIMES + 1), /25 times; 1 to 24/],
    ['5 mm', /Once more takes .* of the end; .* were given/],
    ['9 m', /1 to 24 are allowed at once/],
  ])('refuses %s, and says what is allowed', (typed, reason) => {
    const read = readTimes(typed, 8, 'mm');
    expect(read.ok ? '' : read.error).toMatch(reason);
  });
});

it('goes once round a stone: as often as it fits along the outline, the one that is there among them', () => {
  // A circle of 20 mm is 62.83 mm round (plane geometry).
  const round = { outline: 'oval', length: 20, width: 20, depth: 6, edge: 2 } as const;
  for (const long of [5, 6.2, 20.9]) {
    const left = againRound(round, long);
    expect(left).toBeCloseTo(20 * Math.PI - long, 3);
    const again = expectOk(readTimes(`${left?.toFixed(2)} mm`, long, 'mm'));
    expect(again + 1).toBe(Math.floor((20 * Math.PI) / long));
  }
  expect(againRound(round, 32)).toBeUndefined();
  expect(againRound(round, 0)).toBeUndefined();
});
