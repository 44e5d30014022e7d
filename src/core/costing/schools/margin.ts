import { ok, refuse } from '../../result';
import { BASIS, formatPercent } from '../../units/percent';
import { tagFactor } from '../price';
import { totalCost, type PriceSchool } from './school';

/** The price whose profit after fees is the target part of it: P(1 − f·k − m) = cost + fixed fee, k the tax on the tag. */
export const margin: PriceSchool = {
  id: 'margin',
  name: 'Margin kept',
  rule: ({ targetMargin }) => `${formatPercent(targetMargin)} left after fees`,
  price: (basis, rules) => {
    const kept = 1 - (rules.feePercent / BASIS) * tagFactor(rules) - rules.targetMargin / BASIS;
    if (kept <= 0)
      return refuse(
        'Fees and margin together take the whole price; lower one of them in the studio’s rules.',
      );
    return ok(((totalCost(basis) + rules.feeFixed) / kept) * tagFactor(rules));
  },
  rounds: true,
};
