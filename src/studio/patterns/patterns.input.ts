import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { AsksOneOf, ListQuery } from '../kernel/query';

/** What is asked of the pattern room, and of the bench. */
export class PatternQuery extends ListQuery {
  @AsksOneOf(PATTERN_KINDS) readonly kind?: string | undefined;
}
