import { pieceOf, refusalIn } from '../../../tests/support/acts';
import { expectSound } from '../../../tests/support/constructions';
import { lengthOfPath } from '../geometry/path';
import { leadTwisted, stackedBehind } from './leadWire';
import { roundWire, squareWire } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';

const frame = (lead: string, leadWire: WireSize, more: object = {}) =>
  [
    'frame',
    'bundle-frame',
    {
      stone: { outline: 'oval', length: 26, width: 19, depth: 6, edge: 3 },
      wire: roundWire(0.812),
      wires: 3,
      lead,
      leadWire,
      ...more,
    },
  ] as const;

describe('the foremost wire of a bundle', () => {
  it.each([roundWire(1), squareWire(1), roundWire(0.644)])('may be of another size: %p', (leadWire) => {
    const piece = pieceOf([frame('of its own', leadWire)]);
    expectSound(piece);
    expect(piece.cuts.map(({ name, wire }) => [name, wire])).toEqual([
      ['lead wire', 'leadWire'],
      ['frame wire 2', 'wire'],
      ['frame wire 3', 'wire'],
      ['binding wire', 'binding'],
    ]);
    const [lead, second, third] = piece.run.wires.map(({ path }) => {
      const heights = path.map(({ z }) => z).sort((a, b) => a - b);
      return heights[Math.floor(heights.length / 2)] ?? NaN;
    });
    // Each touches its neighbour, where none is pulled in.
    const apart = (leadWire.width + 0.812) / 2;
    expect((lead ?? 0) - (second ?? 0)).toBeGreaterThan(apart - 0.01);
    expect((second ?? 0) - (third ?? 0)).toBeGreaterThan(0.812 - 0.01);
  });

  it('a thicker one runs farther round by π of what it is thicker, where it is not pulled in', () => {
    const told = { reach: 0, bound: 0, bail: 0 };
    const [lead, second] = pieceOf([frame('of its own', roundWire(1), told)]).run.wires.map(
      ({ first, second: other }) =>
        [...first, ...other]
          .filter(({ name }) => name === 'round the stone')
          .reduce((sum, { path }) => sum + lengthOfPath(path), 0),
    );
    // Parallel curves: 2π of their distance, here less what is open at the top.
    const more = (lead ?? 0) - (second ?? 0);
    expect(more / (Math.PI * (1 - 0.812))).toBeGreaterThan(0.75);
    expect(more / (Math.PI * (1 - 0.812))).toBeLessThan(1);
  });

  it('is refused where it is much thicker or thinner than the others, with what is allowed', () => {
    expect(refusalIn([frame('of its own', roundWire(1.6))], 'frame')).toMatch(
      /A wire of 1\.6 mm does not lie evenly beside one of 0\.81 mm.* 1\.1 mm at most/,
    );
    expect(refusalIn([frame('of its own', roundWire(0.4))], 'frame')).toMatch(/beside one of 0\.4 mm/);
  });

  it('is twisted before it is bound; of a round wire it is said that nobody will see it', () => {
    const { advice, order, turns } = leadTwisted([{ size: roundWire(0.8) }], 'form');
    expect(advice.map(({ mend }) => mend)).toEqual(['take square wire for it']);
    expect(order.map(({ first, then }) => `${first} < ${then}`)).toEqual(['twist < form']);
    expect(leadTwisted([{ size: squareWire(0.8) }], 'form').advice).toEqual([]);
    expect(1 / turns).toBeCloseTo(4, 9);
  });

  it('stands before the others by half of both and what is wound between them', () => {
    const sizes = [squareWire(1), roundWire(0.8), roundWire(0.8)].map((size) => ({ size }));
    expect(stackedBehind(sizes, 0.1)).toEqual([0, 1, 1.9].map((far) => expect.closeTo(far, 9)));
  });
});
