import { ReadsName } from '../kernel/rules';

/** Why something is taken back. */
export class ReverseInput {
  @ReadsName('the reason', 200) reason!: string;
}
