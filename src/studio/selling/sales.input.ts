import { AsksDay, AsksId, AsksOneOf, ListQuery } from '../kernel/query';

/** What is asked of the sales. */
export class SalesQuery extends ListQuery {
  /** The id of a channel. */
  @AsksId() readonly channel?: string | undefined;
  @AsksDay() readonly from?: string | undefined;
  @AsksDay() readonly to?: string | undefined;
  /** Only what came back. */
  @AsksOneOf(['returns']) readonly only?: string | undefined;
}
