import { BASIS, type BasisPoints } from '../units/percent';
import { COST_UNITS_PER_MINOR, type MinorUnits } from '../units/money';
import type { CostSheet } from './costSheet';
import type { PriceEndings } from './rounding';

/** Fees and tax of the place where a piece is sold. */
export interface SellingTerms {
  readonly feePercent: BasisPoints;
  readonly feeFixed: MinorUnits;
  readonly taxPercent: BasisPoints;
  /** Whether the price on the tag contains the tax. */
  readonly taxIncluded: boolean;
}

/** The studio's own numbers behind its prices. */
export interface PriceRules extends SellingTerms, PriceEndings {
  /** Factor on materials, in hundredths: 400 is ×4. */
  readonly materialsFactor: number;
  readonly targetMargin: BasisPoints;
  readonly targetPerHour: MinorUnits;
}

/** What a price has to cover, in minor units (not rounded), and the time it took. */
export interface PriceBasis {
  readonly materials: number;
  readonly labour: number;
  readonly overhead: number;
  readonly hours: number;
}

/** The basis of a cost sheet, at what was paid or at what it would cost today. */
export function priceBasis(sheet: CostSheet, at: 'actual' | 'replacement'): PriceBasis {
  const line = (id: string) => (sheet.lines.find((each) => each.id === id)?.[at] ?? 0) / COST_UNITS_PER_MINOR;
  return {
    materials: sheet.materials[at] / COST_UNITS_PER_MINOR,
    labour: line('labour'),
    overhead: line('overhead'),
    hours: sheet.minutes / 60,
  };
}

/** How many times the untaxed price the tag shows. */
export const tagFactor = ({ taxPercent, taxIncluded }: SellingTerms): number =>
  taxIncluded ? 1 + taxPercent / BASIS : 1;

/** Where the money of one price goes, in minor units; the parts sum to the price. */
export interface PriceSplit {
  readonly price: MinorUnits;
  readonly tax: number;
  readonly fees: number;
  readonly materials: number;
  readonly overhead: number;
  readonly labour: number;
  /** What is left after everything, labour included; negative when the price does not cover it. */
  readonly profit: number;
  /** Labour and profit together over the hours: what an hour at the bench earned. Null when no time was logged. */
  readonly perHour: number | null;
  /** Profit as a part of the untaxed price; null for a price of nothing. */
  readonly margin: number | null;
}

/** Splits a price into what it pays for. */
export function splitPrice(price: MinorUnits, basis: PriceBasis, terms: SellingTerms): PriceSplit {
  const untaxed = price / tagFactor(terms);
  const fees = (price * terms.feePercent) / BASIS + terms.feeFixed;
  const earned = untaxed - fees - basis.materials - basis.overhead;
  const profit = earned - basis.labour;
  return {
    price,
    tax: price - untaxed,
    fees,
    materials: basis.materials,
    overhead: basis.overhead,
    labour: basis.labour,
    profit,
    perHour: basis.hours > 0 ? earned / basis.hours : null,
    margin: untaxed > 0 ? profit / untaxed : null,
  };
}
