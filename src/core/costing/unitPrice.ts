import { mulDiv } from '../units/exact';
import { cost, type CostUnits } from '../units/money';

/** Price for a quantity of an article, in the ware's own unit: µm of wire, single things. */
export interface PriceFor {
  readonly price: CostUnits;
  readonly quantity: number;
}

/**
 * Cost of a quantity at a price, to the nearest cost unit.
 * @example costAt({ price: cost(3_000), quantity: 1_000_000 }, 250_000) // 750
 */
export const costAt = ({ price, quantity: per }: PriceFor, quantity: number): CostUnits =>
  cost(mulDiv(price, quantity, per));
