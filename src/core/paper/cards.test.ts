import fc from 'fast-check';
import { METAL_IDS } from '../wire/metal';
import { CARD_KINDS, cardPages, cardsOnSheet, type PieceCard } from './cards';
import { careOf, cautionsOf } from './care';
import { SHEET_NAMES, SHEETS, type Page } from './sheet';

const CARD: PieceCard = {
  ...{ tag: 'F-0042', name: 'Lantern drop', size: 'US 7', metals: ['sterling'], price: '$48.00' },
  ...{ materials: ['sterling, 20 AWG round half hard', 'prehnite'], weight: '4.1 g', madeOn: '4 May 2026' },
  ...{ studio: 'Heron Wire', care: careOf(['sterling'], true), cautions: cautionsOf(true) },
  code: { d: 'M0 0h1v1h-1z', side: 21 },
};

const said = ({ shapes }: Page): readonly string[] =>
  shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
const first = (...args: Parameters<typeof cardPages>): Page => {
  const [page] = cardPages(...args);
  if (!page) throw new Error('there is a page');
  return page;
};

describe('tags and cards of pieces', () => {
  it('say of a price tag its name, metal, size, price and number, with its code', () => {
    const page = first([CARD], 'price tag', 'A4');
    expect(said(page)).toEqual(['Lantern drop', 'sterling, US 7', '$48.00', 'F-0042']);
    expect(page.shapes.filter(({ kind }) => kind === 'path')).toHaveLength(1);
  });

  it('have a string tag folded: a hole for the string, the price on the other side', () => {
    const page = first([CARD], 'string tag', 'A4');
    const x = (of: string) => page.shapes.find((shape) => shape.kind === 'text' && shape.text === of);
    const [name, price] = [x('Lantern drop'), x('$48.00')];
    const fold = page.shapes.find(({ kind }) => kind === 'line');
    if (name?.kind !== 'text' || price?.kind !== 'text' || fold?.kind !== 'line')
      throw new Error('all are there');
    expect(name.x).toBeLessThan(fold.x1);
    expect(price.x).toBeGreaterThan(fold.x1);
    expect(page.shapes.filter(({ kind }) => kind === 'path')).toHaveLength(2);
  });

  it('tell on a certificate what is in it, and that it is no hallmark', () => {
    const all = said(first([CARD], 'certificate', 'Letter')).join(' ');
    expect(all).toContain('– sterling, 20 AWG round half hard');
    expect(all).toContain('– prehnite');
    expect(all).toContain('It weighs 4.1 g.');
    expect(all).toMatch(/no assay and no hallmark/);
    expect(all).toMatch(/nickel, lead and cadmium/);
    expect(said(first([{ ...CARD, weight: '' }], 'certificate', 'A4')).join(' ')).not.toContain('weighs');
  });

  it('tell on a care card what each metal needs, once', () => {
    const all = said(first([CARD], 'care card', 'A4')).join(' ');
    expect(all).toContain('Silver tarnishes.');
    expect(all).toContain('Put it on last');
    expect(careOf(['copper', 'copper'], false)).toHaveLength(2);
    for (const metal of METAL_IDS) expect(careOf([metal], false)[1]).toMatch(/\.$/);
  });

  it('fill sheets and go on to the next, each within its paper', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CARD_KINDS),
        fc.constantFrom(...SHEET_NAMES),
        fc.integer({ min: 1, max: 70 }),
        fc.string({ maxLength: 160 }),
        (kind, sheet, count, name) => {
          const { across, down } = cardsOnSheet(kind, sheet);
          expect(across * down).toBeGreaterThanOrEqual(4);
          const pages = cardPages(
            Array.from({ length: count }, () => ({ ...CARD, name })),
            kind,
            sheet,
          );
          expect(pages).toHaveLength(Math.ceil(count / (across * down)));
          const rects = pages.flatMap(({ shapes }) => shapes.filter((shape) => shape.kind === 'rect'));
          expect(rects).toHaveLength(count);
          const paper = SHEETS[sheet];
          for (const { x, y, width, height } of rects) {
            expect(Math.min(x, y)).toBeGreaterThanOrEqual(5);
            expect(x + width).toBeLessThanOrEqual(paper.width - 5);
            expect(y + height).toBeLessThanOrEqual(paper.height - 5);
          }
          for (const { shapes } of pages)
            for (const shape of shapes)
              if (shape.kind === 'text') expect(shape.y).toBeLessThanOrEqual(paper.height - 5);
        },
      ),
    );
  });
});
