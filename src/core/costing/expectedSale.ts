import { minor, type MinorUnits } from '../units/money';
import { costSheet, type CostSheet, type PieceOutlay, type Rates } from './costSheet';
import { priceBasis, splitPrice, type PriceRules, type PriceSplit } from './price';
import { priceBySchools } from './priceSchools';

/** The studio's rules, as far as a piece that is not made yet is priced by them. */
export interface SaleRules extends PriceRules, Rates {
  /** What prices are set on. */
  readonly priceFrom: 'actual' | 'replacement';
}

/** What a piece is expected to sell for. */
export interface ExpectedSale {
  readonly sheet: CostSheet;
  readonly price: MinorUnits;
  /** Where the money goes; undefined when no price could be found. */
  readonly split: PriceSplit | undefined;
  /** Whether the price was worked out, since no piece of the pattern has one. */
  readonly isReckoned: boolean;
}

/** What a piece is expected to sell for: the last price that one like it was given, else the price that keeps the studio's margin. */
export function expectedSale(
  outlay: PieceOutlay,
  rules: SaleRules,
  lastPrice: MinorUnits | null,
): ExpectedSale {
  const sheet = costSheet(outlay, rules);
  const basis = priceBasis(sheet, rules.priceFrom);
  if (lastPrice !== null)
    return { sheet, price: lastPrice, split: splitPrice(lastPrice, basis, rules), isReckoned: false };
  const kept = priceBySchools(basis, rules, null).find(({ id }) => id === 'margin')?.outcome;
  const split = kept?.ok ? kept.value : undefined;
  return { sheet, price: split?.price ?? minor(0), split, isReckoned: true };
}

/** What several pieces bring together. */
export interface Takings {
  readonly price: MinorUnits;
  /** Price less tax, fees, materials and overhead: what is left for the hours, in minor units. */
  readonly earned: number;
  readonly minutes: number;
  /** What an hour earns; null when no time is known. */
  readonly perHour: number | null;
}

/**
 * Expected takings of a batch.
 * @param sales of each line: what one piece brings, and how many are made
 * @param minutes at the bench for all of them, with what is done once for several lines
 */
export function takingsOf(
  sales: readonly { readonly sale: ExpectedSale; readonly count: number }[],
  minutes: number,
): Takings {
  const total = (of: (sale: ExpectedSale) => number) =>
    sales.reduce((sum, { sale, count }) => sum + of(sale) * count, 0);
  const earned = total(({ split }) => (split ? split.labour + split.profit : 0));
  return {
    price: minor(Math.round(total(({ price }) => price))),
    earned,
    minutes,
    perHour: minutes > 0 ? earned / (minutes / 60) : null,
  };
}
