import fc from 'fast-check';
import { expectOk } from '../result';
import { minor, type MinorUnits } from '../units/money';
import type { ChannelTerms } from './channel';
import type { Discount } from './discount';
import { leftOf, refundOf, sellBasket, sumOfLines, type SoldLine } from './sale';
import { TAX_KINDS, TAX_ROUNDINGS } from './tax';

const m = (all: readonly number[]): MinorUnits[] => all.map(minor);
const SHOP: ChannelTerms = {
  feePercent: 1000,
  feeOn: 'gross',
  feeFixed: minor(30),
  postageAsked: minor(600),
  postage: minor(750),
  packing: minor(50),
  tax: { kind: 'included', percent: 2000 },
};
const basket = (tags: readonly number[], discount: Discount, terms: ChannelTerms = SHOP) =>
  sellBasket(m(tags), { discount, terms, rounding: 'document', currency: 'EUR' });

describe('a basket', () => {
  it('comes to what its buyer pays, line by line, with what is let go shared by the tags (by hand)', () => {
    // 60.00 and 30.00 for 75.00 together: 50.00 and 25.00; 6.00 of postage. A sixth of 81.00 is tax.
    const sold = expectOk(basket([6000, 3000], { kind: 'together', price: minor(7500) }));
    expect(sold.total).toEqual({ net: 6750, tax: 1350, gross: 8100 });
    // A tenth of 81.00 and 0.30 of fees, shared two to one; 7.50 of postage of which 5.00 without tax were paid, and 0.50 a box.
    expect(sold).toMatchObject({ fees: 840, sending: 850, left: 5060 });
    expect(sold.lines).toEqual([
      { asked: 6000, price: 5000, net: 4167, tax: 833, gross: 5000, fees: 560, sending: 217 },
      { asked: 3000, price: 2500, net: 2083, tax: 417, gross: 2500, fees: 280, sending: 133 },
    ]);
    expect(sold.postage).toEqual({
      asked: 600,
      price: 600,
      net: 500,
      tax: 100,
      gross: 600,
      fees: 0,
      sending: 500,
    });
  });

  it('is refused for more than the tags say, in the words of its discount', () => {
    expect(basket([1000], { kind: 'amount', off: minor(1200) })).toMatchObject({
      ok: false,
      error: expect.stringContaining('the tags say') as string,
    });
  });

  const anyBasket = fc.record({
    tags: fc.array(fc.integer({ min: 0, max: 50_000 }), { minLength: 1, maxLength: 8 }),
    part: fc.integer({ min: 0, max: 10_000 }),
    rounding: fc.constantFrom(...TAX_ROUNDINGS),
    terms: fc.record({
      feePercent: fc.integer({ min: 0, max: 5000 }),
      feeOn: fc.constantFrom('gross' as const, 'net' as const),
      feeFixed: fc.integer({ min: 0, max: 100 }).map(minor),
      postageAsked: fc.integer({ min: 0, max: 900 }).map(minor),
      postage: fc.integer({ min: 0, max: 900 }).map(minor),
      packing: fc.integer({ min: 0, max: 150 }).map(minor),
      tax: fc.record({ kind: fc.constantFrom(...TAX_KINDS), percent: fc.integer({ min: 0, max: 2700 }) }),
    }),
  });

  it('sums line by line to its total, and what comes back is to the minor unit what was paid', () => {
    fc.assert(
      fc.property(anyBasket, ({ tags, part, rounding, terms }) => {
        const discount = { kind: 'part', percent: part } as const;
        const sold = expectOk(sellBasket(m(tags), { discount, terms, rounding, currency: 'EUR' }));
        const all: SoldLine[] = sold.postage ? [...sold.lines, sold.postage] : [...sold.lines];
        expect(sumOfLines(all)).toEqual({ ...sold.total, fees: sold.fees, sending: sold.sending });
        expect(all.reduce((sum, line) => sum + leftOf(line), 0)).toBe(sold.left);
        const back = sumOfLines(sold.lines.map((line) => refundOf(line, false)));
        const paid = sumOfLines(sold.lines);
        expect([back.net + paid.net, back.tax + paid.tax, back.gross + paid.gross]).toEqual([0, 0, 0]);
        expect(back.fees + paid.fees).toBe(0);
        // What was spent on sending stays spent, and fees that are kept stay with the channel.
        expect(back.sending).toBe(0);
        expect(sumOfLines(sold.lines.map((line) => refundOf(line, true))).fees).toBe(0);
      }),
    );
  });
});
