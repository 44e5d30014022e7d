import type { Result } from '../../result';
import type { PriceBasis, PriceRules } from '../price';

/** One way of coming to a price. Each has its file; {@link ../priceSchools} lists them. */
export interface PriceSchool {
  readonly id: string;
  /** How it is called on the price page. */
  readonly name: string;
  /** The rule with the studio's numbers in it. */
  readonly rule: (rules: PriceRules) => string;
  /** The price on the tag before it is brought to an ending, in minor units, or why there is none. */
  readonly price: (basis: PriceBasis, rules: PriceRules, marketPrice: number | null) => Result<number>;
  /** False where the price is given and must not be moved to an ending. */
  readonly rounds: boolean;
}

/** Cost of everything: materials, labour and overhead. */
export const totalCost = ({ materials, labour, overhead }: PriceBasis): number =>
  materials + labour + overhead;
