import { ReadsName, ReadsOneOf } from '../kernel/rules';

/** What a new token is told. */
export class MakeTokenInput {
  @ReadsName('the program a name') name!: string;
  @ReadsOneOf(['owner', 'helper'], 'what it may see') role!: string;
}
