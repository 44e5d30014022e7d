import { ReadsName, ReadsOneOf } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What a new token is told. */
export class MakeTokenInput {
  @ReadsName('the program a name') name!: string;
  @ReadsOneOf(['owner', 'helper'], 'what it may see') role!: Typed<'owner' | 'helper'>;
}
