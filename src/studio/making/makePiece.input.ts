import { Type } from 'class-transformer';
import { IsDefined, IsInt, IsOptional, IsUUID, Max, Min, ValidateIf, ValidateNested } from 'class-validator';
import type { Id } from '@/core/id';
import type { BentTurn, Checked, PartLost, SizeRead } from '@/core/bench/sitting';
import type { Besides } from '@/core/bench/sittingMinutes';
import { readWorn } from '@/core/parameter/readWorn';
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
import { type Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
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

/** What the mandrel says of a ring; nothing when nobody looked. */
export const ReadsWornOrNone = () =>
  ReadsBy('readsFinished', (text) => onlyIf(text.trim() !== '', () => readWorn(text)));

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
  @IsOptional() @ReadsWornOrNone() finished?: Typed<Micrometres | null>;

  /** Left out when nothing was timed. */
  @ValidateIf(({ steps }: MakePieceInput) => steps !== undefined)
  @Entries(() => TimedStepInput, 200, { most: 'A pattern has at most 200 steps.' })
  steps?: TimedStepInput[];

  @ReadsNumber(0, 10_000) minutes!: Typed<number>;
  @ReadsNumber(0, 10_000) setUpMinutes!: Typed<number>;
  @ReadsWhole(1, 1000) sharedBy!: Typed<number>;
}

/** What was found out of a piece at the bench, where it was worked step by step. */
export interface BenchTold {
  readonly note: string;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  readonly mass: Micrograms | null;
  readonly checks: readonly (Checked & { readonly name: string })[];
  readonly sizes: readonly SizeRead[];
  /** What was timed that is no step of the pattern. */
  readonly besides: readonly { readonly work: Besides; readonly minutes: number }[];
  /** Of its parts, what was lost besides those that are in it. */
  readonly lostParts: readonly PartLost[];
  /** Wires that somebody said the lengths of, by their keys: of those even what is as planned was measured. */
  readonly measured: ReadonlySet<string>;
  /** Turns that were measured when they were bent. */
  readonly bends: readonly BendTold[];
}

/** A turn of a wire that was measured when it was bent. */
export interface BendTold extends BentTurn {
  readonly name: string;
  readonly specId: Id<'article'>;
}

/** What the maker did, as it was read. */
export type MakingTold = ValuesOf<MakePieceInput> & { readonly bench?: BenchTold };
