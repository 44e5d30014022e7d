import fc from 'fast-check';
import { minor } from '../units/money';
import { FEE_BASES, leastPrice, reckonSale, type ChannelTerms } from './channel';
import { TAX_KINDS, TAX_ROUNDINGS } from './tax';

const FREE: ChannelTerms = {
  feePercent: 0,
  feeOn: 'gross',
  feeFixed: minor(0),
  postageAsked: minor(0),
  postage: minor(0),
  packing: minor(0),
  tax: { kind: 'none', percent: 0 },
};
const m = (all: readonly number[]) => all.map(minor);
const reckoned = (prices: readonly number[], terms: Partial<ChannelTerms>) =>
  reckonSale(m(prices), { ...FREE, ...terms }, 'document');

const anyTerms: fc.Arbitrary<ChannelTerms> = fc.record({
  feePercent: fc.integer({ min: 0, max: 6000 }),
  feeOn: fc.constantFrom(...FEE_BASES),
  feeFixed: fc.integer({ min: 0, max: 100 }).map(minor),
  postageAsked: fc.integer({ min: 0, max: 900 }).map(minor),
  postage: fc.integer({ min: 0, max: 900 }).map(minor),
  packing: fc.integer({ min: 0, max: 150 }).map(minor),
  tax: fc.record({ kind: fc.constantFrom(...TAX_KINDS), percent: fc.integer({ min: 0, max: 2700 }) }),
});

describe('what a sale comes to', () => {
  it('is the price where nothing is taken of it', () => {
    expect(reckoned([4200, 1800], {})).toMatchObject({
      total: { net: 6000, tax: 0, gross: 6000 },
      fees: 0,
      sending: 0,
      left: 6000,
      leftOf: [4200, 1800],
      postage: null,
    });
  });

  it('is less by a percentage and a fixed fee, of the whole sale once (common practice with cards; by hand)', () => {
    // 2.9 % and 0.30 of 50.00: 1.45 and 0.30.
    expect(reckoned([5000], { feePercent: 290, feeFixed: minor(30) })).toMatchObject({
      fees: 175,
      left: 4825,
    });
    // Of two pieces in one sale the fixed fee is taken once.
    expect(reckoned([2500, 2500], { feePercent: 290, feeFixed: minor(30) }).fees).toBe(175);
  });

  it('leaves a shop its share of the price without tax, or of what the buyer pays (by hand)', () => {
    const tax = { kind: 'included', percent: 2000 } as const;
    // 60.00 with a sixth of tax are 50.00; two fifths of that are 20.00, of 60.00 they are 24.00.
    expect(reckoned([6000], { feePercent: 4000, feeOn: 'net', tax })).toMatchObject({
      total: { net: 5000, tax: 1000, gross: 6000 },
      fees: 2000,
      left: 3000,
    });
    expect(reckoned([6000], { feePercent: 4000, feeOn: 'gross', tax }).left).toBe(2600);
  });

  it('has postage as a line of its own, taxed like the rest, and what sending costs taken off (by hand)', () => {
    const sale = reckoned([4000, 1000], {
      feePercent: 1000,
      postageAsked: minor(500),
      postage: minor(620),
      packing: minor(80),
      tax: { kind: 'added', percent: 1000 },
    });
    expect(sale.postage).toEqual({ net: 500, tax: 50, gross: 550 });
    // 55.00 and 5.50 of tax; a tenth of 60.50 goes, and 6.20 and twice 0.80 of sending.
    expect(sale).toMatchObject({
      total: { net: 5500, tax: 550, gross: 6050 },
      fees: 605,
      sending: 780,
      left: 4115,
    });
  });

  it('is nothing when nothing is sold', () => {
    expect(reckoned([], { feePercent: 1000, feeFixed: minor(30), postageAsked: minor(500) })).toMatchObject({
      total: { gross: 0 },
      fees: 0,
      left: 0,
      leftOf: [],
    });
  });

  it('comes from its pieces exactly, and loses nothing on the way', () => {
    const prices = fc.array(fc.integer({ min: 0, max: 90_000 }), { minLength: 1, maxLength: 10 });
    fc.assert(
      fc.property(prices, anyTerms, fc.constantFrom(...TAX_ROUNDINGS), (all, terms, rounding) => {
        const { lines, postage, total, fees, sending, left, leftOf } = reckonSale(m(all), terms, rounding);
        expect(leftOf.reduce((sum, each) => sum + each, 0)).toBe(left);
        expect(left + fees + sending + total.tax).toBe(total.gross);
        const parts = postage ? [...lines, postage] : lines;
        expect(parts.reduce((sum, { gross }) => sum + gross, 0)).toBe(total.gross);
        expect(lines).toHaveLength(all.length);
      }),
    );
  });
});

describe('the lowest price that pays', () => {
  it('covers cost, fees and sending (by hand)', () => {
    // Of 100.00 a shop keeps two fifths.
    expect(leastPrice(minor(6000), { ...FREE, feePercent: 4000 })).toBe(10_000);
    // With a sixth of tax in it, 60.00 are 50.00.
    expect(leastPrice(minor(5000), { ...FREE, tax: { kind: 'included', percent: 2000 } })).toBe(6000);
    expect(leastPrice(minor(1000), { ...FREE, feeFixed: minor(30), packing: minor(70) })).toBe(1100);
    // What buyers pay for postage may pay for the piece.
    expect(leastPrice(minor(100), { ...FREE, postageAsked: minor(900) })).toBe(0);
  });

  it('is none where fees take all', () => {
    expect(leastPrice(minor(100), { ...FREE, feePercent: 10_000 })).toBeNull();
    const tax = { kind: 'included', percent: 2000 } as const;
    // Nine tenths of what is paid are more than what is left of it without a sixth.
    expect(leastPrice(minor(100), { ...FREE, feePercent: 9000, tax })).toBeNull();
  });

  it('pays, and with a minor unit less does not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60_000 }), anyTerms, (cost, terms) => {
        const price = leastPrice(minor(cost), terms);
        if (price === null) return;
        const leftAt = (at: number) => reckonSale([minor(at)], terms, 'line').left;
        expect(leftAt(price)).toBeGreaterThanOrEqual(cost);
        if (price > 0) expect(leftAt(price - 1)).toBeLessThan(cost);
      }),
    );
  });
});
