import { allOf } from '../drawing/look';
import { lineSheetPages, type LineSheet, type OfferedPiece } from './lineSheet';
import { MARGIN, SHEETS, type Page, type Shape } from './sheet';

/** A square of 10 mm, drawn by its outline. */
const SQUARE = {
  drawing: {
    box: { x: 0, y: 0, width: 10, height: 10 },
    layers: [{ kind: 'edge' as const, wire: 'a', d: 'M0 0H10V10H0Z', thick: 0.2 }],
  },
  looks: allOf('copper'),
};

const piece = (number: number, more: Partial<OfferedPiece> = {}): OfferedPiece => ({
  name: `Ring ${number}`,
  about: [`P-000${number}`, 'sterling'],
  price: '$20.00',
  retail: 'tag $40.00',
  picture: SQUARE,
  ...more,
});

const lineSheet = (count: number, more: Partial<LineSheet> = {}): LineSheet => ({
  studio: 'Heron Wire',
  title: 'For shops',
  under: ['4 May 2026'],
  pieces: Array.from({ length: count }, (_, index) => piece(index + 1)),
  terms: ['Ten pieces are the least that is ordered.', 'Paid within 30 days.'],
  ...more,
});

type Text = Extract<Shape, { kind: 'text' }>;
const textsOn = ({ shapes }: Page): Text[] =>
  shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
const saidOn = (pages: readonly Page[]) => pages.flatMap((page) => textsOn(page).map(({ text }) => text));

describe('a line sheet', () => {
  it.each(['A4', 'Letter'] as const)(
    'of %s shows each piece once, with its picture and its price',
    (sheet) => {
      const pages = lineSheetPages(lineSheet(20), { sheet });
      expect(pages.length).toBeGreaterThan(1);
      const said = saidOn(pages);
      for (let number = 1; number <= 20; number += 1)
        expect(said.filter((each) => each === `Ring ${number}`)).toHaveLength(1);
      expect(said.filter((each) => each === '$20.00')).toHaveLength(20);
      expect(said.filter((each) => each === 'tag $40.00')).toHaveLength(20);
      expect(pages.flatMap(({ shapes }) => shapes.filter(({ kind }) => kind === 'path'))).toHaveLength(20);
      // The terms stand once, after all of them.
      expect(said.indexOf('Paid within 30 days.')).toBeGreaterThan(said.indexOf('Ring 20'));
      for (const page of pages) {
        expect(textsOn(page).map(({ text }) => text)).toContain('For shops');
        for (const { x, y } of textsOn(page)) {
          expect(x).toBeGreaterThanOrEqual(MARGIN);
          expect(x).toBeLessThanOrEqual(SHEETS[sheet].width - MARGIN);
          expect(y).toBeLessThanOrEqual(SHEETS[sheet].height - MARGIN);
        }
      }
    },
  );

  it('lays pieces side by side and below each other, each picture over its own words', () => {
    const [page] = lineSheetPages(lineSheet(4), { sheet: 'A4' });
    if (!page) throw new Error('there is one');
    const at = (said: string) => textsOn(page).find(({ text }) => text === said) ?? { x: NaN, y: NaN };
    expect(at('Ring 2').y).toBe(at('Ring 1').y);
    expect(at('Ring 2').x).toBeGreaterThan(at('Ring 1').x + 50);
    expect(at('Ring 4').x).toBe(at('Ring 1').x);
    expect(at('Ring 4').y).toBeGreaterThan(at('Ring 1').y + 55);
    const pictures = page.shapes.flatMap((shape) => (shape.kind === 'path' ? [shape] : []));
    // A square of 10 mm in a room of less than 60 by 40 is drawn four times as large, which is the most.
    expect(pictures.map(({ scale }) => scale)).toEqual([4, 4, 4, 4]);
    expect(pictures.map(({ y }, index) => y + 40 < at(`Ring ${index + 1}`).y)).toEqual([
      true,
      true,
      true,
      true,
    ]);
  });

  it('puts the terms on a sheet of their own where there is no room below the pieces', () => {
    const whole = lineSheetPages(lineSheet(9, { terms: [] }), { sheet: 'A4' });
    expect(whole).toHaveLength(1);
    const terms = Array.from({ length: 8 }, (_, index) => `Rule ${index + 1}`);
    const pages = lineSheetPages(lineSheet(9, { terms }), { sheet: 'A4' });
    expect(pages).toHaveLength(2);
    expect(saidOn(pages.slice(1))).toEqual(
      expect.arrayContaining(['For shops', 'Rule 1', 'Rule 8', '2 of 2']),
    );
  });
});
