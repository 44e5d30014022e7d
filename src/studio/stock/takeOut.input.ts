import { ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';

/** Something taken out of stock by hand. */
export class TakeOutInput {
  @ReadsOneOf(['used', 'spoiled'], 'what became of it') kind!: string;
  @ReadsText(60) quantity!: string;
  @ReadsName('the reason', 200) reason!: string;
}
