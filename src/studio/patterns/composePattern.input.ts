import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateBy, ValidateNested, type ValidationArguments } from 'class-validator';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { readComposition } from '@/core/pattern/readComposition';
import { TECHNIQUES } from '@/core/techniques/registry';
import { ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';
import { PatternPartInput } from './writePattern.input';

const ReadsComposition = () =>
  ValidateBy({
    name: 'readsComposition',
    validator: {
      validate: (value) => readComposition(value, TECHNIQUES).ok,
      defaultMessage: (args?: ValidationArguments) => {
        const read = readComposition(args?.value, TECHNIQUES);
        return read.ok ? '' : read.error;
      },
    },
  });

/** A pattern as it is composed of techniques. */
export class ComposePatternInput {
  @ReadsName('the pattern a name') name!: string;
  @ReadsOneOf(PATTERN_KINDS, 'what it makes') kind!: string;
  @ReadsText(4000) notes!: string;
  @ReadsComposition() composition!: unknown;

  @IsArray()
  @ArrayMaxSize(60, { message: 'A pattern has at most 60 beads and findings.' })
  @ValidateNested({ each: true })
  @Type(() => PatternPartInput)
  parts!: PatternPartInput[];
}
