import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsInt, IsUUID, Max, Min, ValidateNested } from 'class-validator';
import { ReadsLength, ReadsName, ReadsNumber, ReadsWhole } from '../kernel/rules';

/** One wire of the pattern as it was really cut. */
export class DoneCutInput {
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @IsInt() @Min(0) @Max(199) copy!: number;
  @IsUUID('all', { message: 'Choose which wire this was cut from.' }) from!: string;
  @ReadsLength() cut!: string;
  /** What of it was trimmed off again and is still wire. */
  @ReadsLength({ zero: true }) back!: string;
}

/** Wire that was lost in the making. */
export class SpoiledInput {
  @IsUUID('all', { message: 'Choose which wire was spoiled.' }) from!: string;
  @ReadsLength() length!: string;
  @ReadsName('the reason, like cut too short or snapped', 200) reason!: string;
}

/** What the maker did. */
export class MakePieceInput {
  @IsArray()
  @ArrayMaxSize(400, { message: 'A piece has at most 400 cuts.' })
  @ValidateNested({ each: true })
  @Type(() => DoneCutInput)
  cuts!: DoneCutInput[];

  @IsArray()
  @ArrayMaxSize(60, { message: 'Give at most 60 spoiled lengths.' })
  @ValidateNested({ each: true })
  @Type(() => SpoiledInput)
  spoiled!: SpoiledInput[];

  @ReadsNumber(0, 10_000) minutes!: string;
  @ReadsNumber(0, 10_000) setUpMinutes!: string;
  @ReadsWhole(1, 1000) sharedBy!: string;
}
