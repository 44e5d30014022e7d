import { groupBy } from '../groupBy';
import { minor, type MinorUnits } from '../units/money';
import { splitPrice, type PriceBasis, type PriceRules, type PriceSplit, type SellingTerms } from './price';
import { PRICE_SCHOOLS, priceBySchools } from './priceSchools';
import type { Rates } from './costSheet';

/** Pieces alike that are priced beside others: a variant of a tray, a line of a batch, one piece of the shelf. */
export interface PricedVariant {
  readonly count: number;
  /** What one of them has to cover. */
  readonly basis: PriceBasis;
  /** What such pieces sell for; null where nobody knows. */
  readonly going: MinorUnits | null;
}

/** What one school says of all of them. */
export interface SchoolTogether {
  readonly id: string;
  readonly name: string;
  readonly rule: string;
  /** What one of each variant sells for, in their order; null where the school has no answer. */
  readonly prices: readonly (PriceSplit | null)[];
  /** What all pieces that it has an answer for sell for together, and how many those are. */
  readonly together: number;
  readonly answered: number;
  /** What an hour earns over all of those; null where no time is known. */
  readonly perHour: number | null;
  /** How many of them sell under their cost. */
  readonly under: number;
}

/** All schools side by side over several variants: what each would ask, and what that brings together. */
export function schoolsTogether(
  variants: readonly PricedVariant[],
  rules: PriceRules,
): readonly SchoolTogether[] {
  const asked = variants.map(({ basis, going }) => priceBySchools(basis, rules, going));
  return PRICE_SCHOOLS.map((school, index) => {
    const prices = asked.map((schools) => {
      const outcome = schools[index]?.outcome;
      return outcome?.ok ? outcome.value : null;
    });
    const sum = (of: (split: PriceSplit, variant: PricedVariant) => number): number =>
      variants.reduce((all, variant, at) => {
        const split = prices[at];
        return split ? all + of(split, variant) * variant.count : all;
      }, 0);
    const hours = sum((_, { basis }) => basis.hours);
    const { id, name } = school;
    return {
      ...{ id, name, prices },
      rule: school.rule(rules),
      together: sum(({ price }) => price),
      answered: sum(() => 1),
      perHour: hours > 0 ? sum(({ labour, profit }) => labour + profit) / hours : null,
      under: sum(({ profit }) => (profit < 0 ? 1 : 0)),
    };
  });
}

/** What one of a variant comes to at the price of its tray. */
export interface AtOnePrice {
  readonly split: PriceSplit;
  /** The minutes that it may take at most so that its hour still earns the studio’s rate; none where the price does not pay its materials. */
  readonly mostMinutes: number;
}

/**
 * One price for a whole tray: what an hour of each variant earns at it, and how long each may take.
 * @example atOnePrice([{ count: 1, basis: { materials: 400, labour: 1000, overhead: 250, hours: 0.5 }, going: null }], minor(3000), { feePercent: 1000, feeFixed: minor(0), taxPercent: 0, taxIncluded: false, hourlyRate: minor(2000), overheadPerHour: minor(500) })[0].mostMinutes // 55.2
 */
export const atOnePrice = (
  variants: readonly PricedVariant[],
  price: MinorUnits,
  rules: SellingTerms & Rates,
): readonly AtOnePrice[] =>
  variants.map(({ basis }) => {
    const split = splitPrice(price, basis, rules);
    const forTime = price - split.tax - split.fees - split.materials;
    const perMinute = (rules.hourlyRate + rules.overheadPerHour) / 60;
    return { split, mostMinutes: perMinute > 0 ? Math.max(0, forTime / perMinute) : Infinity };
  });

/** Pieces that are priced as one variant, since they are called the same. */
export interface NamedVariant extends PricedVariant {
  readonly name: string;
}

/** What a piece is called, has to cover, and sells for. */
export interface PieceToPrice {
  readonly name: string;
  readonly basis: PriceBasis;
  readonly going: MinorUnits | null;
}

/** Pieces by their names, in the order in which those come first: what one of them has to cover on the average, and the mean of what is on their tags. */
export const variantsOf = (pieces: readonly PieceToPrice[]): readonly NamedVariant[] =>
  [...groupBy(pieces, ({ name }) => name)].map(([name, alike]) => {
    const mean = (of: (basis: PriceBasis) => number): number =>
      alike.reduce((sum, { basis }) => sum + of(basis), 0) / alike.length;
    const tagged = alike.flatMap(({ going }) => going ?? []);
    return {
      name,
      count: alike.length,
      basis: {
        materials: mean(({ materials }) => materials),
        labour: mean(({ labour }) => labour),
        overhead: mean(({ overhead }) => overhead),
        hours: mean(({ hours }) => hours),
      },
      going:
        tagged.length === 0
          ? null
          : minor(Math.round(tagged.reduce((sum, price) => sum + price, 0) / tagged.length)),
    };
  });
