import { roundToEnding } from '../costing/rounding';
import { mulDiv } from '../units/exact';
import { minor, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';

/** What a channel makes of the price on a tag. */
export interface ChannelPricing {
  /** So much of it: a shop that buys pieces pays half, a page of one’s own asks a tenth more. */
  readonly pricePercent: BasisPoints;
  /** What prices there end in, in minor units; none leaves them as they come. */
  readonly endings: readonly MinorUnits[];
}

/** Prices as they stand on the tags. */
export const AS_TAGGED: ChannelPricing = { pricePercent: BASIS, endings: [] };

/**
 * What a piece is asked for in a channel: its part of the price on the tag, brought to the nearest ending. Where a channel changes nothing the
 * tag holds.
 * @param price on the tag
 * @param places figures after the point of the currency
 * @example priceIn(minor(4000), { pricePercent: 11_000, endings: [minor(0), minor(500)] }, 2) // 4500
 */
export function priceIn(
  price: MinorUnits,
  { pricePercent, endings }: ChannelPricing,
  places: number,
): MinorUnits {
  const part = pricePercent === BASIS ? price : minor(mulDiv(price, pricePercent, BASIS));
  return part === 0 ? part : roundToEnding(part, { endings, rounding: 'nearest', places });
}
