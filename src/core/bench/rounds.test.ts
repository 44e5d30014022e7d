import fc from 'fast-check';
import { expectOk } from '../result';
import { mm } from '../units/length';
import { TEMPERS } from '../wire/metal';
import { usualSpring } from '../wire/spring';
import { MOST_ROUNDS, readRounds, roundsFor, writeRounds, type Round } from './rounds';

const round = (name: string, diameter: number): Round => ({ name, diameter: mm(diameter) });

describe('the rounds of a studio', () => {
  it('are read one a line, with a name or without', () => {
    expect(expectOk(readRounds('ring stick: 17.3 mm\n\n  6mm \nbroom: handle: 1 in'))).toEqual([
      round('ring stick', 17.3),
      round('6 mm', 6),
      round('broom: handle', 25.4),
    ]);
    expect(expectOk(readRounds('  \n'))).toEqual([]);
  });

  it('are read again as they were written', () => {
    const some = fc.array(
      fc.record({
        name: fc.stringMatching(/^[a-z][a-z ]{0,20}[a-z]$/),
        diameter: fc.integer({ min: 100, max: 500_000 }).map((of) => mm(of / 1000)),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(some, (rounds) => expect(expectOk(readRounds(writeRounds(rounds)))).toEqual(rounds)),
    );
  });

  it.each([
    ['what is no thickness', 'broom: wide', /“broom: wide”/],
    ['nothing', 'broom: 0 mm', /more than 0 and at most 500 mm/],
    ['a mast', 'mast: 2 m', /more than 0 and at most 500 mm/],
    ['a story', `${'x'.repeat(61)}: 3 mm`, /61 characters; 60 are allowed/],
    ['a whole shop', '1 mm\n'.repeat(MOST_ROUNDS + 1), /61 rounds were given; 60 are allowed/],
  ])('are not %s', (_, typed, said) => {
    const read = readRounds(typed);
    expect(read.ok ? '' : read.error).toMatch(said);
  });
});

describe('which round to bend on', () => {
  const rounds = [round('pen', 9), round('dowel', 23.5), round('cup', 24), round('tin', 60)];

  it('is the one that comes out nearest once the wire has sprung open', () => {
    // 24 mm wanted in half-hard wire: 23.5 springs to 23.97, 24 to 24.48.
    const [best, next] = roundsFor(mm(24), rounds, 0.02);
    expect([best?.round.name, best?.inside]).toEqual(['dowel', mm(23.97)]);
    expect([next?.round.name, next?.off]).toEqual(['cup', mm(0.48)]);
    expect(roundsFor(mm(24), rounds, 0.02, 1)).toHaveLength(1);
    expect(roundsFor(mm(24), [], 0.025)).toEqual([]);
  });

  it('springs open by 1 to 3 %, the harder the more (common practice)', () => {
    const opened = TEMPERS.map(
      (temper) => (roundsFor(mm(100), [round('drum', 100)], usualSpring(temper))[0]?.off ?? 0) / 100_000,
    );
    expect(Math.min(...opened)).toBeGreaterThanOrEqual(0.01);
    expect(Math.max(...opened)).toBeLessThanOrEqual(0.03);
    expect(opened).toEqual(opened.toSorted((one, other) => one - other));
  });
});
