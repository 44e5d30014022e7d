import type { ReadWhen, Said } from '@/core/bench/sitting';
import type { WireMeant } from '@/core/bench/wireDone';
import type { Id } from '@/core/id';
import type { Micrometres } from '@/core/units/length';
import { big, bool, byDefault, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article } from './articles';
import { BatchLineRow } from './batches';
import { PatternRevision, Piece } from './making';
import { User } from './studio';

/** Whether a sitting goes on, its pieces are made, or it was left without any. */
export type SittingState = 'open' | 'finished' | 'left';

/** Pieces of a pattern that are worked at the bench together, step by step. */
export const SittingRow = table(
  'sittings',
  {
    sittingId: key(uuid<'sitting'>()),
    patternId: uuid<'pattern'>(),
    revision: int(),
    /** The line of a batch whose tray they come out of; none when their wires come off the rack. */
    batchId: byDefault(maybe(uuid<'batch'>()), null),
    line: byDefault(maybe(int()), null),
    count: int(),
    /** What its pieces are inspected for, as it was when it began. */
    checks: json<readonly string[]>(),
    userId: uuid<'user'>(),
    begunAt: instant(),
    state: byDefault(text<SittingState>(), 'open'),
    /** How many words were heard of it. */
    words: byDefault(int(), 0),
  },
  {
    made: belongsTo(PatternRevision, 'patternId', 'revision'),
    batchLine: mayBelongTo(BatchLineRow, 'batchId', 'line'),
    user: belongsTo(User, 'userId'),
  },
);

/** A wire of a piece of a sitting, and the stock that it is cut from: a length on the rack, or the wire itself in a tray. */
export interface WireOfSitting extends WireMeant {
  readonly from: Id<'stock piece'>;
}

/** One piece of a sitting, the key that it is posted under at most once, and what it became. */
export const SittingPiece = table(
  'sitting_pieces',
  {
    sittingId: key(uuid<'sitting'>()),
    piece: key(int()),
    /** Which of the line of its batch it is; null for one whose wires come off the rack. */
    trayPiece: byDefault(maybe(int()), null),
    wires: json<readonly WireOfSitting[]>(),
    postKey: uuid<'post'>(),
    pieceId: byDefault(maybe(uuid<'piece'>()), null),
  },
  {
    sitting: belongsTo(SittingRow, 'sittingId'),
    became: mayBelongTo(Piece, 'pieceId'),
  },
);

/** One thing that was said of a sitting. */
export const SittingWord = table(
  'sitting_words',
  {
    sittingId: key(uuid<'sitting'>()),
    /** Its place in the order in which all were heard. */
    place: key(int()),
    wordId: uuid(),
    said: json<Said>(),
    userId: uuid<'user'>(),
    heardAt: instant(),
  },
  {
    sitting: belongsTo(SittingRow, 'sittingId'),
    user: belongsTo(User, 'userId'),
  },
);

/** What a finished piece was looked at for. */
export const CheckLog = table(
  'check_log',
  {
    pieceId: key(uuid<'piece'>()),
    place: key(int()),
    name: text(),
    isGood: bool(),
    /** What was measured or seen; may be empty. */
    reading: text(),
    /** How often it was found not good. */
    failures: int(),
  },
  { piece: belongsTo(Piece, 'pieceId') },
);

/** A ring as it was read on the mandrel on the way. */
export const SizeLog = table(
  'size_log',
  {
    pieceId: key(uuid<'piece'>()),
    place: key(int()),
    readWhen: text<ReadWhen>(),
    inside: big<Micrometres>(),
  },
  { piece: belongsTo(Piece, 'pieceId') },
);

/** A turn that was measured when it was bent round something. */
export const BendLog = table(
  'bend_log',
  {
    pieceId: key(uuid<'piece'>()),
    place: key(int()),
    name: text(),
    articleId: uuid<'article'>(),
    /** Diameter of what it was bent round, and its inside when it was let go. */
    bentOn: big<Micrometres>(),
    came: big<Micrometres>(),
    madeAt: instant(),
  },
  { piece: belongsTo(Piece, 'pieceId'), article: belongsTo(Article, 'articleId') },
);
