import { pieceOf, type Told } from '../../../tests/support/acts';
import { roundWire } from '../parameter/parameter';
import { allOf } from '../drawing/look';
import { materialIn } from '../stone/material';
import { hangingOf, saidHanging } from './hangs';

const frame: Told = [
  'a',
  'bundle-frame',
  { bound: 6, holds: 2, stone: { outline: 'oval', length: 24, width: 18, depth: 6, edge: 2.4 } },
];
const bail: Told = [
  'b',
  'folded-bail',
  { wraps: 0, gather: 4, clear: 1 },
  { ends: ['a.left 3', 'a.right 3'] },
];
const copper = allOf('copper');

describe('how a piece hangs', () => {
  it('a frame that is alike on both sides hangs straight from the front', () => {
    const made = hangingOf(pieceOf([frame, bail]), copper);
    expect(made && Math.abs(made.front)).toBeLessThan(0.5);
    // 24 × 18 mm of quartz: an ellipse of 339 mm² by 2.4 and ⅔ of 3.6.
    expect(made?.bodyGrams).toBeCloseTo((Math.PI * 12 * 9 * (2.4 + 2.4) * 2.65) / 1000, 2);
  });

  it('a heavy curl on one side turns it that way, and what mends it is said', () => {
    const curl: Told = [
      'c',
      'flat-spiral',
      { across: 14, start: 2, way: 'to the right' },
      { ends: ['a.right 1'] },
    ];
    const heavy = pieceOf([
      ['a', 'bundle-frame', { ...frame[2], wire: roundWire(1.2), binding: roundWire(0.4) }],
      bail,
      curl,
    ]);
    const made = hangingOf(heavy, allOf('gold-filled'));
    expect(made?.front).toBeGreaterThan(1);
    expect(made && saidHanging(made)).toMatch(
      /tilts \d+° clockwise: its middle lies [\d.]+ mm to the right of its bail/,
    );
  });

  it('a stone weighs what its material does, and pulls the middle to itself', () => {
    const piece = pieceOf([frame, bail]);
    const quartz = hangingOf(piece, copper);
    const garnet = hangingOf(piece, { ...copper, materialOf: () => materialIn('garnet') });
    // Densities of almandine and quartz (Handbook of Mineralogy).
    expect((garnet?.bodyGrams ?? 0) / (quartz?.bodyGrams ?? 1)).toBeCloseTo(4.2 / 2.65, 6);
    expect(garnet?.wireGrams).toBe(quartz?.wireGrams);
    // The stone lies below the middle of the whole, whose bail stands over it.
    expect((garnet?.middle.y ?? 0) - (quartz?.middle.y ?? 0)).toBeGreaterThan(0.1);
    expect([quartz?.asQuartz, garnet?.asQuartz, garnet?.bodies]).toEqual([1, 0, 1]);
  });

  it('nothing is said of what has no bail', () => {
    expect(hangingOf(pieceOf([frame]), copper)).toBeUndefined();
  });
});
