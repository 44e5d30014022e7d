import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { AsksOneOf, ListQuery } from '../kernel/query';

/** What is asked of the shelf. */
export class ShelfQuery extends ListQuery {
  @AsksOneOf(PATTERN_KINDS) readonly kind?: string | undefined;
  /** "no" for what has no price yet; the owner's. */
  @AsksOneOf(['no']) readonly priced?: string | undefined;
}
