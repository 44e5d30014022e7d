import type { BatchState, CutKind, PlanningState, Purpose, WantedLine } from '@/core/batch/batchState';
import type { CuttingPlanKept } from '@/core/batch/cuttingPlan';
import type { PatternBody } from '@/core/pattern/pattern';
import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import { DataTypes } from 'sequelize';
import { big, byDefault, date, instant, int, json, key, many, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article, WireSpecRow } from './articles';
import { Pattern, PatternRevision, Piece } from './making';
import { StockPiece } from './stock';
import { User } from './studio';

/** Several pieces that are made together. */
export const Batch = table(
  'batches',
  {
    batchId: key(uuid<'batch'>()),
    number: int(),
    name: text(),
    /** Calendar day, ISO. */
    dueOn: maybe(date()),
    notes: byDefault(text(), ''),
    state: byDefault(text<BatchState>(), 'open'),
    planning: byDefault(text<PlanningState>(), 'none'),
    /** The form that asked for the plan that is being made. */
    planningKey: byDefault(maybe(uuid<'post'>()), null),
    /** What the planner says of its work, or why it failed. */
    planningSaid: byDefault(text(), ''),
    planningBeat: byDefault(maybe(instant()), null),
    userId: uuid<'user'>(),
    createdAt: instant(),
    version: byDefault(int(), 1),
  },
  {
    user: belongsTo(User, 'userId'),
  },
);

/** So many pieces of a pattern, as they are to be made for a batch. */
export const BatchLineRow = table(
  'batch_lines',
  {
    batchId: key(uuid<'batch'>()),
    line: key(int()),
    patternId: uuid<'pattern'>(),
    revision: int(),
    count: int(),
    wanted: json<WantedLine>(),
    body: json<PatternBody>(),
    stoneId: maybe(uuid<'stock piece'>()),
  },
  {
    batch: belongsTo(Batch, 'batchId'),
    pattern: belongsTo(Pattern, 'patternId'),
    written: belongsTo(PatternRevision, 'patternId', 'revision'),
    stone: mayBelongTo(StockPiece, 'stoneId'),
  },
);

/** What was done at the cutting table for a batch. */
export const BatchCutRow = table(
  'batch_cuts',
  {
    batchId: key(uuid<'batch'>()),
    /** Its place in the order of what was done. */
    act: key(int()),
    kind: text<CutKind>(),
    specId: uuid<'article'>(),
    /** Which wire of the batch it is; null for a mis-cut. */
    line: maybe(int()),
    piece: maybe(int()),
    cutIndex: maybe(int()),
    copy: maybe(int()),
    name: byDefault(text(), ''),
    sourceId: uuid<'stock piece'>(),
    /** The wire in the tray, or what a mis-cut left. */
    cutId: maybe(uuid<'stock piece'>()),
    plannedUm: maybe(big<Micrometres>()),
    lengthUm: big<Micrometres>(),
    reason: byDefault(text(), ''),
    /** What it bears of the waste of its batch, once its piece is made. */
    scrapShare: byDefault(big<CostUnits>(), 0),
    spoilageShare: byDefault(big<CostUnits>(), 0),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    doneAt: instant(),
  },
  {
    batch: belongsTo(Batch, 'batchId'),
    spec: belongsTo(WireSpecRow, 'specId'),
    source: belongsTo(StockPiece, 'sourceId'),
    cut: mayBelongTo(StockPiece, 'cutId'),
    user: belongsTo(User, 'userId'),
  },
);

/** A finished piece of a batch. */
export const BatchPiece = table(
  'batch_pieces',
  {
    batchId: key(uuid<'batch'>()),
    line: key(int()),
    piece: key(int()),
    pieceId: uuid<'piece'>(),
  },
  {
    batch: belongsTo(Batch, 'batchId'),
    made: belongsTo(Piece, 'pieceId'),
  },
);

/** How the wires of one spec are to be cut for a batch. */
export const CuttingPlanRow = table(
  'cutting_plans',
  {
    batchId: key(uuid<'batch'>()),
    specId: key(uuid<'article'>()),
    plan: json<CuttingPlanKept>(),
    madeAt: instant(),
  },
  {
    batch: belongsTo(Batch, 'batchId'),
    spec: belongsTo(WireSpecRow, 'specId'),
  },
);

/** Stock that is set aside: for a batch, or by hand with a note. */
export const Reservation = table(
  'reservations',
  {
    reservationId: byDefault(key(uuid<'reservation'>()), DataTypes.UUIDV4),
    batchId: byDefault(maybe(uuid<'batch'>()), null),
    stockPieceId: uuid<'stock piece'>(),
    quantity: big(),
    purpose: text<Purpose>(),
    note: byDefault(text(), ''),
  },
  {
    batch: mayBelongTo(Batch, 'batchId'),
    stockPiece: belongsTo(StockPiece, 'stockPieceId'),
  },
);

/** What a batch has lost of what was reserved for it: its plan is out of date. */
export const ReservationLoss = table(
  'reservation_losses',
  {
    batchId: key(uuid<'batch'>()),
    reason: text(),
  },
  {
    batch: belongsTo(Batch, 'batchId'),
  },
);

/** A part of patterns by its name, and the article that it is in this studio. */
export const PartName = table(
  'part_names',
  {
    /** As {@link partKey} writes it. */
    name: key(text()),
    articleId: uuid<'article'>(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** When the bench is worked at. */
export const BenchHoursRow = table('bench_hours', {
  /** Minutes of the days of the week, Monday first. */
  weekly: many(int()),
  /** Calendar days, ISO. */
  daysOff: byDefault(many(date()), []),
  version: byDefault(int(), 1),
});
