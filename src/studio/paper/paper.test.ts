import { cutSheet } from '@/core/paper/cutSheet';
import { patternCard } from '@/core/paper/patternCard';
import { cutStrips } from '@/core/paper/cutStrips';
import { MOST_ON_PROPOSAL, proposalPage } from '@/core/paper/proposal';
import { line, MARGIN, SHEET_NAMES, SHEETS, text, type Page, type PaperRules } from '@/core/paper/sheet';
import { allOf } from '@/core/drawing/look';
import { pieceSize } from '@/core/drawing/pieceSize';
import { saidFrom, viewsOf } from '@/core/drawing/view';
import { METAL_COLOURS } from '@/core/wire/metalColour';
import { drawPlan } from '@/core/plan/drawPlan';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Specs } from '@/core/pattern/composition';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import { afterSteps } from '@/core/pattern/afterSteps';
import { drawnParts } from '@/core/pattern/drawnParts';
import { TRADE_WIRES } from '@/core/wire/tradeWires';
import { mm } from '@/core/units/length';
import { roundWire } from '@/core/parameter/parameter';
import { plainSpec } from '@/core/plan/totals';
import { readPdf, textsIn } from '../../../tests/support/readPdf';
import { EDGE, labelPdf, labelsOnPage, LAYOUTS, printedRoom } from '../labels/labelPdf';
import type { Label } from '../labels/labels';
import { composedOf } from '@/core/house/composedOf';
import { HOUSE_PATTERNS } from '@/core/house/housePatterns';
import { printable } from './pdf';
import { sheetPdf } from './sheetPdf';

/** Points in a millimetre. */
const MM = 72 / 25.4;
const rules = (sheet: PaperRules['sheet'], more: Partial<PaperRules> = {}): PaperRules => ({
  sheet,
  first: 'mm',
  numbers: 'point',
  ...more,
});
const SPECS: Specs = Object.fromEntries(TRADE_WIRES.map((wire) => [wire.id, wire]));
const SPEC = plainSpec(roundWire(0.812), 'copper');

describe('a PDF', () => {
  it('has every letter that was typed, and the faces with it', async () => {
    const said = [
      'Żółty mosiądz, 12 zł',
      '₹ 1,250 ≈ 10 1/4 in − ‹goes on›',
      'Ёлка, άνθος, Ærø',
      'čšžđ ő ű ı İ ğ',
    ];
    const pdf = await sheetPdf(
      [{ ...SHEETS.A4, shapes: said.map((each, index) => text(20, 20 + index * 8, 4, each)) }],
      'Letters',
    );
    expect(textsIn(readPdf(pdf))).toEqual(said);
    // Embedded, not named in the hope that the reader has them (ISO 32000-1, 9.9: FontFile2 holds a TrueType program).
    expect(pdf.toString('latin1')).toContain('/FontFile2');
    expect(pdf.toString('latin1')).not.toContain('Helvetica');
  });

  it('shows a box for a sign that its faces lack, rather than nothing', () => {
    expect(printable('Ring 𓀀 龍 3')).toBe('Ring □ □ 3');
  });

  it.each(SHEET_NAMES)('is as large as %s', async (sheet) => {
    const [page] = readPdf(await sheetPdf([{ ...SHEETS[sheet], shapes: [line(1, 1, 2, 2)] }], 'Empty'));
    expect(page?.width).toBeCloseTo(SHEETS[sheet].width * MM, 1);
    expect(page?.height).toBeCloseTo(SHEETS[sheet].height * MM, 1);
  });
});

