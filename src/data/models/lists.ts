import { big, byDefault, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Place } from './articles';
import { StockPiece } from './stock';
import { User } from './studio';

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
export const Import = table(
  'imports',
  {
    importId: key(uuid<'import'>()),
    list: text(),
    fileName: text(),
    content: text(),
    mapping: json<Mapping>(),
    state: text<ImportState>(),
    done: byDefault(int(), 0),
    total: byDefault(int(), 0),
    good: byDefault(int(), 0),
    bad: byDefault(json<readonly BadRow[]>(), []),
    message: byDefault(text(), ''),
    userId: uuid<'user'>(),
    madeAt: instant(),
    /** When its work was last heard of. */
    beatAt: instant(),
    answers: byDefault(json<Answers>(), {}),
    mends: byDefault(json<Mends>(), {}),
    questions: byDefault(json<readonly Question[]>(), []),
    /** Rows that hold nothing. */
    passedOver: byDefault(int(), 0),
  },
  {
    user: belongsTo(User, 'userId'),
  },
);

/** An answer that holds for every file of a list. */
export const ListAnswer = table('list_answers', {
  list: key(text()),
  question: key(text()),
  answer: text(),
});

/** A count of one place. */
export const Count = table(
  'counts',
  {
    countId: key(uuid<'count'>()),
    number: int(),
    placeId: maybe(uuid<'place'>()),
    placeName: text(),
    userId: uuid<'user'>(),
    startedAt: instant(),
    postedAt: byDefault(maybe(instant()), null),
    postKey: byDefault(maybe(uuid<'post'>()), null),
  },
  {
    place: mayBelongTo(Place, 'placeId'),
    user: belongsTo(User, 'userId'),
  },
);

/** One line of a count sheet. */
export const CountLineRow = table(
  'count_lines',
  {
    countId: key(uuid<'count'>()),
    stockPieceId: key(uuid<'stock piece'>()),
    position: int(),
    typed: byDefault(maybe(text()), null),
    counted: byDefault(maybe(big()), null),
    countedAt: byDefault(maybe(instant()), null),
    userId: byDefault(maybe(uuid<'user'>()), null),
    /** What the books said when the count was posted. */
    expected: byDefault(maybe(big()), null),
  },
  {
    count: belongsTo(Count, 'countId'),
    stockPiece: belongsTo(StockPiece, 'stockPieceId'),
    user: mayBelongTo(User, 'userId'),
  },
);
