import { ok } from '../../result';
import { tagFactor } from '../price';
import { totalCost, type PriceSchool } from './school';

/** Cost × 2 is the wholesale price, × 2 again the retail price. Common practice. */
export const doubled: PriceSchool = {
  id: 'doubled',
  name: 'Doubled twice',
  rule: () => 'cost × 2 for the shop, × 2 again on the tag',
  price: (basis, rules) => ok(totalCost(basis) * 2 * 2 * tagFactor(rules)),
  rounds: true,
};
