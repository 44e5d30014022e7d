import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { AsksId, AsksOneOf, AsksText, ListQuery } from '../kernel/query';

/** What is asked of the logbook. */
export class LogQuery extends ListQuery {
  @AsksOneOf(PATTERN_KINDS) readonly kind?: string | undefined;
  /** Who made it. */
  @AsksId() readonly maker?: string | undefined;
  /** The tag of its pattern. */
  @AsksText(20) readonly pattern?: string | undefined;
  /** Only what was measured, or what something was spoiled for. */
  @AsksOneOf(['measured', 'spoiled']) readonly with?: string | undefined;
}
