import fc from 'fast-check';
import { ug } from '../units/mass';
import { minor } from '../units/money';
import { landedCosts, type Invoice } from './delivery';

const invoice = (more: Partial<Invoice> & Pick<Invoice, 'lines'>): Invoice => ({
  postage: minor(0),
  tax: minor(0),
  sharedBy: 'value',
  ...more,
});
const line = (price: number, grams?: number) => ({
  price: minor(price),
  ...(grams === undefined ? {} : { weight: ug(grams * 1e6) }),
});
const landed = (of: Invoice) => {
  const result = landedCosts(of);
  if (!result.ok) throw new Error(result.error);
  return result.value;
};

describe('a delivery', () => {
  // Reckoned by hand: 9.00 of postage over 30.00 and 60.00 is 3.00 and 6.00; 8 % of 90.00 is 7.20, which is 2.40 and 4.80.
  it('shares postage and tax by value', () => {
    const lines = [line(3000), line(6000)];
    expect(landed(invoice({ lines, postage: minor(900), tax: minor(720) }))).toEqual([
      { postage: 300, tax: 240, paid: 3540, cost: 3540 },
      { postage: 600, tax: 480, paid: 7080, cost: 7080 },
    ]);
  });

  // By hand: 200 g and 50 g share 10.00 as 8.00 and 2.00; the tax goes by value all the same.
  it('shares postage by weight when asked, tax by value as it was charged', () => {
    const lines = [line(2000, 200), line(6000, 50)];
    expect(
      landed(invoice({ lines, postage: minor(1000), tax: minor(800), sharedBy: 'weight' })),
    ).toMatchObject([
      { postage: 800, tax: 200, paid: 3000 },
      { postage: 200, tax: 600, paid: 6800 },
    ]);
  });

  it('lets a gift bear nothing', () => {
    const lines = [line(0, 500), line(1000, 10)];
    for (const sharedBy of ['value', 'weight'] as const)
      expect(landed(invoice({ lines, postage: minor(250), tax: minor(99), sharedBy }))).toMatchObject([
        { paid: 0, cost: 0 },
        { postage: 250, tax: 99, paid: 1349 },
      ]);
    expect(landedCosts(invoice({ lines: [line(0)], postage: minor(1) }))).toMatchObject({ ok: false });
  });

  it('asks for the weight of what bears postage by weight', () => {
    const lines = [line(100, 3), line(0), line(100)];
    expect(landedCosts(invoice({ lines, postage: minor(5), sharedBy: 'weight' }))).toEqual({
      ok: false,
      error: 'Say what line 3 weighs, so that the postage can be shared by weight.',
    });
    // Nothing is to be shared by it.
    expect(landedCosts(invoice({ lines, tax: minor(5), sharedBy: 'weight' })).ok).toBe(true);
  });

  const lines = fc.array(
    fc.record({ price: fc.integer({ min: 1, max: 500_000 }), grams: fc.integer({ min: 1, max: 5000 }) }),
    { minLength: 1, maxLength: 30 },
  );
  const extra = fc.integer({ min: 0, max: 20_000 }).map(minor);

  it('sums to the invoice, and in the studio’s currency to what it came to, to the cent', () => {
    fc.assert(
      fc.property(
        lines,
        extra,
        extra,
        fc.constantFrom('value', 'weight'),
        fc.boolean(),
        (of, postage, tax, sharedBy, abroad) => {
          const goods = of.reduce((all, { price }) => all + price, 0);
          const cameTo = abroad ? minor(Math.round((goods + postage + tax) * 1.27)) : undefined;
          const all = landed(
            invoice({
              lines: of.map(({ price, grams }) => line(price, grams)),
              postage,
              tax,
              sharedBy,
              cameTo,
            }),
          );
          const total = (pick: (each: (typeof all)[number]) => number) =>
            all.reduce((so, each) => so + pick(each), 0);
          expect(total((each) => each.postage)).toBe(postage);
          expect(total((each) => each.tax)).toBe(tax);
          expect(total((each) => each.paid)).toBe(goods + postage + tax);
          expect(total((each) => each.cost)).toBe(cameTo ?? goods + postage + tax);
        },
      ),
    );
  });
});
