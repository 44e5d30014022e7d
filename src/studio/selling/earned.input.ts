import { AsksDay, AsksOneOf } from '../kernel/query';

/** What earnings are told by. */
export const EARNED_BY = ['month', 'channel', 'fair', 'pattern', 'kind', 'metal'] as const;
export type EarnedBy = (typeof EARNED_BY)[number];

/** What is asked of what was earned. */
export class EarnedQuery {
  @AsksOneOf(EARNED_BY) readonly by?: string | undefined;
  @AsksDay() readonly from?: string | undefined;
  @AsksDay() readonly to?: string | undefined;
}
