import { costAt, type PriceFor } from '@/core/costing/unitPrice';
import { CONTENT, spotCost } from '@/core/metalPrice/metalPrice';
import { um, UM_PER_METRE } from '@/core/units/length';
import { minor } from '@/core/units/money';
import type { KnownSpec } from '../catalogue/wireSpecs';
import type { KnownPrice } from './metalPrices';

/** Scrap that were worth more than this would be kept rather than scrapped. */
const MOST_SCRAP_WORTH = 0.75;

/** What a metre of scrap of a wire is worth against a metre of it: its melt value, nought where the metal has no price of the day. */
export function scrapWorth(
  spec: KnownSpec,
  price: PriceFor | undefined,
  metals: readonly KnownPrice[],
): number {
  const spot = metals.find(({ metal }) => metal === CONTENT[spec.metal]?.metal);
  const melt = spot && spotCost(spec, um(UM_PER_METRE), spot.perKilogram, NO_PREMIUM);
  const today = price ? costAt(price, UM_PER_METRE) : 0;
  if (melt === undefined || today <= 0) return 0;
  return Math.min(MOST_SCRAP_WORTH, melt / today);
}

const NO_PREMIUM = { premium: 0, fabricationPerMetre: minor(0) };
