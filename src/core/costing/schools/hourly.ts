import { ok, refuse } from '../../result';
import { BASIS } from '../../units/percent';
import { tagFactor } from '../price';
import type { PriceSchool } from './school';

/** The price at which the bench earns the target per hour once fees, materials and overhead are paid. */
export const hourly: PriceSchool = {
  id: 'hourly',
  name: 'Hour’s earnings',
  rule: () => 'the target for an hour, after everything else is paid',
  price: (basis, rules) => {
    const kept = 1 - (rules.feePercent / BASIS) * tagFactor(rules);
    if (kept <= 0) return refuse('Fees take the whole price; lower them in the studio’s rules.');
    const wanted = basis.materials + basis.overhead + rules.feeFixed + rules.targetPerHour * basis.hours;
    return ok((wanted / kept) * tagFactor(rules));
  },
  rounds: true,
};
