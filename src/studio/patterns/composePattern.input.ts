import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import type { Composition } from '@/core/pattern/composition';
import { readComposition } from '@/core/pattern/readComposition';
import { TECHNIQUES } from '@/core/techniques/registry';
import { Entries, ReadsGiven, ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';
import { PatternPartInput } from './writePattern.input';
import type { Typed } from '../kernel/typed';

const ReadsComposition = () => ReadsGiven('readsComposition', (given) => readComposition(given, TECHNIQUES));

/** A pattern as it is composed of techniques. */
export class ComposePatternInput {
  @ReadsName('the pattern a name') name!: string;
  @ReadsOneOf(PATTERN_KINDS, 'what it makes') kind!: Typed<PatternKind>;
  @ReadsText(4000) notes!: string;
  @ReadsComposition() composition!: Composition;

  @Entries(() => PatternPartInput, 60, { most: 'A pattern has at most 60 beads and findings.' })
  parts!: PatternPartInput[];
}
