import { ReadsOneOf, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** A length that becomes a stock piece of its own. */
export class PartWireInput {
  /** A bobbin is wound, an off-cut is cut off by hand. */
  @ReadsOneOf(['bobbin', 'off-cut', 'coil'], 'what it becomes') form!: Typed<'bobbin' | 'off-cut' | 'coil'>;
  @ReadsText(60) length!: string;
  @ReadsText(120) place!: string;
}
