import fc from 'fast-check';
import { minor } from '../units/money';
import { bothLike, likelyPrice, NONE_LIKE, seasonOf, type SoldLike } from './likelyPrice';

const like = (pieces: number, each: number, days = 20): SoldLike => ({
  pieces,
  price: minor(pieces * each),
  days: pieces * days,
});

describe('what a piece is likely to be sold for', () => {
  it('is what is asked where none was sold, and what such were sold for where nothing is asked', () => {
    expect(likelyPrice(minor(4000), NONE_LIKE, NONE_LIKE)).toEqual({
      ...{ price: 4000, sold: 0, inSeason: 0, days: null },
    });
    expect(likelyPrice(null, like(5, 3600), NONE_LIKE)?.price).toBe(3600);
    expect(likelyPrice(null, NONE_LIKE, NONE_LIKE)).toBeNull();
  });

  it('comes the nearer to what such were sold for the more were', () => {
    // (3 × 36 + 3 × 40) ÷ 6; (27 × 36 + 3 × 40) ÷ 30.
    expect(likelyPrice(minor(4000), like(3, 3600), NONE_LIKE)?.price).toBe(3800);
    expect(likelyPrice(minor(4000), like(27, 3600), NONE_LIKE)).toMatchObject({
      price: 3640,
      sold: 27,
      days: 20,
    });
  });

  it('goes by the season first: before the feasts they sell for more', () => {
    const [all, season] = [like(30, 3600), like(10, 4200)];
    const told = likelyPrice(minor(4000), all, season);
    expect(told?.price).toBeGreaterThan(likelyPrice(minor(4000), all, NONE_LIKE)?.price ?? Infinity);
    expect(told?.price).toBeLessThan(4200);
    expect(told?.inSeason).toBe(10);
  });

  it('lies between what is asked and what was paid', () => {
    const price = fc.integer({ min: 1, max: 90_000 });
    const pieces = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(price, price, price, pieces, pieces, (asked, ever, lately, many, some) => {
        const [season, rest] = [like(some, lately), like(many, ever)];
        const told = likelyPrice(minor(asked), bothLike(season, rest), season);
        const known = [asked, ...(many > 0 ? [ever] : []), ...(some > 0 ? [lately] : [])];
        expect(told?.price).toBeGreaterThanOrEqual(Math.min(...known));
        expect(told?.price).toBeLessThanOrEqual(Math.max(...known));
        expect(told?.sold).toBe(many + some);
      }),
    );
  });
});

describe('a season', () => {
  it('is a month with the one before and the one after, over the turn of the year', () => {
    expect(seasonOf(1)).toEqual([12, 1, 2]);
    expect(seasonOf(6)).toEqual([5, 6, 7]);
    expect(seasonOf(12)).toEqual([11, 12, 1]);
  });
});
