import { minor, type MinorUnits } from '../units/money';

/** Which way a price goes to reach one of the studio's endings. */
export const ROUNDINGS = ['up', 'nearest'] as const;
export type Rounding = (typeof ROUNDINGS)[number];

/** How a studio's prices end. */
export interface PriceEndings {
  /** Endings in minor units: 0 and 500 for prices ending in 0.00 and 5.00; 95 for .95. None leaves prices as they come. */
  readonly endings: readonly MinorUnits[];
  readonly rounding: Rounding;
  /** Figures after the point of the currency: an ending below one major unit recurs every major unit. */
  readonly places: number;
}

/** An ending recurs with the smallest power of ten above it, at least one major unit: .95 in every unit, 9.50 in every ten. */
function ownPeriod(ending: MinorUnits, places: number): number {
  let every = 10 ** places;
  while (every <= ending) every *= 10;
  return every;
}

/** Of each ending how often it recurs. A round 0.00 recurs as the others do: beside 5.00 in every ten, beside .95 in every unit. */
function periods(endings: readonly MinorUnits[], places: number): (readonly [MinorUnits, number])[] {
  const others = endings.filter((ending) => ending > 0).map((ending) => ownPeriod(ending, places));
  const round = others.length > 0 ? Math.min(...others) : 10 ** places;
  return endings.map((ending) => [ending, ending > 0 ? ownPeriod(ending, places) : round]);
}

/**
 * Brings a price to one of the studio's endings. Nothing is ever rounded down to zero.
 * @example roundToEnding(minor(4312), { endings: [minor(0), minor(500)], rounding: 'up', places: 2 }) // 4500
 */
export function roundToEnding(price: MinorUnits, { endings, rounding, places }: PriceEndings): MinorUnits {
  if (endings.length === 0) return price;
  const reachable = periods(endings, places)
    .flatMap(([ending, every]) => {
      const base = Math.floor(price / every) * every;
      return [base - every, base, base + every].map((start) => start + ending);
    })
    .filter((candidate) => candidate > 0)
    .sort((a, b) => a - b);
  const above = reachable.find((candidate) => candidate >= price) ?? price;
  const below = reachable.filter((candidate) => candidate <= price).at(-1) ?? above;
  return minor(rounding === 'nearest' && price - below < above - price ? below : above);
}
