import { minor, type MinorUnits } from '../units/money';
import { FEW } from './earned';

/** What pieces of a pattern were sold for, summed up. */
export interface SoldLike {
  readonly pieces: number;
  /** What was paid for them, what was let go left out. */
  readonly price: MinorUnits;
  /** From the bench to the buyer, all together. */
  readonly days: number;
}

export const NONE_LIKE: SoldLike = { pieces: 0, price: minor(0), days: 0 };

/** Both together. */
export const bothLike = (one: SoldLike, other: SoldLike): SoldLike => ({
  pieces: one.pieces + other.pieces,
  price: minor(one.price + other.price),
  days: one.days + other.days,
});

/** What a piece is likely to be sold for. */
export interface Likely {
  readonly price: MinorUnits;
  /** How many like it were sold at all, and of them in the same months of the year. */
  readonly sold: number;
  readonly inSeason: number;
  /** After how many days on the average; null where none was sold. */
  readonly days: number | null;
}

/** The months before and after belong to the season of a month. @param month 1 to 12 */
export const seasonOf = (month: number): readonly number[] => [
  ((month + 10) % 12) + 1,
  month,
  (month % 12) + 1,
];

/** As if so many more had been sold at what is likely without them. */
const drawn = (to: number, { pieces, price }: SoldLike): number => (price + FEW * to) / (pieces + FEW);

/**
 * What a piece is likely to be sold for: what such were sold for in these months, drawn toward what they were sold for at all, and that toward what
 * is asked for it, the more the fewer were sold.
 * @param asked on its tag; null where none like it has a price
 * @returns null where nothing is known
 * @example likelyPrice(minor(4000), { pieces: 3, price: minor(10_800), days: 60 }, { pieces: 0, price: minor(0), days: 0 })?.price // 3800
 */
export function likelyPrice(asked: MinorUnits | null, all: SoldLike, season: SoldLike): Likely | null {
  if (asked === null && all.pieces === 0) return null;
  const start = asked ?? all.price / all.pieces;
  const ever = drawn(start, all);
  return {
    price: minor(Math.round(season.pieces > 0 ? drawn(ever, season) : ever)),
    sold: all.pieces,
    inSeason: season.pieces,
    days: all.pieces > 0 ? all.days / all.pieces : null,
  };
}
