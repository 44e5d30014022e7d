import type { MovementKind } from '@/core/stock/movement';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, byDefault, date, float, instant, int, key, maybe, serial, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article } from './articles';
import { Batch } from './batches';
import { Piece } from './making';
import { Lot } from './purchases';
import { StockPiece } from './stock';
import { User } from './studio';

/** The last number that was given out in a series. */
export const Counter = table('counters', {
  name: key(text()),
  last: int(),
});

/** What was there of an article at the end of a month: a cache of the movements. */
export const Closing = table(
  'closings',
  {
    /** The first day of the month, ISO. */
    month: key(date()),
    articleId: key(uuid<'article'>()),
    quantity: big(),
    costUnits: big<CostUnits>(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** What findings that were made cost beside their material. */
export const MadeLabour = table('made_labour', {
  postKey: key(uuid<'post'>()),
  minutes: float(),
  hourlyRate: big<MinorUnits>(),
  overheadPerHour: big<MinorUnits>(),
  costUnits: big<CostUnits>(),
  /** What they bear of the waste of their batch. */
  wasteUnits: byDefault(big<CostUnits>(), 0),
});

/** What a check of the books found. */
export const BookCheckRow = table('book_checks', {
  checkedAt: key(instant()),
  movements: big(),
  differences: int(),
  firstDifference: byDefault(text(), ''),
});

/** One change of one stock piece. Never changed, never taken away. */
export const Movement = table(
  'movements',
  {
    movementId: serial(),
    postKey: uuid<'post'>(),
    happenedAt: instant(),
    userId: uuid<'user'>(),
    kind: text<MovementKind>(),
    stockPieceId: uuid<'stock piece'>(),
    /** What the stock piece was at the time. */
    articleId: uuid<'article'>(),
    /** Signed: what the stock piece gained. */
    quantity: big(),
    costUnits: big<CostUnits>(),
    reason: text(),
    lotId: maybe(uuid<'lot'>()),
    pieceId: maybe(uuid<'piece'>()),
    /** The batch that it was done for. */
    batchId: maybe(uuid<'batch'>()),
    /** The movement that this one undoes. */
    reverses: maybe(big()),
  },
  {
    stockPiece: belongsTo(StockPiece, 'stockPieceId'),
    article: belongsTo(Article, 'articleId'),
    lot: mayBelongTo(Lot, 'lotId'),
    piece: mayBelongTo(Piece, 'pieceId'),
    batch: mayBelongTo(Batch, 'batchId'),
    user: belongsTo(User, 'userId'),
  },
);
