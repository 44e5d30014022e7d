import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { BatchState, CutKind, PlanningState, Purpose, WantedLine } from '@/core/batch/batchState';
import type { CuttingPlanKept } from '@/core/batch/cuttingPlan';
import type { PatternBody } from '@/core/pattern/pattern';
import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import {
  day,
  days,
  id,
  json,
  keyId,
  keyNumber,
  keyText,
  maybe,
  moment,
  number,
  numbers,
  text,
  whole,
} from './columns';
import { StudioModel, tieTable } from './studioModel';

/** Several pieces that are made together. */
export class Batch extends StudioModel<InferAttributes<Batch>, InferCreationAttributes<Batch>> {
  declare batchId: string;
  declare number: number;
  declare name: string;
  /** Calendar day, ISO. */
  declare dueOn: string | null;
  declare notes: CreationOptional<string>;
  declare state: CreationOptional<BatchState>;
  declare planning: CreationOptional<PlanningState>;
  /** The form that asked for the plan that is being made. */
  declare planningKey: CreationOptional<string | null>;
  /** What the planner says of its work, or why it failed. */
  declare planningSaid: CreationOptional<string>;
  declare planningBeat: CreationOptional<Date | null>;
  declare userId: string;
  declare createdAt: Date;
  declare version: CreationOptional<number>;
}

/** So many pieces of a pattern, as they are to be made for a batch. */
export class BatchLineRow extends StudioModel<
  InferAttributes<BatchLineRow>,
  InferCreationAttributes<BatchLineRow>
> {
  declare batchId: string;
  declare line: number;
  declare patternId: string;
  declare revision: number;
  declare count: number;
  declare wanted: WantedLine;
  declare body: PatternBody;
  declare stoneId: string | null;
}

/** What was done at the cutting table for a batch. */
export class BatchCutRow extends StudioModel<
  InferAttributes<BatchCutRow>,
  InferCreationAttributes<BatchCutRow>
> {
  declare batchId: string;
  /** Its place in the order of what was done. */
  declare act: number;
  declare kind: CutKind;
  declare specId: string;
  /** Which wire of the batch it is; null for a mis-cut. */
  declare line: number | null;
  declare piece: number | null;
  declare cutIndex: number | null;
  declare copy: number | null;
  declare name: CreationOptional<string>;
  declare sourceId: string;
  /** The wire in the tray, or what a mis-cut left. */
  declare cutId: string | null;
  declare plannedUm: Micrometres | null;
  declare lengthUm: Micrometres;
  declare reason: CreationOptional<string>;
  /** What it bears of the waste of its batch, once its piece is made. */
  declare scrapShare: CreationOptional<CostUnits>;
  declare spoilageShare: CreationOptional<CostUnits>;
  declare postKey: string;
  declare userId: string;
  declare doneAt: Date;
}

/** A finished piece of a batch. */
export class BatchPiece extends StudioModel<
  InferAttributes<BatchPiece>,
  InferCreationAttributes<BatchPiece>
> {
  declare batchId: string;
  declare line: number;
  declare piece: number;
  declare pieceId: string;
}

/** How the wires of one spec are to be cut for a batch. */
export class CuttingPlanRow extends StudioModel<
  InferAttributes<CuttingPlanRow>,
  InferCreationAttributes<CuttingPlanRow>
> {
  declare batchId: string;
  declare specId: string;
  declare plan: CuttingPlanKept;
  declare madeAt: Date;
}

/** Stock that is set aside: for a batch, or by hand with a note. */
export class Reservation extends StudioModel<
  InferAttributes<Reservation>,
  InferCreationAttributes<Reservation>
> {
  declare reservationId: CreationOptional<string>;
  declare batchId: CreationOptional<string | null>;
  declare stockPieceId: string;
  declare quantity: number;
  declare purpose: Purpose;
  declare note: CreationOptional<string>;
}

/** What a batch has lost of what was reserved for it: its plan is out of date. */
export class ReservationLoss extends StudioModel<
  InferAttributes<ReservationLoss>,
  InferCreationAttributes<ReservationLoss>
> {
  declare batchId: string;
  declare reason: string;
}

/** A part of patterns by its name, and the article that it is in this studio. */
export class PartName extends StudioModel<InferAttributes<PartName>, InferCreationAttributes<PartName>> {
  /** As {@link partKey} writes it. */
  declare name: string;
  declare articleId: string;
}

/** When the bench is worked at. */
export class BenchHoursRow extends StudioModel<
  InferAttributes<BenchHoursRow>,
  InferCreationAttributes<BenchHoursRow>
> {
  /** Minutes of the days of the week, Monday first. */
  declare weekly: readonly number[];
  /** Calendar days, ISO. */
  declare daysOff: CreationOptional<readonly string[]>;
  declare version: CreationOptional<number>;
}

export function initBatchModels(sequelize: Sequelize): void {
  tieTable(sequelize, Batch, 'batches', {
    batchId: keyId(),
    number: number(),
    name: text(),
    dueOn: maybe(day()),
    notes: { ...text(), defaultValue: '' },
    state: { ...text(), defaultValue: 'open' },
    planning: { ...text(), defaultValue: 'none' },
    planningKey: maybe(id()),
    planningSaid: { ...text(), defaultValue: '' },
    planningBeat: maybe(moment()),
    userId: id(),
    createdAt: moment(),
    version: { ...number(), defaultValue: 1 },
  });
  tieTable(sequelize, BatchLineRow, 'batch_lines', {
    batchId: keyId(),
    line: keyNumber(),
    patternId: id(),
    revision: number(),
    count: number(),
    wanted: json(),
    body: json(),
    stoneId: maybe(id()),
  });
  tieTable(sequelize, BatchCutRow, 'batch_cuts', {
    batchId: keyId(),
    act: keyNumber(),
    kind: text(),
    specId: id(),
    line: maybe(number()),
    piece: maybe(number()),
    cutIndex: maybe(number()),
    copy: maybe(number()),
    name: { ...text(), defaultValue: '' },
    sourceId: id(),
    cutId: maybe(id()),
    plannedUm: maybe(whole()),
    lengthUm: whole(),
    reason: { ...text(), defaultValue: '' },
    scrapShare: { ...whole(), defaultValue: 0 },
    spoilageShare: { ...whole(), defaultValue: 0 },
    postKey: id(),
    userId: id(),
    doneAt: moment(),
  });
  tieTable(sequelize, BatchPiece, 'batch_pieces', {
    batchId: keyId(),
    line: keyNumber(),
    piece: keyNumber(),
    pieceId: id(),
  });
  tieTable(sequelize, CuttingPlanRow, 'cutting_plans', {
    batchId: keyId(),
    specId: keyId(),
    plan: json(),
    madeAt: moment(),
  });
  tieTable(sequelize, Reservation, 'reservations', {
    reservationId: { ...keyId(), defaultValue: DataTypes.UUIDV4 },
    batchId: maybe(id()),
    stockPieceId: id(),
    quantity: whole(),
    purpose: text(),
    note: { ...text(), defaultValue: '' },
  });
  tieTable(sequelize, ReservationLoss, 'reservation_losses', { batchId: keyId(), reason: text() });
  tieTable(sequelize, PartName, 'part_names', { name: keyText(), articleId: id() });
  tieTable(sequelize, BenchHoursRow, 'bench_hours', {
    weekly: numbers(),
    daysOff: { ...days(), defaultValue: [] },
    version: { ...number(), defaultValue: 1 },
  });
}
