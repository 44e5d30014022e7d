import type { Day } from '@/core/calendar/day';
import { AIMS, type Aim } from '@/core/batch/makeableProblem';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { AsksText } from '../kernel/query';
import { ReadsDayOrNone, ReadsOneOf, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What somebody asks who wonders what to make. */
export class WhatCouldIMakeInput {
  /** The day on which it is to be ready. */
  @ReadsDayOrNone() until!: Typed<Day | null>;
  @ReadsOneOf(AIMS, 'what it is to be') aim!: Typed<Aim>;
  /** Kind of pattern; any when it says so. */
  @ReadsOneOf(['any', ...PATTERN_KINDS], 'a kind') kind!: Typed<PatternKind | 'any'>;
  /** Pieces of one pattern at most. */
  @ReadsWhole(1, 100) most!: Typed<number>;
}

/** What an address asks of it; what it leaves out is as usual, and what it says wrongly is said on the page. */
export class MakeableQuery {
  @AsksText(40) readonly until?: string;
  @AsksText(40) readonly aim?: string;
  @AsksText(40) readonly kind?: string;
  @AsksText(40) readonly most?: string;
}