describe.each(SHEET_NAMES)('papers on %s', (sheet) => {
  const inside = async (pages: Parameters<typeof sheetPdf>[0]) => {
    for (const { texts, width, height } of readPdf(await sheetPdf(pages, 'Paper')))
      for (const each of texts) {
        expect(each.x).toBeGreaterThanOrEqual(MARGIN * MM - 1);
        expect(each.x + each.width).toBeLessThanOrEqual(width - (MARGIN - 4) * MM);
        expect(each.y).toBeGreaterThanOrEqual(MARGIN * MM - 1);
        expect(each.y).toBeLessThanOrEqual(height - MARGIN * MM);
      }
  };

  it('keep every line of a cut sheet on the paper, and say the whole purpose of a cut', async () => {
    const purpose =
      'frame wire of the outer band on the left, Weir pool pendant with a very long name, US 7 · UK N½ · ISO 54.4';
    const pages = cutSheet(
      { tag: 'R-0001', name: 'Spring fair' },
      [
        {
          spec: SPEC,
          pieces: [
            {
              label: 'W-0042, off-cut, Bobbin tin',
              cuts: [{ length: mm(120), name: purpose }],
              left: mm(80),
              leftIs: 'off-cut',
            },
          ],
        },
        { spec: { ...SPEC, metal: 'brass' }, pieces: [] },
      ],
      [],
      rules(sheet),
    );
    await inside(pages);
    const said = textsIn(readPdf(await sheetPdf(pages, 'Cut sheet'))).join(' ');
    expect(said).toContain('very long name, US 7 · UK N½ · ISO 54.4');
    expect(said).not.toContain('brass');
  });

  it('keep every line of a card and of strips on the paper, in inches first', async () => {
    const pages = HOUSE_PATTERNS.filter((_, index) => index % 3 === 0).flatMap((pattern) => {
      const composition = composedOf(pattern, SPECS);
      const resolved = resolve(composition, SPECS, techniqueOf);
      const body = {
        name: pattern.name,
        kind: pattern.kind,
        notes: pattern.notes ?? '',
        cuts: cutsOf(resolved, 'in'),
        parts: [],
        steps: stepsOf(resolved),
        composition,
      };
      const head = { tag: 'P-0001', name: pattern.name, revision: 1 };
      const inches = rules(sheet, { first: 'in' });
      const card = patternCard(head, body, SPECS, inches);
      // Every technique is drawn, each with its own scale.
      const scales = card.flatMap(({ shapes }) =>
        shapes.filter((shape) => shape.kind === 'text' && /\([\d.]+ : 1\)$/.test(shape.text)),
      );
      // What is told by the ways of its wires is seen from the front, the back and the side, a ring from above.
      const sides = pattern.kind === 'ring' ? 4 : 3;
      const views = drawnParts(resolved).reduce((sum, { plan }) => sum + (plan.run ? sides : 1), 0);
      // And it stands there after each step that changes it.
      const stages = drawnParts(resolved)
        .map((part) => afterSteps(part).length)
        .reduce((sum, count) => sum + (count > 1 ? count : 0), 0);
      expect(scales).toHaveLength(views + stages);
      return [...card, ...cutStrips(head, body, SPECS, inches)];
    });
    await inside(pages);
    const said = textsIn(readPdf(await sheetPdf(pages, 'Cards')));
    expect(said.some((each) => /: \d[\d /]* in, [\d.]+ mm/.test(each))).toBe(true);
  });

  it('keep a proposal on one page, with as many words as may stand on it; its picture gives them room', async () => {
    const pendant = HOUSE_PATTERNS.find(({ name }) => name === 'Sluicegate pendant');
    const [part] = pendant ? drawnParts(resolve(composedOf(pendant, SPECS), SPECS, techniqueOf)) : [];
    if (!part?.plan.run) throw new Error('it is drawn');
    const { run } = part.plan;
    const views = viewsOf(false).map((view) => ({
      said: saidFrom(view),
      drawing: drawPlan(part.plan, undefined, view),
    }));
    const proposal = (words: string) => ({
      studio: 'Weir Street Wire',
      day: '4 May 2026',
      name: 'A pendant of a name that is as long as names of patterns may be',
      kind: 'pendant',
      whom: 'Wilhelmina Wintersby-Montgomery and her four grown daughters'.slice(0, MOST_ON_PROPOSAL.whom),
      size: pieceSize(run),
      copies: 1,
      ringSize: undefined,
      holds: ['labradorite teardrop stone, 30 × 18 mm', '2 × peridot bead, 3.5 mm', 'leather cord, 45 cm'],
      prices: ['copper', 'sterling silver', '14/20 gold-filled'].map((metal) => ({
        metal,
        price: '$1,234.50',
        grams: 12.34,
      })),
      terms: ['Prices are without tax; 8.25 % is added.', 'Valid until 3 June 2026.'],
      words,
    });
    const page = (words: string) => proposalPage(proposal(words), views, allOf('copper'), rules(sheet));
    const long = page('It can be worn short or long. '.repeat(17).trim().slice(0, MOST_ON_PROPOSAL.words));
    await inside([long]);
    const scaleOf = ({ shapes }: Page) =>
      Math.max(...shapes.flatMap((shape) => (shape.kind === 'path' ? shape.scale : [])));
    expect(scaleOf(long)).toBeGreaterThan(0.5);
    expect(scaleOf(long)).toBeLessThanOrEqual(scaleOf(page('')));
    // In the colours of what it is made of.
    const inks = new Set(long.shapes.flatMap((shape) => (shape.kind === 'path' ? shape.colour : [])));
    expect(inks).toContain(METAL_COLOURS.copper.fill);
    const said = textsIn(readPdf(await sheetPdf([long], 'A proposal')));
    expect(said).toEqual(
      expect.arrayContaining(['In sterling silver, about 12 g', '$1,234.50', 'from the back']),
    );
  });
});

it('labels keep away from the edge of the paper, and from one another', () => {
  for (const sheet of SHEET_NAMES) {
    const areas = Array.from({ length: labelsOnPage('sheet', sheet) }, (_, slot) =>
      printedRoom('sheet', sheet, slot),
    );
    for (const [index, { x, y, width, height }] of areas.entries()) {
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(EDGE);
      expect(SHEETS[sheet].width - x - width).toBeGreaterThanOrEqual(EDGE);
      expect(SHEETS[sheet].height - y - height).toBeGreaterThanOrEqual(EDGE);
      expect(Math.min(width / 55, height / 21)).toBeGreaterThanOrEqual(1);
      for (const other of areas.slice(index + 1))
        expect(other.x >= x + width || other.y >= y + height || other.x + other.width <= x).toBe(true);
    }
  }
});

it('a label says the words of a studio in its own letters', async () => {
  const label: Label = {
    tag: 'W-0042',
    name: 'Żółty mosiądz 20 AWG',
    form: 'spool',
    place: 'Półka ₹',
  };
  for (const layout of LAYOUTS) {
    const said = textsIn(readPdf(await labelPdf([label], layout, 'qr', 'Letter'))).join(' ');
    for (const word of ['W-0042', 'Żółty', 'mosiądz', 'Półka ₹']) expect(said).toContain(word);
  }
});
