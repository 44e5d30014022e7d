import type { Day } from '@/core/calendar/day';
import { MOST_ON_PROPOSAL } from '@/core/paper/proposal';
import { ReadsDayOrNone, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What is typed for a proposal besides its prices: those are read in the studio’s currency. */
export class ProposalInput {
  /** Whom it is for. */
  @ReadsText(MOST_ON_PROPOSAL.whom) whom!: string;
  /** The last day that its prices stand. */
  @ReadsDayOrNone() until!: Typed<Day | null>;
  @ReadsText(MOST_ON_PROPOSAL.words) words!: string;
}
