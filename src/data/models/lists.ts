import type { CreationOptional, InferAttributes, InferCreationAttributes, Sequelize } from 'sequelize';
import { id, json, keyId, keyText, maybe, moment, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** How a file stands that is brought in. */
export type ImportState = 'checking' | 'checked' | 'posting' | 'posted' | 'cancelled' | 'failed';

/** Which column of the file each column of the list is read from; −1 for none. */
export type Mapping = Readonly<Record<string, number>>;

/** A cell that cannot be read, with what stands in it. */
export interface WrongCell {
  readonly key: string;
  readonly title: string;
  readonly text: string;
  readonly why: string;
}

/** A row that cannot be brought in, and why. */
export interface BadRow {
  /** Line of the file, its first being 1. */
  readonly line: number;
  readonly why: readonly string[];
  readonly cells: readonly string[];
  /** The cells that are wrong, to be mended in place. */
  readonly wrong: readonly WrongCell[];
}

/** What was mended in a file: by its line, the text that stands in a column of the list instead. */
export type Mends = Readonly<Record<string, Readonly<Record<string, string>>>>;

/**
 * `word`: what a word means. `all`: what every row is of whose cell is empty. `unit`: what bare numbers of a column are in. `order`: day
 * or month first. `each`: whether a price is for all of a row or for one. `strand`: how many beads are on a strand.
 */
export type QuestionKind = 'word' | 'all' | 'unit' | 'order' | 'each' | 'strand';

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

/** Answers by the id of their question. */
export type Answers = Readonly<Record<string, string>>;

/** A file on its way in, with all that was said about it. */
export class Import extends StudioModel<InferAttributes<Import>, InferCreationAttributes<Import>> {
  declare importId: string;
  declare list: string;
  declare fileName: string;
  declare content: string;
  declare mapping: Mapping;
  declare state: ImportState;
  declare done: CreationOptional<number>;
  declare total: CreationOptional<number>;
  declare good: CreationOptional<number>;
  declare bad: CreationOptional<readonly BadRow[]>;
  declare message: CreationOptional<string>;
  declare userId: string;
  declare madeAt: Date;
  /** When its work was last heard of. */
  declare beatAt: Date;
  declare answers: CreationOptional<Answers>;
  declare mends: CreationOptional<Mends>;
  declare questions: CreationOptional<readonly Question[]>;
  /** Rows that hold nothing. */
  declare passedOver: CreationOptional<number>;
}

/** An answer that holds for every file of a list. */
export class ListAnswer extends StudioModel<
  InferAttributes<ListAnswer>,
  InferCreationAttributes<ListAnswer>
> {
  declare list: string;
  declare question: string;
  declare answer: string;
}

/** A count of one place. */
export class Count extends StudioModel<InferAttributes<Count>, InferCreationAttributes<Count>> {
  declare countId: string;
  declare number: number;
  declare placeId: string | null;
  declare placeName: string;
  declare userId: string;
  declare startedAt: Date;
  declare postedAt: CreationOptional<Date | null>;
  declare postKey: CreationOptional<string | null>;
}

/** One line of a count sheet. */
export class CountLineRow extends StudioModel<
  InferAttributes<CountLineRow>,
  InferCreationAttributes<CountLineRow>
> {
  declare countId: string;
  declare stockPieceId: string;
  declare position: number;
  declare typed: CreationOptional<string | null>;
  declare counted: CreationOptional<number | null>;
  declare countedAt: CreationOptional<Date | null>;
  declare userId: CreationOptional<string | null>;
  /** What the books said when the count was posted. */
  declare expected: CreationOptional<number | null>;
}

export function initListModels(sequelize: Sequelize): void {
  tieTable(sequelize, Import, 'imports', {
    importId: keyId(),
    list: text(),
    fileName: text(),
    content: text(),
    mapping: json(),
    state: text(),
    done: { ...number(), defaultValue: 0 },
    total: { ...number(), defaultValue: 0 },
    good: { ...number(), defaultValue: 0 },
    bad: { ...json(), defaultValue: [] },
    message: { ...text(), defaultValue: '' },
    userId: id(),
    madeAt: moment(),
    beatAt: moment(),
    answers: { ...json(), defaultValue: {} },
    mends: { ...json(), defaultValue: {} },
    questions: { ...json(), defaultValue: [] },
    passedOver: { ...number(), defaultValue: 0 },
  });
  tieTable(sequelize, ListAnswer, 'list_answers', { list: keyText(), question: keyText(), answer: text() });
  tieTable(sequelize, Count, 'counts', {
    countId: keyId(),
    number: number(),
    placeId: maybe(id()),
    placeName: text(),
    userId: id(),
    startedAt: moment(),
    postedAt: maybe(moment()),
    postKey: maybe(id()),
  });
  tieTable(sequelize, CountLineRow, 'count_lines', {
    countId: keyId(),
    stockPieceId: keyId(),
    position: number(),
    typed: maybe(text()),
    counted: maybe(whole()),
    countedAt: maybe(moment()),
    userId: maybe(id()),
    expected: maybe(whole()),
  });
}
