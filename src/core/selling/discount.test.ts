import fc from 'fast-check';
import { expectOk } from '../result';
import { minor } from '../units/money';
import { changeOf, sellsFor, type Discount } from './discount';

const m = (all: readonly number[]) => all.map(minor);
const sell = (tags: readonly number[], discount: Discount) => sellsFor(m(tags), discount, 'USD');

describe('what a basket sells for', () => {
  it('is what the tags say when nothing is let go', () => {
    expect(expectOk(sell([3000, 1000], { kind: 'none' }))).toEqual([3000, 1000]);
  });

  it('is less by a part, by an amount, or all together for one price, shared by the prices (by hand)', () => {
    expect(expectOk(sell([3000, 1000], { kind: 'part', percent: 1000 }))).toEqual([2700, 900]);
    // 4.00 off 40.00 are 3.00 and 1.00.
    expect(expectOk(sell([3000, 1000], { kind: 'amount', off: minor(400) }))).toEqual([2700, 900]);
    // 35.00 for 40.00 are seven eighths of each.
    expect(expectOk(sell([3000, 1000], { kind: 'together', price: minor(3500) }))).toEqual([2625, 875]);
    // A hundred shared by three alike: somebody has the one that is left.
    expect(expectOk(sell([50, 50, 50], { kind: 'together', price: minor(100) }))).toEqual([34, 33, 33]);
    expect(expectOk(sell([3000], { kind: 'part', percent: 10_000 }))).toEqual([0]);
  });

  it.each<[Discount, RegExp]>([
    [{ kind: 'amount', off: minor(4001) }, /\$40\.01 was given; the tags say \$40\.00 together/],
    [{ kind: 'together', price: minor(4100) }, /\$41\.00 was given; the tags say \$40\.00 together/],
  ])('is not more or less than it can be: %j', (discount, said) => {
    const sold = sell([3000, 1000], discount);
    expect(sold.ok ? '' : sold.error).toMatch(said);
  });

  it('sums exactly to what the buyer was told, and no piece sells for more than its tag', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 90_000 }), { minLength: 1, maxLength: 20 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (tags, part) => {
          const price = Math.floor(tags.reduce((sum, each) => sum + each, 0) * part);
          const sold = expectOk(sell(tags, { kind: 'together', price: minor(price) }));
          expect(sold.reduce((sum, each) => sum + each, 0)).toBe(price);
          sold.forEach((each, index) => expect(each).toBeLessThanOrEqual(tags[index] ?? NaN));
        },
      ),
    );
  });
});

describe('the change', () => {
  it('is what was handed over less what is to pay', () => {
    expect(expectOk(changeOf(minor(3550), minor(5000), 'USD'))).toBe(1450);
    expect(expectOk(changeOf(minor(3550), minor(3550), 'USD'))).toBe(0);
  });

  it('is none while too little was handed over, and it is said how much is missing', () => {
    const change = changeOf(minor(3550), minor(3000), 'USD');
    expect(change.ok ? '' : change.error).toBe('$30.00 was given; $35.50 is to pay, $5.50 more.');
  });
});
