import { AsksOneOf, ListQuery } from '../kernel/query';

/** How a stone stands: free, set aside for a batch or by hand, used. */
export const STONE_STATES = ['free', 'set aside', 'used'] as const;

/** What is asked of a drawer. */
export class DrawerQuery extends ListQuery {
  /** Of stones only. */
  @AsksOneOf(STONE_STATES) readonly state?: string | undefined;
}
