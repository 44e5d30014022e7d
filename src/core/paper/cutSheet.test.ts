import fc from 'fast-check';
import { mm } from '../units/length';
import { roundWire } from '../parameter/parameter';
import { plainSpec } from '../plan/totals';
import { cutSheet, scaleFor, type SheetPiece } from './cutSheet';
import { SHEETS, MARGIN, type Page, type PaperRules, type Shape } from './sheet';

const SPEC = plainSpec(roundWire(0.812), 'copper');
const piece = (lengths: readonly number[], left: number, more: Partial<SheetPiece> = {}): SheetPiece => ({
  label: 'W-0042, off-cut, Bobbin tin',
  cuts: lengths.map((length) => ({ length: mm(length), name: 'frame wire, Weir' })),
  left: mm(left),
  leftIs: 'off-cut',
  ...more,
});
const A4: PaperRules = { sheet: 'A4', first: 'mm', numbers: 'point' };
const sheet = (
  pieces: readonly SheetPiece[],
  picks: Parameters<typeof cutSheet>[2] = [],
  rules: PaperRules = A4,
) => cutSheet({ tag: 'R-0001', name: 'Spring <fair>' }, [{ spec: SPEC, pieces }], picks, rules);
const all = (pages: readonly Page[]): readonly Shape[] => pages.flatMap(({ shapes }) => shapes);
const rects = (pages: readonly Page[]) =>
  all(pages).flatMap((shape) => (shape.kind === 'rect' ? [shape] : []));
const bars = (pages: readonly Page[]) => rects(pages).filter(({ height }) => height === 5);
const boxes = (pages: readonly Page[]) => rects(pages).filter(({ height }) => height !== 5);

it('draws every cut to the scale that it says, and has a box to tick for each', () => {
  const lengths = [300, 120.5, 120.5, 40];
  const pages = sheet([piece(lengths, 90)]);
  expect(scaleFor([piece(lengths, 90)])).toBe(5);
  expect(bars(pages).map(({ width }) => width * 5)).toEqual(
    lengths.map((length) => expect.closeTo(length, 6)),
  );
  expect(boxes(pages)).toHaveLength(4);
  const texts = all(pages).flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
  expect(texts).toContain('2 × 120.5 mm, 4 3/4 in');
  expect(texts.some((text) => /drawn 1 : 5$/.test(text))).toBe(true);
  expect(texts.some((text) => /^90 mm, .* stay as an off-cut$/.test(text))).toBe(true);
  expect(texts).toContain('This bar is 100 mm long. If yours is not, print at 100 %.');
});

it('is drawn as large as the cuts allow, whatever is left on a spool', () => {
  expect(scaleFor([piece([150], 9000, { leftIs: 'spool' })])).toBe(1);
  expect(scaleFor([piece([150], 9000)])).toBe(100);
  expect(scaleFor([])).toBe(1);
});

it('lists what is to be picked, each with its box and where it lies', () => {
  const pages = sheet([], [{ count: 12, name: '4 mm garnet', from: 'B-0012, Bead box' }]);
  const texts = all(pages).flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
  expect(texts).toEqual(expect.arrayContaining(['To pick', '12 × 4 mm garnet', 'B-0012, Bead box']));
  expect(boxes(pages)).toHaveLength(1);
});

it('never leaves its pages, and loses no cut', () => {
  const pieces = fc.array(
    fc.tuple(
      fc.array(fc.integer({ min: 5, max: 900 }), { minLength: 1, maxLength: 40 }),
      fc.integer({ min: 0, max: 4000 }),
    ),
    { minLength: 1, maxLength: 12 },
  );
  fc.assert(
    fc.property(pieces, (some) => {
      const pages = sheet(some.map(([lengths, left]) => piece(lengths, left)));
      const cuts = some.reduce((sum, [lengths]) => sum + lengths.length, 0);
      expect(bars(pages)).toHaveLength(cuts);
      expect(boxes(pages)).toHaveLength(cuts);
      for (const { x, y, width, height } of rects(pages)) {
        expect(x).toBeGreaterThanOrEqual(MARGIN - 0.01);
        expect(x + width).toBeLessThanOrEqual(SHEETS.A4.width - MARGIN + 0.01);
        expect(y + height).toBeLessThanOrEqual(SHEETS.A4.height - MARGIN);
      }
    }),
  );
});
