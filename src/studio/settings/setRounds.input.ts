import { readRounds, type Round } from '@/core/bench/rounds';
import { ReadsBy } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What the studio bends wire round, one a line. */
export class SetRoundsInput {
  @ReadsBy('readsRounds', readRounds) rounds!: Typed<readonly Round[]>;
}
