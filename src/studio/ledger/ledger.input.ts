import type { Day } from '@/core/calendar/day';
import { MOVEMENT_KIND_LIST, type MovementKind } from '@/core/stock/movement';
import { WARES, type Ware } from '@/core/stock/ware';
import { AsksDay, AsksId, AsksOneOf, AsksText } from '../kernel/query';

/** What is asked of the ledger. */
export class LedgerQuery {
  /** A tag ("W-0042", "F-0007", "R-0003") or words of what an article is called. */
  @AsksText(120) readonly item?: string;
  @AsksOneOf(MOVEMENT_KIND_LIST) readonly kind?: MovementKind;
  @AsksOneOf(WARES) readonly ware?: Ware;
  @AsksId() readonly person?: string;
  /** First and last day, ISO. */
  @AsksDay() readonly from?: Day;
  @AsksDay() readonly to?: Day;
  /** Everything that was posted together. */
  @AsksId() readonly posting?: string;
  /** Where the page begins: a cursor from another page. */
  @AsksText(400) readonly before?: string;
}

/** What is asked of the ledger's page. */
export class LedgerPageQuery extends LedgerQuery {
  /** The day for which the stock's value is asked. */
  @AsksDay() readonly on?: Day;
}
