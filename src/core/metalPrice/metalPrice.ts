import type { Day } from '@/core/calendar/day';
import { mulDiv } from '../units/exact';
import type { Micrograms } from '../units/mass';
import { GRAMS_PER_TROY_OUNCE } from '../units/mass';
import { cost, COST_UNITS_PER_MINOR, minor, type CostUnits, type MinorUnits } from '../units/money';
import { UM_PER_METRE, type Micrometres } from '../units/length';
import type { MetalId } from '../wire/metal';
import { gramsPerMetre } from '../wire/mass';
import type { WireSpec } from '../wire/spec';

/** The pure metals that have a price of the day. */
export const PRICED_METALS = ['gold', 'silver', 'copper'] as const;
export type PricedMetal = (typeof PRICED_METALS)[number];

/** What of a wire's metal has a price of the day. */
export interface Content {
  readonly metal: PricedMetal;
  /** Fine metal in so many parts of the whole, both whole numbers: 925 of 1000. */
  readonly fine: number;
  readonly of: number;
}

/**
 * Fine metal in each metal of the trade, by mass: fine silver 999, sterling 925 (both ISO 9202 finenesses), gold-filled a
 * twentieth of 14 kt (14/24 gold), brass 70 and jewelry bronze 87.5 parts copper in a hundred. What is not listed has no price
 * of the day.
 */
export const CONTENT: Readonly<Partial<Record<MetalId, Content>>> = {
  copper: { metal: 'copper', fine: 1, of: 1 },
  brass: { metal: 'copper', fine: 7, of: 10 },
  bronze: { metal: 'copper', fine: 7, of: 8 },
  'fine-silver': { metal: 'silver', fine: 999, of: 1000 },
  sterling: { metal: 'silver', fine: 925, of: 1000 },
  'gold-filled': { metal: 'gold', fine: 14, of: 20 * 24 },
};

const UG_PER_KG = 1_000_000_000;

/** Melt value of scrap: mass × fineness × price of the day, rounded once; nothing for a metal without one. */
export function meltValue(
  metal: MetalId,
  mass: Micrograms,
  perKilogram: MinorUnits | undefined,
): MinorUnits | undefined {
  const content = CONTENT[metal];
  if (!content || perKilogram === undefined) return undefined;
  return minor(mulDiv(mass * content.fine, perKilogram, UG_PER_KG * content.of));
}

/** How wire is priced over its metal. */
export interface SpotRule {
  /** On top of the metal's price, in basis points. */
  readonly premium: number;
  /** For drawing it, for each metre. */
  readonly fabricationPerMetre: MinorUnits;
}

/**
 * Replacement cost of a length by the metal's price: mass × fineness × spot × (1 + premium) + fabrication × length. Source:
 * handbook of the trade.
 */
export function spotCost(
  spec: WireSpec,
  length: Micrometres,
  perKilogram: MinorUnits,
  { premium, fabricationPerMetre }: SpotRule,
): CostUnits | undefined {
  const content = CONTENT[spec.metal];
  if (!content) return undefined;
  const grams = (gramsPerMetre(spec) * length) / UM_PER_METRE;
  const metal = (grams / 1000) * (content.fine / content.of) * perKilogram * (1 + premium / 10_000);
  return cost(Math.round((metal + (fabricationPerMetre * length) / UM_PER_METRE) * COST_UNITS_PER_MINOR));
}

/** A price per kilogram as the bullion trade says it, per troy ounce. */
export const perTroyOunce = (perKilogram: MinorUnits): MinorUnits =>
  minor(Math.round((perKilogram * GRAMS_PER_TROY_OUNCE) / 1000));

/** A price older than this many days is shown as stale: a weekend and a holiday are not. */
export const STALE_DAYS = 4;

/** Whole days between the day of a price and today. */
export const ageInDays = (day: Day, today: Date): number =>
  Math.floor((today.valueOf() - Date.parse(`${day}T00:00:00Z`)) / 86_400_000);
