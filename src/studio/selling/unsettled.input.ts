import { ReadsName } from '../kernel/rules';

/** Why what was told was no sale. */
export class NoSaleInput {
  @ReadsName('a reason') note!: string;
}
