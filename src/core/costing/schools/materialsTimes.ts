import { ok } from '../../result';
import { tagFactor } from '../price';
import type { PriceSchool } from './school';

/** Materials × a factor (3 to 5) + labour. Common practice. */
export const materialsTimes: PriceSchool = {
  id: 'materials',
  name: 'Materials and labour',
  rule: ({ materialsFactor }) => `materials × ${materialsFactor / 100} + labour`,
  price: (basis, rules) =>
    ok(((basis.materials * rules.materialsFactor) / 100 + basis.labour) * tagFactor(rules)),
  rounds: true,
};
