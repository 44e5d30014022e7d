import fc from 'fast-check';
import { spreadOf } from './spreadOf';

describe('how figures lie', () => {
  it('has as many below its middle as above, between the least and the most', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 30 }),
        (figures) => {
          const { middle, least, most, count } = spreadOf(figures) ?? {
            middle: NaN,
            least: NaN,
            most: NaN,
            count: 0,
          };
          expect(count).toBe(figures.length);
          expect(figures).toContain(least);
          expect(figures).toContain(most);
          for (const figure of figures) expect(figure >= least && figure <= most).toBe(true);
          const below = figures.filter((figure) => figure < middle).length;
          const above = figures.filter((figure) => figure > middle).length;
          expect(Math.max(below, above)).toBeLessThanOrEqual(figures.length / 2);
        },
      ),
    );
  });

  it('is nothing of none', () => {
    expect(spreadOf([])).toBeUndefined();
  });
});
