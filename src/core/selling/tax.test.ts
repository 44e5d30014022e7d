import fc from 'fast-check';
import { minor } from '../units/money';
import { taxed, taxedLines, TAX_KINDS, TAX_ROUNDINGS, type TaxRule } from './tax';

const included = (percent: number): TaxRule => ({ kind: 'included', percent });
const added = (percent: number): TaxRule => ({ kind: 'added', percent });
const m = (all: readonly number[]) => all.map(minor);

describe('the tax of an amount', () => {
  // VAT fractions as HM Revenue and Customs publish them (VAT guide, Notice 700, “VAT fraction”; from memory): 1/6 of a price with 20 %, 7/47 with 17.5 %, 1/21 with 5 %.
  it.each([
    [2000, 1, 6],
    [1750, 7, 47],
    [500, 1, 21],
  ])('that contains %i hundredths of a percent is %i/%i of it', (percent, over, under) => {
    expect(taxed(minor(under * 600), included(percent)).tax).toBe(over * 600);
  });

  it('that it is added to is a part of it (worked by hand)', () => {
    // 7.25 % of 100.00 are 7.25.
    expect(taxed(minor(10_000), added(725))).toEqual({ net: 10_000, tax: 725, gross: 10_725 });
    expect(taxed(minor(10_000), { kind: 'none', percent: 725 })).toEqual({
      net: 10_000,
      tax: 0,
      gross: 10_000,
    });
  });

  it('is rounded at half a minor unit, up for a sale and as far down for its refund', () => {
    // 5 % of 0.90 are 4.5 hundredths.
    expect(taxed(minor(90), added(500)).tax).toBe(5);
    expect(taxed(minor(-90), added(500)).tax).toBe(-5);
  });
});

describe('the tax of a document', () => {
  it('is that of its taxable amount, rounded once (EN 16931-1, rule BR-CO-17)', () => {
    // The base example of a published profile of that standard, from memory: 1325.00 at 25 % are 331.25, 1656.25 with it; and lines of 1273.00, 27.00 and a charge of 25.00.
    const { total } = taxedLines(m([127_300, 2700, 2500]), added(2500), 'document');
    expect(total).toEqual({ net: 132_500, tax: 33_125, gross: 165_625 });
  });

  it('may be rounded on each line or on the sum, which need not be the same (Streamlined Sales and Use Tax Agreement, section 324: item or invoice; by hand)', () => {
    // 7 % of 0.33 are 2.31 hundredths, three times 6.93.
    const asked = m([33, 33, 33]);
    expect(taxedLines(asked, added(700), 'line').total.tax).toBe(6);
    expect(taxedLines(asked, added(700), 'document').total.tax).toBe(7);
    expect(taxedLines(asked, added(700), 'document').lines.map(({ tax }) => tax)).toEqual([3, 2, 2]);
  });

  it('sums from its lines to the minor unit, by whatever rule; and a refund is what was paid', () => {
    const rule = fc.record({
      kind: fc.constantFrom(...TAX_KINDS),
      percent: fc.integer({ min: 0, max: 3000 }),
    });
    const asked = fc.array(fc.integer({ min: 0, max: 500_000 }), { maxLength: 12 });
    fc.assert(
      fc.property(asked, rule, fc.constantFrom(...TAX_ROUNDINGS), (prices, by, rounding) => {
        const { lines, total } = taxedLines(m(prices), by, rounding);
        const sum = (of: 'net' | 'tax' | 'gross') => lines.reduce((all, line) => all + line[of], 0);
        expect([sum('net'), sum('tax'), sum('gross')]).toEqual([total.net, total.tax, total.gross]);
        expect(total.net + total.tax).toBe(total.gross);
        for (const line of lines) expect(line.net + line.tax).toBe(line.gross);
        // What the tags say is what is paid, or what is taken, whichever the rule says.
        const tags = prices.reduce((all, each) => all + each, 0);
        expect(by.kind === 'added' ? total.net : total.gross).toBe(tags);
        const back = taxedLines(m(prices.map((each) => 0 - each)), by, rounding);
        expect(back.total.tax + total.tax).toBe(0);
        expect(back.lines.map(({ gross }, index) => gross + (lines[index]?.gross ?? NaN))).toEqual(
          prices.map(() => 0),
        );
      }),
    );
  });

  it('is never more than half a minor unit a line away from the exact tax', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 90_000 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 2700 }),
        (prices, percent) => {
          const exact = prices.reduce((sum, each) => sum + (each * percent) / 10_000, 0);
          const { tax: byLine } = taxedLines(m(prices), added(percent), 'line').total;
          const { tax: once } = taxedLines(m(prices), added(percent), 'document').total;
          expect(Math.abs(once - exact)).toBeLessThanOrEqual(0.5 + 1e-9);
          expect(Math.abs(byLine - exact)).toBeLessThanOrEqual(prices.length / 2 + 1e-9);
        },
      ),
    );
  });
});
