import { Type } from 'class-transformer';
import { IsDefined, IsInt, IsOptional, IsUUID, Max, Min, ValidateIf, ValidateNested } from 'class-validator';
import { readInside } from '@/core/parameter/readTexts';
import { refuse, type Result } from '@/core/result';
import { RING_RANGE } from '@/core/ring/ringSize';
import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import {
  Entries,
  onlyIf,
  ReadsBy,
  ReadsCount,
  ReadsLength,
  ReadsLengths,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsText,
  ReadsWhole,
} from '../kernel/rules';
import { UM_PER_MM, type Micrometres } from '@/core/units/length';
import type { Typed, ValuesOf } from '../kernel/typed';

/** One wire of the pattern as it was really cut. */
export class DoneCutInput {
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @IsInt() @Min(0) @Max(199) copy!: number;
  @IsUUID('all', { message: 'Choose which wire this was cut from.' }) from!: string;
  @ReadsLength() cut!: Typed<Micrometres>;
  /** What of it was trimmed off again and is still wire, each piece by itself: “2 × 15 mm”. */
  @ReadsLengths() back!: Typed<Micrometres[]>;
}

/** Wire that was lost in the making. */
export class SpoiledInput {
  @IsUUID('all', { message: 'Choose which wire was spoiled.' }) from!: string;
  @ReadsLength() length!: Typed<Micrometres>;
  @ReadsName('the reason, like cut too short or snapped', 200) reason!: string;
}

/** Beads, findings or a stone of one part of the pattern, and what they were taken from. */
export class DonePartInput {
  @IsInt() @Min(0) @Max(199) part!: number;
  /** A stock piece of the drawers; empty for what did not come from them. */
  @ValidateIf(({ from }: DonePartInput) => from !== '')
  @IsUUID('all', { message: 'Choose which lot or stone this was taken from.' })
  from!: string;
  @ReadsWhole(1, 100_000) count!: Typed<number>;
}

/** A step of the pattern as it was timed at the bench. */
export class TimedStepInput {
  /** Its place in the order of work, from 0. */
  @IsInt() @Min(0) @Max(199) step!: number;
  @ReadsNumber(0, 10_000) minutes!: Typed<number>;
}

/** Findings that come of a making, and go into the drawers instead of onto the shelf. */
export class IntoDrawerInput {
  @ReadsOneOf(FINDINGS, 'a finding') finding!: Typed<FindingKind>;
  @ReadsName('what they are made of', 80) material!: string;
  @ReadsText(80) size!: string;
  /** How many came of it. */
  @ReadsCount() count!: Typed<number>;
  @ReadsText(120) place!: string;
}

/** The inside of a ring that a hand wears, by its size or its diameter. */
function readWorn(text: string): Result<Micrometres> {
  const read = readInside(text, 'mm');
  if (!read.ok) return read;
  const { from, to } = RING_RANGE;
  const inMm = read.value / UM_PER_MM;
  return inMm >= from && inMm <= to
    ? read
    : refuse(
        `“${text.slice(0, 40)}” was given; ${from} mm to ${to} mm are allowed, or a size that is within that.`,
      );
}

/** What the maker did. */
export class MakePieceInput {
  @Entries(() => DoneCutInput, 400, { most: 'A piece has at most 400 cuts.' })
  cuts!: DoneCutInput[];

  @Entries(() => SpoiledInput, 60, { most: 'Give at most 60 spoiled lengths.' })
  spoiled!: SpoiledInput[];

  /** Left out, parts are taken as they are proposed. */
  @ValidateIf(({ parts }: MakePieceInput) => parts !== undefined)
  @Entries(() => DonePartInput, 400, { most: 'Give at most 400 lots of parts.' })
  parts?: DonePartInput[];

  /** Left out, what was made stands on the shelf. */
  @IsOptional() @ReadsOneOf(['shelf', 'drawer'], 'where it goes') goesTo?: Typed<'shelf' | 'drawer'>;

  @ValidateIf(({ goesTo }: MakePieceInput) => goesTo === 'drawer')
  @IsDefined({ message: 'Say which findings it became.' })
  @ValidateNested()
  @Type(() => IntoDrawerInput)
  drawer?: IntoDrawerInput;

  /** Of a ring, what the mandrel says when it is finished; empty when nobody looked. */
  @IsOptional()
  @ReadsBy('readsFinished', (text) => onlyIf(text.trim() !== '', () => readWorn(text)))
  finished?: Typed<Micrometres | null>;

  /** Left out when nothing was timed. */
  @ValidateIf(({ steps }: MakePieceInput) => steps !== undefined)
  @Entries(() => TimedStepInput, 200, { most: 'A pattern has at most 200 steps.' })
  steps?: TimedStepInput[];

  @ReadsNumber(0, 10_000) minutes!: Typed<number>;
  @ReadsNumber(0, 10_000) setUpMinutes!: Typed<number>;
  @ReadsWhole(1, 1000) sharedBy!: Typed<number>;
}

/** What the maker did, as it was read. */
export type MakingTold = ValuesOf<MakePieceInput>;
