import { boundMeasures } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { whyNot } from '../pattern/whyNot';
import { perimeterOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { techniqueOf } from '../techniques/registry';
import { cutOf } from '../technique/technique';
import { composedOf } from './composedOf';
import { HOUSE_PATTERNS } from './housePatterns';

/** Ten stones of five outlines, mm: a small and a large one of each. */
const STONES: readonly (readonly [
  outline: string,
  length: number,
  width: number,
  edge: number,
  depth: number,
])[] = [
  ['oval', 18, 13, 1.8, 5],
  ['oval', 40, 30, 3, 8],
  ['round', 12, 12, 1.6, 4.5],
  ['round', 25, 25, 2.5, 7],
  ['teardrop', 16, 11, 1.7, 4.5],
  ['teardrop', 38, 24, 3, 8],
  ['marquise', 20, 9, 1.6, 4.5],
  ['marquise', 36, 15, 2.4, 6],
  ['square', 14, 14, 1.8, 5],
  ['square', 26, 26, 2.6, 7],
];

const bound = HOUSE_PATTERNS.map((pattern) => [pattern.name, composedOf(pattern, {})] as const).filter(
  ([, composition]) => boundMeasures(composition, techniqueOf).includes('stone'),
);

const girthOf = ([outline, length, width]: (typeof STONES)[number]): number =>
  perimeterOf(expectOk(outlineOf({ outline: outline as 'oval', length, width })));

describe('a pattern for another stone', () => {
  it.each(bound)('%s follows each of ten stones, or says which act does not fit it', (_, composition) => {
    const tried = STONES.map((stone) => {
      const [outline, length, width, edge, depth] = stone;
      const measures = {
        ...composition.measures,
        'stone.outline': outline,
        'stone.length': `${length} mm`,
        'stone.width': `${width} mm`,
        'stone.edge': `${edge} mm`,
        'stone.depth': `${depth} mm`,
      };
      const resolved = resolve(composition, {}, techniqueOf, measures);
      return { stone, resolved, why: whyNot(resolved) };
    });
    const names = composition.uses.map(({ name }) => name);
    for (const { resolved, why } of tried) {
      expect(resolved.measuresWrong).toEqual({});
      if (why === '') expect(resolved.complete).toBe(true);
      // It names the act, and gives a reason with a number or a word of what would do.
      else
        expect(names.some((name) => why.startsWith(`${name}: `) && why.length > name.length + 20)).toBe(true);
    }
    // What it can be made for follows the way round the stone.
    for (const outline of new Set(STONES.map(([each]) => each))) {
      const [small, large] = tried.filter(({ stone }) => stone[0] === outline);
      if (!small || !large || small.why !== '' || large.why !== '') continue;
      const grown = large.resolved.cuts.map(
        (cut, index) => cutOf(cut) - cutOf(small.resolved.cuts[index] ?? cut),
      );
      expect(Math.max(...grown)).toBeGreaterThan(0.45 * (girthOf(large.stone) - girthOf(small.stone)));
    }
    expect(tried.some(({ why }) => why === '')).toBe(true);
  });
});
