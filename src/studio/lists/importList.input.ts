import { Entries, ReadsName, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

export class AnswerInput {
  @ReadsName('the question', 200) question!: string;
  @ReadsName('an answer', 120) answer!: string;
}

/** What was asked about a file, and is answered. */
export class AnswerImportInput {
  @Entries(() => AnswerInput, 400, {
    most: 'At most 400 questions are answered at once.',
    least: 'Answer one question at least.',
  })
  answers!: AnswerInput[];
}

export class MendedCellInput {
  @ReadsWhole(1, 1_000_000) line!: Typed<number>;
  @ReadsName('the column', 40) column!: string;
  @ReadsText(400) text!: string;
}

/** Cells of a file that are to be read as something else than what stands there. */
export class MendImportInput {
  @Entries(() => MendedCellInput, 2000, {
    most: 'At most 2,000 cells are mended at once.',
    least: 'Mend one cell at least.',
  })
  cells!: MendedCellInput[];
}
