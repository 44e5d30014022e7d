import { AIMS } from '@/core/batch/makeableProblem';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { ReadsDayOrNone, ReadsOneOf, ReadsWhole } from '../kernel/rules';

/** What somebody asks who wonders what to make. */
export class WhatCouldIMakeInput {
  /** The day on which it is to be ready. */
  @ReadsDayOrNone() until!: string;
  @ReadsOneOf(AIMS, 'what it is to be') aim!: string;
  /** Kind of pattern; any when it says so. */
  @ReadsOneOf(['any', ...PATTERN_KINDS], 'a kind') kind!: string;
  /** Pieces of one pattern at most. */
  @ReadsWhole(1, 100) most!: string;
}
