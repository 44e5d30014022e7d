import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { PIECE_STATES } from '@/core/selling/life';
import { AsksId, AsksOneOf, ListQuery } from '../kernel/query';

/** Every piece that was ever made, wherever it is. */
export const EVER = 'ever made';

/** What is asked of the shelf. */
export class ShelfQuery extends ListQuery {
  @AsksOneOf(PATTERN_KINDS) readonly kind?: string | undefined;
  /** "no" for what has no price yet; the owner's. */
  @AsksOneOf(['no']) readonly priced?: string | undefined;
  /** Where it is in its life; what is the studio’s when nothing is said, and all that was ever made. */
  @AsksOneOf([...PIECE_STATES, EVER]) readonly state?: string | undefined;
  /** The id of a place that it lies in. */
  @AsksId() readonly place?: string | undefined;
}
