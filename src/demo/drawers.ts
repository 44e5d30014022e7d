import type { BeadShape } from '@/core/bead/bead';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { HoleAxis, OutlineKind } from '@/core/stone/stone';

/** Beads of the demo studio: material, shape, sizes and hole in mm, how many, shades, dollars. */
export const DEMO_BEADS: readonly (readonly [
  material: string,
  shape: BeadShape,
  size: number,
  largest: number | null,
  hole: number,
  count: number,
  shades: string,
  dollars: number,
])[] = [
  ['garnet', 'round', 4, null, 0.7, 96, 'wine 40, deep 48', 14.5],
  ['garnet', 'round', 6, null, 0.9, 64, '', 16],
  ['carnelian', 'round', 6, null, 0.9, 64, 'pale 22, amber 24, deep 18', 11.4],
  ['carnelian', 'faceted', 8, null, 1, 48, '', 15.2],
  ['iolite', 'rondelle', 3, 6, 0.5, 88, '', 24],
  ['iolite', 'briolette', 7, null, 0.5, 36, 'light 16, dark 18', 38],
  ['peridot', 'chip', 5, null, 0.6, 140, '', 12.2],
  ['peridot', 'faceted', 4, null, 0.6, 90, 'light 30, spring 36, deep 24', 28],
  ['unakite', 'round', 8, null, 1, 46, '', 8.4],
  ['unakite', 'coin', 12, null, 1, 30, '', 9.1],
  ['prehnite', 'round', 6, null, 0.8, 62, 'clear 30, veined 28', 17.5],
  ['prehnite', 'drop', 9, null, 0.6, 26, '', 21],
  ['sea glass', 'chip', 9, null, 1.2, 58, 'frost 20, aqua 22, bottle 12', 13],
  ['sea glass', 'drop', 14, null, 1.2, 18, '', 16.4],
  ['glass', 'seed', 2, null, 0.8, 900, '', 4.2],
  ['glass', 'seed', 1.5, null, 0.5, 1200, '', 4.6],
  ['freshwater pearl', 'round', 6, null, 0.5, 66, 'cream 30, rose 30', 26],
  ['freshwater pearl', 'drop', 7, 9, 0.5, 48, '', 29],
  ['copper', 'round', 3, null, 1, 200, '', 6.8],
  ['sterling', 'round', 2.5, null, 0.9, 150, '', 27],
  ['sterling', 'round', 4, null, 1.2, 60, '', 31],
  ['labradorite', 'rondelle', 4, 8, 0.6, 70, '', 33],
  ['moss agate', 'round', 8, null, 1, 48, '', 9.8],
  ['hematite', 'cube', 4, null, 0.9, 100, '', 5.9],
];

/** Stones of the demo studio: material, outline, length, width, depth, edge in mm, where drilled, hole, dollars. */
export const DEMO_STONES: readonly (readonly [
  material: string,
  outline: OutlineKind,
  length: number,
  width: number,
  depth: number,
  edge: number,
  holeAxis: HoleAxis,
  hole: number,
  dollars: number,
])[] = [
  ['prehnite', 'teardrop', 21, 15, 5.5, 3, 'none', 0, 9.5],
  ['prehnite', 'teardrop', 34, 21, 6.8, 3.4, 'none', 0, 18],
  ['prehnite', 'oval', 19, 14, 6, 3.1, 'none', 0, 8.8],
  ['carnelian', 'oval', 25, 18, 6.4, 3.3, 'none', 0, 11],
  ['carnelian', 'round', 20, 20, 6, 3, 'none', 0, 9.2],
  ['carnelian', 'marquise', 22, 11, 4.6, 2.4, 'none', 0, 7.9],
  ['iolite', 'oval', 14, 10, 4.8, 2.4, 'none', 0, 21],
  ['iolite', 'teardrop', 12, 8, 5, 2.2, 'side to side', 0.5, 14.5],
  ['unakite', 'crescent', 38, 16, 5.2, 3, 'none', 0, 12],
  ['unakite', 'square', 20, 20, 5.4, 3.2, 'none', 0, 6.4],
  ['unakite', 'heart', 24, 23, 6, 3, 'none', 0, 7],
  ['garnet', 'round', 6, 6, 3, 1.6, 'none', 0, 5.5],
  ['garnet', 'oval', 8, 6, 3.2, 1.7, 'none', 0, 8],
  ['peridot', 'round', 6, 6, 3.1, 1.5, 'none', 0, 12],
  ['peridot', 'teardrop', 9, 6, 4, 1.9, 'side to side', 0.6, 11.5],
  ['sea glass', 'freeform', 31, 19, 6.2, 3.4, 'none', 0, 3],
  ['sea glass', 'freeform', 24, 17, 5.8, 3, 'none', 0, 2.5],
  ['sea glass', 'freeform', 42, 22, 8, 4.2, 'none', 0, 4],
  ['moss agate', 'rectangle', 26, 16, 5, 3, 'none', 0, 8.6],
  ['labradorite', 'oval', 28, 19, 6.9, 3.5, 'none', 0, 22],
  ['labradorite', 'teardrop', 34, 22, 7, 3.6, 'none', 0, 27],
];

/** Findings of the demo studio: what, material, size, how many, dollars. */
export const DEMO_FINDINGS: readonly (readonly [FindingKind, string, string, string, number])[] = [
  ['jump ring', 'copper', '4 mm, 20 ga', '1 gross', 4.8],
  ['jump ring', 'copper', '6 mm, 18 ga', '1 gross', 5.6],
  ['jump ring', 'sterling', '4 mm, 20 ga', '6 dozen', 21],
  ['jump ring', 'gold-filled', '4 mm, 22 ga', '3 dozen', 24],
  ['head pin', 'copper', '50 mm, 22 ga', '4 dozen', 5.2],
  ['head pin', 'sterling', '40 mm, 24 ga', '4 dozen', 19],
  ['eye pin', 'brass', '50 mm, 22 ga', '4 dozen', 4.4],
  ['ear wire', 'sterling', '20 ga', '2 dozen', 26],
  ['ear wire', 'gold-filled', '21 ga', '1 dozen', 23],
  ['ear wire', 'niobium', '20 ga', '2 dozen', 18],
  ['hook clasp', 'copper', '18 mm', '1 dozen', 7.5],
  ['clasp', 'sterling', 'lobster, 9 mm', '1 dozen', 22],
  ['bail', 'copper', '8 mm', '2 dozen', 6.1],
  ['spacer', 'sterling', '4 mm', '5 dozen', 17.5],
  ['chain link', 'copper', 'oval, 5 mm', '2 gross', 8.8],
];

/** Supplies of the demo studio: name, unit, how much, what a finished piece takes, dollars. */
export const DEMO_SUPPLIES: readonly (readonly [string, SupplyUnit, string, string, number])[] = [
  ['Antiquing solution', 'ml', '500', '1.5', 14],
  ['Polishing cloth', 'piece', '24', '0.05', 19],
  ['Pumice powder', 'g', '1000', '2', 8.4],
  ['Kraft gift box', 'piece', '400', '1', 148],
  ['Tag with thread', 'piece', '500', '1', 16],
  ['Tumbling shot', 'g', '900', '0', 21],
];

/** Kinds of spool and what they weigh empty, grams. */
export const DEMO_SPOOL_TYPES: readonly (readonly [string, number])[] = [
  ['Small black reel', 8.4],
  ['Clear reel', 14.2],
  ['Wooden bobbin', 6.1],
];
