import { IsBoolean, IsUUID } from 'class-validator';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import {
  Entries,
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

  @Entries(() => AllowanceInput, 12, { most: 'Give at most 12 allowances.' })
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

  @Entries(() => PatternCutInput, 60, {
    most: 'A pattern has at most 60 kinds of cut.',
    least: 'A pattern has at least one wire to cut.',
  })
  cuts!: PatternCutInput[];

  @Entries(() => PatternPartInput, 60, { most: 'A pattern has at most 60 beads and findings.' })
  parts!: PatternPartInput[];

  @Entries(() => PatternStepInput, 80, { most: 'A pattern has at most 80 steps.' })
  steps!: PatternStepInput[];
}
