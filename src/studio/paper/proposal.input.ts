import { MOST_ON_PROPOSAL } from '@/core/paper/proposal';
import { ReadsDayOrNone, ReadsText } from '../kernel/rules';

/** What is typed for a proposal besides its prices: those are read in the studio’s currency. */
export class ProposalInput {
  /** Whom it is for. */
  @ReadsText(MOST_ON_PROPOSAL.whom) whom!: string;
  /** The last day that its prices stand. */
  @ReadsDayOrNone() until!: string;
  @ReadsText(MOST_ON_PROPOSAL.words) words!: string;
}
