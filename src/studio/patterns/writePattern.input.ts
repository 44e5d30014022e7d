import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsUUID, ValidateNested } from 'class-validator';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import {
  ReadsLength,
  ReadsMoneyOrNone,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsText,
  ReadsWhole,
} from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';
import type { Micrometres } from '@/core/units/length';

export class AllowanceInput {
  @ReadsName('the allowance a name, like tail or bail', 60) name!: string;
  @ReadsLength() length!: Typed<Micrometres>;
}

export class PatternCutInput {
  @ReadsName('the wire a name, like frame wire', 60) name!: string;
  @IsUUID('all', { message: 'Choose the wire this is cut from.' }) specId!: string;
  @ReadsWhole(1, 200) count!: Typed<number>;
  @ReadsLength() net!: Typed<Micrometres>;

  @IsArray()
  @ArrayMaxSize(12, { message: 'Give at most 12 allowances.' })
  @ValidateNested({ each: true })
  @Type(() => AllowanceInput)
  allowances!: AllowanceInput[];
}

export class PatternPartInput {
  @ReadsName('the bead, stone or finding a name', 80) name!: string;
  @ReadsWhole(1, 10_000) count!: Typed<number>;
  /** Empty when it costs what the drawers say. */
  @ReadsMoneyOrNone({ zero: true }) unitCost!: Typed<Amount | null>;
}

export class PatternStepInput {
  @ReadsName('the step a name', 120) name!: string;
  @ReadsNumber(0, 10_000) minutes!: Typed<number>;
  @IsBoolean({ message: 'Say whether the step is done once per sitting.' }) perSitting!: boolean;
}

/** A pattern as it is written. */
export class WritePatternInput {
  @ReadsName('the pattern a name') name!: string;
  @ReadsOneOf(PATTERN_KINDS, 'what it makes') kind!: Typed<PatternKind>;
  @ReadsText(4000) notes!: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'A pattern has at least one wire to cut.' })
  @ArrayMaxSize(60, { message: 'A pattern has at most 60 kinds of cut.' })
  @ValidateNested({ each: true })
  @Type(() => PatternCutInput)
  cuts!: PatternCutInput[];

  @IsArray()
  @ArrayMaxSize(60, { message: 'A pattern has at most 60 beads and findings.' })
  @ValidateNested({ each: true })
  @Type(() => PatternPartInput)
  parts!: PatternPartInput[];

  @IsArray()
  @ArrayMaxSize(80, { message: 'A pattern has at most 80 steps.' })
  @ValidateNested({ each: true })
  @Type(() => PatternStepInput)
  steps!: PatternStepInput[];
}
