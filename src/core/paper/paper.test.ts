import { withTechnique } from '../pattern/addTechnique';
import { swapThroughout } from '../pattern/swapWires';
import { cutsOf, stepsOf } from '../pattern/bodyOf';
import { EMPTY_COMPOSITION, type Specs } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { cutLength, type PatternBody } from '../pattern/pattern';
import { roundWire } from '../parameter/parameter';
import { techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';
import { plainSpec } from '../plan/totals';
import { cutStrips, ROW } from './cutStrips';
import { patternCard } from './patternCard';
import { SHEETS, CHECK_BAR, MARGIN, wrapped, type Page, type PaperRules, type Shape } from './sheet';
import { sheetSvg } from './sheetSvg';

const SPECS: Specs = {
  c20: plainSpec(roundWire(0.812), 'copper'),
  c28: plainSpec(roundWire(0.321), 'copper'),
};

const composition = swapThroughout(
  withTechnique(EMPTY_COMPOSITION, techniqueOf('bundle-frame') as AnyTechnique, techniqueOf, SPECS),
  {},
  SPECS,
).composition;
const resolved = resolve(composition, SPECS, techniqueOf);
const BODY: PatternBody = {
  name: 'Weir <Pool> & more',
  kind: 'pendant',
  notes: 'Keep it flat.',
  cuts: cutsOf(resolved, 'in'),
  parts: [{ name: 'prehnite cab', count: 1, unitCost: 0 as PatternBody['parts'][number]['unitCost'] }],
  steps: stepsOf(resolved),
  composition,
};
const A4: PaperRules = { sheet: 'A4', first: 'mm', numbers: 'point' };
const HEAD = { tag: 'P-0042', name: BODY.name, revision: 3 };

const all = (pages: readonly Page[]): readonly Shape[] => pages.flatMap(({ shapes }) => shapes);
const texts = (pages: readonly Page[]): string[] =>
  all(pages).flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));

describe('cut strips', () => {
  const pages = cutStrips(HEAD, BODY, SPECS, A4);

  it('are as long as their wires, row by row, at 1:1', () => {
    const bars = all(pages).flatMap((shape) => (shape.kind === 'rect' ? [shape.width] : []));
    const wanted = BODY.cuts.map((cut) => cutLength(cut) / 1000);
    expect(bars.reduce((sum, width) => sum + width, 0)).toBeCloseTo(
      wanted.reduce((sum, length) => sum + length, 0),
      6,
    );
    expect(Math.max(...bars)).toBeLessThanOrEqual(ROW);
  });

  it('carry every mark at its place', () => {
    const [frame] = BODY.cuts;
    for (const { at, what } of frame?.marks ?? []) {
      const millimetres = at / 1000;
      expect(texts(pages)).toContain(`${Number(millimetres.toFixed(1))} mm ${what}`);
      const x = MARGIN + (millimetres % ROW);
      const lines = all(pages).filter(
        (shape) => shape.kind === 'line' && shape.thick === 0.35 && Math.abs(shape.x1 - x) < 1e-6,
      );
      expect(lines.length).toBeGreaterThan(0);
    }
  });

  it('stay on their pages, each with a bar of 100 mm', () => {
    for (const { shapes } of pages) {
      const bar = shapes.find((shape) => shape.kind === 'line' && shape.thick === 0.4);
      expect(bar && bar.kind === 'line' && bar.x2 - bar.x1).toBe(CHECK_BAR);
      for (const shape of shapes) {
        if (shape.kind !== 'rect') continue;
        expect(shape.x + shape.width).toBeLessThanOrEqual(SHEETS.A4.width - MARGIN + 2.5);
        expect(shape.y + shape.height).toBeLessThanOrEqual(SHEETS.A4.height - MARGIN - 4);
      }
    }
  });

  it('of many long wires go over several pages, and lose nothing', () => {
    const many = {
      cuts: Array.from({ length: 6 }, () => ({ ...BODY.cuts[1], count: 1 }) as PatternBody['cuts'][number]),
    };
    const sheets = cutStrips(HEAD, many, SPECS, A4);
    expect(sheets.length).toBeGreaterThan(1);
    const drawn = all(sheets).reduce((sum, shape) => sum + (shape.kind === 'rect' ? shape.width : 0), 0);
    expect(drawn).toBeCloseTo((6 * cutLength(many.cuts[0] as PatternBody['cuts'][number])) / 1000, 6);
  });
});

it('a pattern card says every cut, part, step and caution', () => {
  const said = texts(patternCard(HEAD, BODY, SPECS, A4)).join('\n');
  for (const { name } of BODY.steps) expect(said).toContain(name);
  for (const { name } of BODY.cuts) expect(said).toContain(name);
  expect(said).toContain('1 × prehnite cab');
  expect(said).toContain('Cut ends fly');
  expect(said).toContain('Local codes and a qualified person decide.');
  expect(said).toContain('Keep it flat.');
});

it('a sheet is an SVG in true millimetres, and markup in a name is text', () => {
  const svg = sheetSvg(cutStrips(HEAD, BODY, SPECS, A4));
  expect(svg).toMatch(/width="210mm" height="(297|594|891)mm" viewBox="0 0 210/);
  expect(svg).not.toContain('<Pool>');
  expect(svg).toContain('Weir &#60;Pool&#62; &#38; more');
});

it('a text is broken at spaces', () => {
  expect(wrapped('one two three', 7)).toEqual(['one two', 'three']);
  expect(wrapped('', 10)).toEqual([]);
});

it('strips of a studio that measures in inches have ticks of eighths and marks in inches, in true size', () => {
  const pages = cutStrips(HEAD, BODY, SPECS, { sheet: 'Letter', first: 'in', numbers: 'point' });
  expect(pages[0]).toMatchObject({ width: 215.9, height: 279.4 });
  const [bar] = all(pages).flatMap((shape) => (shape.kind === 'rect' ? [shape] : []));
  const ticks = all(pages).flatMap((shape) =>
    shape.kind === 'line' && shape.thick === 0.15 && bar && shape.y1 === bar.y + bar.height ? [shape.x1] : [],
  );
  // An inch is 25.4 mm exactly, so its eighths are 3.175 mm apart.
  for (const [index, x] of ticks.slice(0, 20).entries()) expect(x).toBeCloseTo(MARGIN + index * 3.175, 6);
  const [mark] = BODY.cuts[0]?.marks ?? [];
  expect(texts(pages).some((each) => / in .+/.test(each) && each.endsWith(mark?.what ?? '?'))).toBe(true);
});

it('papers of a studio that writes a decimal comma have it', () => {
  const said = texts(patternCard(HEAD, BODY, SPECS, { ...A4, numbers: 'comma' })).join('\n');
  expect(said).toMatch(/\d,\d mm, \d/);
  expect(said).not.toMatch(/\d\.\d mm, \d/);
});
