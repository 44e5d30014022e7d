import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { ReadsName, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

export class AnswerInput {
  @ReadsName('the question', 200) question!: string;
  @ReadsName('an answer', 120) answer!: string;
}

/** What was asked about a file, and is answered. */
export class AnswerImportInput {
  @IsArray()
  @ArrayMinSize(1, { message: 'Answer one question at least.' })
  @ArrayMaxSize(400, { message: 'At most 400 questions are answered at once.' })
  @ValidateNested({ each: true })
  @Type(() => AnswerInput)
  answers!: AnswerInput[];
}

export class MendedCellInput {
  @ReadsWhole(1, 1_000_000) line!: Typed<number>;
  @ReadsName('the column', 40) column!: string;
  @ReadsText(400) text!: string;
}

/** Cells of a file that are to be read as something else than what stands there. */
export class MendImportInput {
  @IsArray()
  @ArrayMinSize(1, { message: 'Mend one cell at least.' })
  @ArrayMaxSize(2000, { message: 'At most 2,000 cells are mended at once.' })
  @ValidateNested({ each: true })
  @Type(() => MendedCellInput)
  cells!: MendedCellInput[];
}
