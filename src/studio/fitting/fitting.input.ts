import { AsksText, AsksWhole } from '../kernel/query';
import type { Typed } from '../kernel/typed';

/** What is tried on the patterns; a measure that cannot be read is said beside its field. */
export class FittingQuery {
  /** Tag of a stone of the drawer; its measures count then. */
  @AsksText(40) readonly stone?: string;
  @AsksText(40) readonly outline?: string;
  @AsksText(40) readonly length?: string;
  @AsksText(40) readonly width?: string;
  @AsksText(40) readonly edge?: string;
  @AsksText(40) readonly depth?: string;
  @AsksText(40) readonly ring?: string;
  @AsksText(40) readonly bead?: string;
  /** Tag of a length of the rack. */
  @AsksText(40) readonly wire?: string;
  /** The number of the last pattern on the page before. */
  @AsksWhole(1, 99_999_999) readonly under?: Typed<number>;
}
