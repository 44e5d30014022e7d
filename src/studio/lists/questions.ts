/** Something about a file that only the maker knows: asked once, for all its rows. */
export interface Question {
  /** What its answer is kept under. */
  readonly id: string;
  readonly kind: QuestionKind;
  /** Which column of the list it is about. */
  readonly column: string;
  /** The sentence that is asked. */
  readonly asks: string;
  /** What may be answered; empty when it is typed. */
  readonly choices: readonly { readonly value: string; readonly text: string }[];
  /** An example of what may be typed. */
  readonly example?: string;
  /** How many rows wait for it. */
  readonly rows: number;
}

/**
 * `word`: what a word means. `all`: what every row is of whose cell is empty. `unit`: what bare numbers of a column are in. `order`: day
 * or month first. `each`: whether a price is for all of a row or for one. `strand`: how many beads are on a strand.
 */
export type QuestionKind = 'word' | 'all' | 'unit' | 'order' | 'each' | 'strand';

/** Answers by the id of their question. */
export type Answers = Readonly<Record<string, string>>;

/** Where the answer to a question is kept. */
export const questionId = (kind: QuestionKind, column: string, word = ''): string =>
  word === '' ? `${kind} ${column}` : `${kind} ${column} ${word.toLowerCase()}`;

/** Gathers the questions of all rows of a file, each once with how many rows wait for it. */
export class Questions {
  readonly #byId = new Map<string, Question>();

  add(question: Omit<Question, 'id' | 'rows'>, word = ''): void {
    const id = questionId(question.kind, question.column, word);
    const rows = (this.#byId.get(id)?.rows ?? 0) + 1;
    this.#byId.set(id, { ...question, id, rows });
  }

  /** All of them, those that most rows wait for first. */
  all(): Question[] {
    return [...this.#byId.values()].sort((a, b) => b.rows - a.rows);
  }
}
