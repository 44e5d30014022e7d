import fc from 'fast-check';
import { minor } from '../units/money';
import { AS_TAGGED, priceIn } from './channelPrice';

const at = (price: number, pricePercent: number, endings: readonly number[] = [], places = 2) =>
  priceIn(minor(price), { pricePercent, endings: endings.map(minor) }, places);

describe('what a piece is asked for in a channel', () => {
  it('is what stands on the tag where the channel says nothing else', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000_000 }), (price) => {
        expect(priceIn(minor(price), AS_TAGGED, 2)).toBe(price);
      }),
    );
  });

  it('is a part of it', () => {
    // Wholesale at half of the retail price ("keystone"; common practice).
    expect(at(6400, 5000)).toBe(3200);
    expect(at(3333, 5000)).toBe(1667);
    expect(at(4000, 11_000)).toBe(4400);
  });

  it('ends as prices do there, the nearest way', () => {
    expect(at(4000, 11_500, [0, 500])).toBe(4500);
    expect(at(4000, 11_000, [95])).toBe(4395);
    expect(at(4000, 10_000, [95])).toBe(3995);
    // A currency without smaller units.
    expect(at(4100, 11_000, [0, 500], 0)).toBe(4500);
  });

  it('is nothing only for what is nothing on the tag', () => {
    expect(at(0, 11_000, [500])).toBe(0);
    expect(at(10, 10_000, [500])).toBe(500);
  });

  it('never falls when the tag rises', () => {
    const endings = fc.constantFrom<number[]>([], [0], [0, 500], [95], [0, 500, 950]);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 100_000 }),
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 1000, max: 30_000 }),
        endings,
        (price, more, percent, ends) => {
          expect(at(price + more, percent, ends)).toBeGreaterThanOrEqual(at(price, percent, ends));
        },
      ),
    );
  });
});
