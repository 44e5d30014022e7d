import { ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Something taken out of stock by hand. */
export class TakeOutInput {
  @ReadsOneOf(['used', 'spoiled'], 'what became of it') kind!: Typed<'used' | 'spoiled'>;
  @ReadsText(60) quantity!: string;
  @ReadsName('the reason', 200) reason!: string;
}
