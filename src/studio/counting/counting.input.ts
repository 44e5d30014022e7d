import { ReadsText } from '../kernel/rules';

/** What was counted of one stock piece. */
export class CountLineInput {
  /** Empty takes the line back. */
  @ReadsText(60) typed!: string;
}
