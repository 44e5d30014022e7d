import { UM_PER_METRE } from '../units/length';
import { SUPPLY_PARTS } from './amount';
import type { Ware } from './ware';

/** What a price is shown for, in base units: a metre of wire, one thing, one of a supply's unit, a gram of scrap. */
export const priceUnit = (ware: Ware): number =>
  ware === 'wire' || ware === 'scrap' ? UM_PER_METRE : ware === 'supply' ? SUPPLY_PARTS : 1;
