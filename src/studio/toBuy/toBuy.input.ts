import { ReadsOneOf, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** The least that should be there of an article, and how it is sold. */
export class SetMinimumInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  @ReadsOneOf(['none', 'typed', 'use'], 'what the minimum goes by') minimumBy!: Typed<
    'none' | 'typed' | 'use'
  >;
  /** Read only when it is typed. */
  @ReadsText(60) minimum!: string;
  /** What one buys at a time; empty for as much as last time. */
  @ReadsText(60) soldBy!: string;
}
