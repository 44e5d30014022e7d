import { AsksId, AsksText } from '../kernel/query';

/** Which labels are asked for. */
export class LabelsQuery {
  /** Tags, with commas or spaces between them. */
  @AsksText(4000) readonly items?: string;
  /** Or everything in a place. */
  @AsksId() readonly place?: string;
}
