import fc from 'fast-check';
import { expectOk } from '../result';
import { mulDiv } from './exact';
import {
  cost,
  formatCost,
  formatCostInColumn,
  formatMoney,
  minor,
  parseMoney,
  plainMoney,
  shareOfCost,
  toMinor,
  parseCost,
  plainCost,
} from './money';
import { formatPercent, parsePercent } from './percent';

describe('reading money', () => {
  it.each([
    ['12.50', 1250],
    ['$12.50', 1250],
    ['12,50', 1250],
    ['1,250', 125_000],
    ['1,250.5', 125_050],
    ['USD 3', 300],
    ['.99', 99],
  ])('reads %s', (text, expected) => {
    expect(expectOk(parseMoney(text, 'USD'))).toBe(expected);
  });

  it.each([
    ['', /Enter an amount in USD/],
    ['-3', /negative/],
    ['1.234', /3 figures after the point; USD has 2/],
    ['1e9', /not an amount/],
    ['twelve', /not an amount/],
    ['99999999999', /more than 10,000,000 USD/],
  ])('refuses %p', (text, message) => {
    const result = parseMoney(text, 'USD');
    expect(result.ok ? '' : result.error).toMatch(message);
  });

  it('has no figures after the point in yen (ISO 4217)', () => {
    expect(expectOk(parseMoney('1250', 'JPY'))).toBe(1250);
    expect(parseMoney('12.5', 'JPY').ok).toBe(false);
  });

  it('reads back what it prints', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 - 1 }), (amount) => {
        expect(expectOk(parseMoney(formatMoney(minor(amount), 'USD'), 'USD'))).toBe(amount);
        expect(expectOk(parseMoney(plainMoney(minor(amount), 'USD'), 'USD'))).toBe(amount);
      }),
    );
  });
});

describe('cost carried by wire', () => {
  it('shares sum to the whole exactly, whatever is cut in whatever order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000_000 }),
        fc.integer({ min: 1, max: 10_000_000_000 }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 30 }),
        (price, length, cuts) => {
          let leftLength = length;
          let leftCost = price;
          let taken = 0;
          for (const part of cuts) {
            const cut = Math.floor(leftLength * part);
            const share = shareOfCost(cost(leftCost), cut, leftLength);
            expect(share).toBeGreaterThanOrEqual(0);
            leftLength -= cut;
            leftCost -= share;
            taken += share;
          }
          expect(taken + leftCost).toBe(price);
          expect(shareOfCost(cost(leftCost), leftLength, leftLength)).toBe(leftLength === 0 ? 0 : leftCost);
        },
      ),
    );
  });

  it('stays exact where the product overruns a double', () => {
    // 999,999,999,999 × 9,999,999,999 / 7, by long division with big integers elsewhere
    expect(mulDiv(999_999_999, 9_999_999_999, 7)).toBe(1428571427000000000 / 1);
    expect(mulDiv(7, 1, 2)).toBe(4);
    expect(mulDiv(-7, 1, 2)).toBe(-4);
  });

  it('rounds to minor units for people and keeps small costs readable', () => {
    expect(toMinor(cost(1499))).toBe(1);
    expect(toMinor(cost(1500))).toBe(2);
    expect(formatCost(cost(1_250_000), 'USD')).toBe('$12.50');
    expect(formatCost(cost(370), 'USD')).toBe('$0.0037');
    expect([1_250_000, 6370, 370, -370, 0].map((each) => formatCostInColumn(cost(each), 'USD'))).toEqual([
      '$12.50',
      '$0.06',
      '< $0.01',
      '> −$0.01',
      '$0.00',
    ]);
    expect(formatCost(cost(-2_110_000), 'USD')).toBe('−$21.10');
  });

  it('refuses to take more than there is', () => {
    expect(() => shareOfCost(cost(10), 11, 10)).toThrow(RangeError);
  });
});

it('reads and prints percentages', () => {
  expect(expectOk(parsePercent('12.5 %'))).toBe(1250);
  expect(formatPercent(1250)).toBe('12.5 %');
  expect(parsePercent('140').ok).toBe(false);
  expect(parsePercent('-4').ok).toBe(false);
});

it('writes a cost to its last figure, and reads it back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2_000_000_000 }), fc.constantFrom('USD', 'JPY'), (amount, code) => {
      expect(expectOk(parseCost(plainCost(cost(amount), code), code))).toBe(amount);
    }),
  );
  expect(expectOk(parseCost('2.31 USD', 'USD'))).toBe(231_000);
  for (const text of ['', '-1', '1,5', '2.312345', 'two', '99999999'])
    expect(parseCost(text, 'USD').ok).toBe(false);
});
