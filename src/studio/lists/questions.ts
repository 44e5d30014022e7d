import type { Answers, Question, QuestionKind } from '@/data/models/lists';

export type { Answers, Question, QuestionKind };

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
