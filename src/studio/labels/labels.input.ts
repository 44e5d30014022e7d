import { CARD_KINDS } from '@/core/paper/cards';
import { AsksId, AsksOneOf, AsksText } from '../kernel/query';

/** Which labels are asked for. */
export class LabelsQuery {
  /** Tags, with commas or spaces between them. */
  @AsksText(4000) readonly items?: string;
  /** Or everything in a place. */
  @AsksId() readonly place?: string;
  /** What of finished pieces is printed; labels when nothing is said. */
  @AsksOneOf(CARD_KINDS) readonly as?: string;
}
