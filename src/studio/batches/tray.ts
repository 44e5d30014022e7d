import type { Id } from '@/core/id';
import type { WireForm } from '@/core/stock/ware';
import { cutKey, type CutOfBatch } from '@/core/batch/batch';
import { tag } from '@/core/tag';
import { type Micrometres, um } from '@/core/units/length';
import { releaseStock, reserveCutWires } from '../reservations/reservations';
import { type RowIn } from '@/data/table';
import type { Tx } from '@/data/inStudio';
import { BatchCutRow, BatchPiece } from '@/data/models/batches';
import { forgetLostCutsSql, addActsSql, lockedBatchSql } from '@/data/sql/batches';
import { refused } from '../kernel/outcome';
import type { Planning } from '@/core/batch/batchState';

/** A batch that something is done for, locked. */
export interface LockedBatch {
  readonly id: Id<'batch'>;
  readonly number: number;
  readonly name: string;
  readonly planning: Planning;
  readonly version: number;
}

/** Locks a batch so that what is done for it is done one after the other. @throws Refused when it is not open */
export async function lockOpenBatch(tx: Tx, number: number): Promise<LockedBatch> {
  const row = await tx.row(lockedBatchSql, { number });
  if (!row) throw refused(`There is no batch ${tag('batch', number)}.`);
  const { state, ...batch } = row;
  if (state !== 'open') throw refused(`${tag('batch', number)} is not open any more. Nothing was posted.`);
  return batch;
}

/** Which piece of a batch it is. */
interface PieceOfLine {
  readonly batchId: Id<'batch'>;
  readonly line: number;
  readonly piece: number;
}

/** The number of the finished piece that a piece of a batch became; undefined while it was not made. */
export async function numberMade(tx: Tx, where: PieceOfLine): Promise<number | undefined> {
  const row = await tx.oneWith(BatchPiece, [], { made: ['number'] }, { where: { ...where } });
  return row?.made.number;
}

/** A wire that lies cut in the tray of a piece. */
export interface WireInTray {
  readonly cutIndex: number | null;
  readonly copy: number | null;
  readonly id: Id<'stock piece'>;
  readonly number: number;
  readonly specId: Id<'article'>;
  readonly form: WireForm;
  readonly length: Micrometres;
}

/** The wires in the tray of a piece, as they are counted. */
export async function wiresInTray(tx: Tx, where: PieceOfLine): Promise<WireInTray[]> {
  const rows = await tx.allWith(
    BatchCutRow,
    ['cutIndex', 'copy'],
    { cut: ['stockPieceId', 'number', 'articleId', 'form', 'quantity'] },
    { where: { ...where }, order: ['cutIndex', 'copy'] },
  );
  return rows.flatMap(({ cut, ...which }) =>
    cut
      ? [
          {
            ...which,
            id: cut.stockPieceId,
            number: cut.number,
            specId: cut.articleId,
            form: cut.form as WireForm,
            length: um(cut.quantity),
          },
        ]
      : [],
  );
}

/** A wire that was cut for a piece, or a mis-cut, for which there is none. */
export interface ActDone {
  readonly specId: Id<'article'>;
  readonly cut: (CutOfBatch & { readonly name: string; readonly planned: Micrometres }) | null;
  readonly sourceId: Id<'stock piece'>;
  /** The wire in the tray, or what a mis-cut left. */
  readonly cutId: Id<'stock piece'> | null;
  readonly length: Micrometres;
  readonly reason: string;
}

/** Something that was done at the cutting table. */
export interface Act extends ActDone {
  /** Its place in the order of what was done. */
  readonly act: number;
  readonly postKey: Id<'post'>;
}

interface BatchAct extends Act {
  readonly batchId: Id<'batch'>;
}

const WHICH_WIRE = ['line', 'piece', 'cutIndex', 'copy'] as const;

/** Which wire of its batch a row is of; null for a mis-cut. */
function wireOf({
  line,
  piece,
  cutIndex,
  copy,
}: Pick<RowIn<typeof BatchCutRow>, (typeof WHICH_WIRE)[number]>): CutOfBatch | null {
  return line === null || piece === null || cutIndex === null || copy === null
    ? null
    : { line, piece, cutIndex, copy };
}

