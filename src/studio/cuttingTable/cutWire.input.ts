import { IsInt, IsUUID, Max, Min } from 'class-validator';
import { ReadsLength, ReadsName, ReadsOneOf } from '../kernel/rules';

/** A wire of a batch as it was really cut. */
export class CutWireInput {
  @IsInt() @Min(1) @Max(60) line!: number;
  @IsInt() @Min(0) @Max(499) piece!: number;
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @IsInt() @Min(0) @Max(199) copy!: number;
  /** The stock piece that the cutting table named. */
  @IsUUID('all', { message: 'Choose which wire this was cut from.' }) from!: string;
  @ReadsLength() length!: string;
}

/** A length that was cut wrongly. */
export class MiscutInput {
  @ReadsName('the tag of the wire that it was cut from', 20) from!: string;
  @ReadsLength() length!: string;
  @ReadsName('the reason, like cut too short or wrong wire cut', 200) reason!: string;
  /** Whether it is still wire for something else. */
  @ReadsOneOf(['lost', 'kept'], 'what becomes of it') then!: string;
}
