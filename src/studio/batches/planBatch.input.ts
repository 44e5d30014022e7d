import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { ReadsDayOrNone, ReadsName, ReadsText, ReadsWhole } from '../kernel/rules';

/** Pieces of one kind, as they are typed. */
export class BatchLineInput {
  /** Number of the pattern. */
  @ReadsWhole(1, 99_999_999) pattern!: string;
  @ReadsWhole(1, 500) count!: string;
  /** Tag of a stone of the drawer; empty for the stone that the pattern was composed for. */
  @ReadsText(20) stone!: string;
  /** Ring size or inside diameter; empty for the pattern’s own. */
  @ReadsText(60) ring!: string;
  /** Length of the bead along its hole; empty for the pattern’s own. */
  @ReadsText(60) bead!: string;
  /** Metal of all its wires; empty for the pattern’s own. */
  @ReadsText(40) metal!: string;
}

/** A batch as it is planned. */
export class PlanBatchInput {
  @ReadsName('what the batch is called, like Spring fair') name!: string;
  @ReadsDayOrNone() dueOn!: string;
  @ReadsText(2000) notes!: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'A batch holds one pattern at least.' })
  @ArrayMaxSize(60, { message: 'A batch holds at most 60 patterns.' })
  @ValidateNested({ each: true })
  @Type(() => BatchLineInput)
  lines!: BatchLineInput[];
}
