import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import type { Composition } from '@/core/pattern/composition';
import { readComposition } from '@/core/pattern/readComposition';
import { TECHNIQUES } from '@/core/techniques/registry';
import { ReadsGiven, ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';
import { PatternPartInput } from './writePattern.input';
import type { Typed } from '../kernel/typed';

const ReadsComposition = () => ReadsGiven('readsComposition', (given) => readComposition(given, TECHNIQUES));

/** A pattern as it is composed of techniques. */
export class ComposePatternInput {
  @ReadsName('the pattern a name') name!: string;
  @ReadsOneOf(PATTERN_KINDS, 'what it makes') kind!: Typed<PatternKind>;
  @ReadsText(4000) notes!: string;
  @ReadsComposition() composition!: Composition;

  @IsArray()
  @ArrayMaxSize(60, { message: 'A pattern has at most 60 beads and findings.' })
  @ValidateNested({ each: true })
  @Type(() => PatternPartInput)
  parts!: PatternPartInput[];
}
