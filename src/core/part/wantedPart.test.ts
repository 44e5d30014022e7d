import fc from 'fast-check';
import { describeBead, type BeadKind, BEAD_SHAPES } from '../bead/bead';
import { OUTLINES, describeStone } from '../stone/stone';
import { mm } from '../units/length';
import { misfit, readWantedPart, standsFor, type PartKind } from './wantedPart';

const GARNET: PartKind = {
  ware: 'bead',
  material: 'Red garnet',
  shape: 'round',
  min: mm(6),
  max: mm(6),
  hole: mm(0.9),
};
const PREHNITE: PartKind = {
  ware: 'stone',
  material: 'prehnite',
  outline: 'teardrop',
  length: mm(18.2),
  width: mm(12.8),
  hole: mm(0),
};
const RING: PartKind = {
  ware: 'finding',
  finding: 'jump ring',
  material: 'sterling silver',
  size: '20 ga, 5 mm',
};

const fit = (name: string, part: PartKind): number | undefined => {
  const wanted = readWantedPart(name);
  return wanted && misfit(wanted, part);
};

// The three ways of saying what is wanted that the handbook's reader is asked for.
it.each([
  ['round bead, 6 mm, any garnet, hole at least 0.9', GARNET],
  ['garnet, round 6mm beads', GARNET],
  ['6,1 mm bead', GARNET],
  ['teardrop cab 18 × 13', PREHNITE],
  ['prehnite teardrop, 18x13mm', PREHNITE],
  ['Prehnite cabs', PREHNITE],
  ['jump ring 5 mm', RING],
  ['silver jump rings', RING],
])('“%s” finds it', (name, part) => expect(fit(name, part)).toBeDefined());

it.each([
  ['round bead, 6 mm, any garnet, hole at least 1', GARNET],
  ['round bead 5 mm', GARNET],
  ['iolite bead 6 mm', GARNET],
  ['rondelle bead 6 mm garnet', GARNET],
  ['garnet cab', GARNET],
  ['teardrop cab 18 × 10', PREHNITE],
  ['oval prehnite cab', PREHNITE],
  ['unakite teardrop cab', PREHNITE],
  ['jump ring 6 mm', RING],
  ['copper jump ring', RING],
  ['head pin, sterling silver', RING],
])('“%s” does not find it', (name, part) => expect(fit(name, part)).toBeUndefined());

it.each(['bead', 'small stone', 'point', 'ribbon', ''])('“%s” says too little to look for anything', (name) =>
  expect(readWantedPart(name)).toBeUndefined(),
);

it('the nearer size is the better fit', () => {
  const other: PartKind = { ...PREHNITE, length: mm(18), width: mm(13) };
  expect(fit('teardrop cab 18 × 13', PREHNITE)).toBe(200);
  expect(fit('teardrop cab 18 × 13', other)).toBe(0);
});

const material = fc.constantFrom('garnet', 'sea glass', 'smoky iolite', 'unakite');
const size = fc.integer({ min: 20, max: 250 }).map((tenths) => mm(tenths / 10));

it('whatever is said of a bead as it stands in the drawers finds that bead', () => {
  const bead = fc.record({ material, shape: fc.constantFrom(...BEAD_SHAPES), min: size, hole: size });
  fc.assert(
    fc.property(bead, (each) => {
      const kind: BeadKind = { ...each, max: each.min };
      expect(fit(`${describeBead(kind)}, bead`, { ware: 'bead', ...kind })).toBe(0);
      // Half a millimetre more is another bead.
      expect(
        fit(`${describeBead(kind)}, bead`, { ware: 'bead', ...kind, min: mm(99), max: mm(99) }),
      ).toBeUndefined();
    }),
  );
});

it('whatever is said of a stone as it stands in the drawers finds that stone, and none longer by a millimetre', () => {
  const stone = fc.record({ material, outline: fc.constantFrom(...OUTLINES), length: size, width: size });
  fc.assert(
    fc.property(stone, (each) => {
      const measures = { ...each, depth: mm(4), edge: mm(2), holeAxis: 'none' as const, hole: mm(0) };
      const name = `${describeStone(measures)} cab`;
      expect(fit(name, { ware: 'stone', ...measures })).toBe(0);
      expect(
        fit(name, { ware: 'stone', ...measures, length: mm(measures.length / 1000 + 1) }),
      ).toBeUndefined();
    }),
  );
});

it.each([
  ['garnet, round, 3 mm', 'bead, 3 mm'],
  ['prehnite cab', 'oval stone, 18 × 13 mm'],
  ['fluorite drop, 16 × 10 mm', 'drop, 16 × 10 mm, drilled lengthwise'],
  ['sea glass drop', 'stone, 14 × 9 mm'],
  ['malachite coin, 10 mm', 'drilled coin, 10 mm'],
])('“%s” stands for “%s”', (named, wanted) => expect(standsFor(named, wanted)).toBe(true));

it.each([
  ['fluorite drop', 'bead, 3 mm'],
  ['iolite briolette', 'bead, 8 mm'],
  ['fluorite drop, 16 × 10 mm', 'small drop, 8 × 5 mm, drilled lengthwise'],
  ['garnet, round, 3 mm', 'bead, 4 mm'],
  ['prehnite teardrop cab', 'oval stone, 18 × 13 mm'],
])('“%s” does not stand for “%s”', (named, wanted) => expect(standsFor(named, wanted)).toBe(false));