const ACT_COLUMNS = [
  ...WHICH_WIRE,
  'batchId',
  'act',
  'specId',
  'name',
  'plannedUm',
  'sourceId',
  'cutId',
  'lengthUm',
  'reason',
  'postKey',
] as const;

function actOf({
  lengthUm: length,
  plannedUm,
  name,
  line,
  piece,
  cutIndex,
  copy,
  ...act
}: Pick<RowIn<typeof BatchCutRow>, (typeof ACT_COLUMNS)[number]>): BatchAct {
  const wire = wireOf({ line, piece, cutIndex, copy });
  return { ...act, length, cut: wire && { ...wire, name, planned: plannedUm ?? length } };
}

/** What was done last at the table for a batch, the last first: everything that was entered in one go. */
export async function lastActs(tx: Tx, batchId: Id<'batch'>): Promise<Act[]> {
  const last = await tx.one(BatchCutRow, ['postKey'], { where: { batchId }, order: [['act', 'DESC']] });
  if (!last) return [];
  const rows = await tx.all(BatchCutRow, ACT_COLUMNS, {
    where: { batchId, ...last },
    order: [['act', 'DESC']],
  });
  return rows.map(actOf);
}

/** What a posting did at the table, for whatever batch. */
export async function actsOfPost(tx: Tx, postKey: Id<'post'>): Promise<BatchAct[]> {
  const rows = await tx.all(BatchCutRow, ACT_COLUMNS, { where: { postKey }, order: [['act', 'DESC']] });
  return rows.map(actOf);
}

/** Writes down what was done at the table, in its order. */
export async function noteActs(
  tx: Tx,
  batchId: Id<'batch'>,
  postKey: Id<'post'>,
  acts: readonly ActDone[],
): Promise<void> {
  const { userId, now } = tx.session;
  const rows = acts.map(({ cut, ...act }, index) => ({
    ...cut,
    ...act,
    at: index + 1,
    kind: cut ? 'cut' : 'miscut',
  }));
  await tx.execute(addActsSql, { batchId, postKey, userId, doneAt: now, acts: rows });
}

/** Takes something that was done at the table out again; what it put into the tray is not set aside any more. */
export async function forgetAct(
  tx: Tx,
  batchId: Id<'batch'>,
  { act, cutId }: Pick<Act, 'act' | 'cutId'>,
): Promise<void> {
  if (cutId !== null) await releaseStock(tx, batchId, cutId);
  await tx.remove(BatchCutRow, { batchId, act });
}

/** How far a batch is. */
export interface Progress {
  /** Keys of the wires that are cut. */
  readonly cut: ReadonlySet<string>;
  /** The pieces of each line that are made; the first is 0. */
  readonly made: ReadonlyMap<number, ReadonlySet<number>>;
}

/** A batch of which nothing is cut or made. */
export const NOTHING_DONE: Progress = { cut: new Set(), made: new Map() };

/** How far some batches are, by id. */
export async function progressOf(tx: Tx, batchIds: readonly Id<'batch'>[]): Promise<Map<string, Progress>> {
  const cuts = await tx.all(BatchCutRow, ['batchId', ...WHICH_WIRE], {
    where: { batchId: [...batchIds], kind: 'cut' },
  });
  const pieces = await tx.all(BatchPiece, ['batchId', 'line', 'piece'], {
    where: { batchId: [...batchIds] },
  });
  const progress = new Map(
    batchIds.map((id) => [id, { cut: new Set<string>(), made: new Map<number, Set<number>>() }] as const),
  );
  for (const cut of cuts) {
    const wire = wireOf(cut);
    if (wire) progress.get(cut.batchId)?.cut.add(cutKey(wire));
  }
  for (const { batchId, line, piece } of pieces) {
    const made = progress.get(batchId)?.made;
    made?.set(line, (made.get(line) ?? new Set()).add(piece));
  }
  return progress;
}

/** How many pieces of each line are made. */
export const madeCounts = ({ made }: Progress): Map<number, number> =>
  new Map([...made].map(([line, pieces]) => [line, pieces.size]));

/**
 * Lays the wires that are cut for a batch aside for it again, as far as they are whole and free; the others count as not cut.
 * @returns how many are to be cut again
 */
export async function reserveTray(tx: Tx, batchId: Id<'batch'>): Promise<number> {
  const gone = await tx.rows(forgetLostCutsSql, { batchId });
  await reserveCutWires(tx, batchId);
  return gone.length;
}
