import { IsInt, IsUUID, Max, Min } from 'class-validator';
import { ReadsLength, ReadsName, ReadsOneOf, ReadsTag } from '../kernel/rules';
import type { Micrometres } from '@/core/units/length';
import type { Typed } from '../kernel/typed';

/** A wire of a batch as it was really cut. */
export class CutWireInput {
  @IsInt() @Min(1) @Max(60) line!: number;
  @IsInt() @Min(0) @Max(499) piece!: number;
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @IsInt() @Min(0) @Max(199) copy!: number;
  /** The stock piece that the cutting table named. */
  @IsUUID('all', { message: 'Choose which wire this was cut from.' }) from!: string;
  @ReadsLength() length!: Typed<Micrometres>;
}

/** A length that was cut wrongly. */
export class MiscutInput {
  @ReadsTag('wire') from!: Typed<number>;
  @ReadsLength() length!: Typed<Micrometres>;
  @ReadsName('the reason, like cut too short or wrong wire cut', 200) reason!: string;
  /** Whether it is still wire for something else. */
  @ReadsOneOf(['lost', 'kept'], 'what becomes of it') then!: Typed<'lost' | 'kept'>;
}
