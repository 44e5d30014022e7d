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

/** Endings recur with the smallest power of ten above the largest of them, at least one major unit. */
function period(endings: readonly MinorUnits[], places: number): number {
  let every = 10 ** places;
  while (every <= Math.max(...endings)) every *= 10;
  return every;
}

/**
 * Brings a price to one of the studio's endings. Nothing is ever rounded down to zero.
 * @example roundToEnding(minor(4312), { endings: [minor(0), minor(500)], rounding: 'up', places: 2 }) // 4500
 */
export function roundToEnding(price: MinorUnits, { endings, rounding, places }: PriceEndings): MinorUnits {
  if (endings.length === 0) return price;
  const every = period(endings, places);
  const base = Math.floor(price / every) * every;
  const reachable = [base - every, base, base + every]
    .flatMap((start) => endings.map((ending) => start + ending))
    .filter((candidate) => candidate > 0)
    .sort((a, b) => a - b);
  const above = reachable.find((candidate) => candidate >= price) ?? price;
  const below = reachable.filter((candidate) => candidate <= price).at(-1) ?? above;
  return minor(rounding === 'nearest' && price - below < above - price ? below : above);
}
