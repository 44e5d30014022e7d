import { cutKey, type CutOfBatch } from '@/core/batch/batch';
import { tag } from '@/core/tag';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { refused } from '../kernel/outcome';
import { PLANNING, type Planning } from './planning';

/** A batch that something is done for, locked. */
export interface LockedBatch {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly planning: Planning;
}

/** Locks a batch so that what is done for it is done one after the other. @throws Refused when it is not open */
export async function lockOpenBatch(tx: Tx, number: number): Promise<LockedBatch> {
  const row = await tx.first<LockedBatch & { state: string }>(
    `SELECT b.batch_id AS id, b.number, b.name, ${PLANNING} AS planning, b.state FROM batches b WHERE b.studio_id = $1 AND b.number = $2 FOR UPDATE`,
    [tx.session.studioId, number],
  );
  if (!row) throw refused(`There is no batch ${tag('batch', number)}.`);
  const { state, ...batch } = row;
  if (state !== 'open') throw refused(`${tag('batch', number)} is not open any more. Nothing was posted.`);
  return batch;
}

/** A wire that was cut for a piece, or a mis-cut, for which there is none. */
export interface ActDone {
  readonly specId: string;
  readonly cut: (CutOfBatch & { readonly name: string; readonly planned: Micrometres }) | null;
  readonly sourceId: string;
  /** The wire in the tray, or what a mis-cut left. */
  readonly cutId: string | null;
  readonly length: Micrometres;
  readonly reason: string;
}

/** Something that was done at the cutting table. */
export interface Act extends ActDone {
  /** Its place in the order of what was done. */
  readonly act: number;
  readonly postKey: string;
}

interface BatchAct extends Act {
  readonly batchId: string;
}

interface ActRow extends Omit<BatchAct, 'cut'> {
  readonly kind: 'cut' | 'miscut';
  readonly line: number;
  readonly piece: number;
  readonly cutIndex: number;
  readonly copy: number;
  readonly name: string;
  readonly planned: Micrometres;
}

const ACT_COLUMNS = `act, kind, spec_id AS "specId", line, piece, cut_index AS "cutIndex", copy, name, planned_um AS planned, source_id AS "sourceId",
  cut_id AS "cutId", length_um AS length, reason, post_key AS "postKey", batch_id AS "batchId"`;

function actOf({ kind, line, piece, cutIndex, copy, name, planned, ...act }: ActRow): BatchAct {
  return { ...act, cut: kind === 'cut' ? { line, piece, cutIndex, copy, name, planned } : null };
}

/** What was done last at the table for a batch, the last first: everything that was entered in one go. */
export async function lastActs(tx: Tx, batchId: string): Promise<Act[]> {
  const rows = await tx.select<ActRow>(
    `SELECT ${ACT_COLUMNS} FROM batch_cuts WHERE studio_id = $1 AND batch_id = $2
        AND post_key = (SELECT post_key FROM batch_cuts WHERE studio_id = $1 AND batch_id = $2 ORDER BY act DESC LIMIT 1)
      ORDER BY act DESC`,
    [tx.session.studioId, batchId],
  );
  return rows.map(actOf);
}

/** What a posting did at the table, for whatever batch. */
export async function actsOfPost(tx: Tx, postKey: string): Promise<BatchAct[]> {
  const rows = await tx.select<ActRow>(
    `SELECT ${ACT_COLUMNS} FROM batch_cuts WHERE studio_id = $1 AND post_key = $2 ORDER BY act DESC`,
    [tx.session.studioId, postKey],
  );
  return rows.map(actOf);
}

/** Writes down what was done at the table, in its order. */
export async function noteActs(
  tx: Tx,
  batchId: string,
  postKey: string,
  acts: readonly ActDone[],
): Promise<void> {
  const { studioId, userId, now } = tx.session;
  const rows = acts.map(({ cut, ...act }, index) => ({
    ...cut,
    ...act,
    at: index + 1,
    kind: cut ? 'cut' : 'miscut',
  }));
  await tx.run(
    `INSERT INTO batch_cuts (studio_id, batch_id, act, kind, spec_id, line, piece, cut_index, copy, name, planned_um, source_id, cut_id,
                             length_um, reason, post_key, user_id, done_at)
     SELECT $1, $2, (SELECT COALESCE(max(act), 0) FROM batch_cuts WHERE studio_id = $1 AND batch_id = $2) + r.at, r.kind, r."specId", r.line,
            r.piece, r."cutIndex", r.copy, COALESCE(r.name, ''), r.planned, r."sourceId", r."cutId", r.length, r.reason, $3, $4, $5
       FROM jsonb_to_recordset($6::jsonb) AS r(at int, kind text, "specId" uuid, line int, piece int, "cutIndex" int, copy int, name text,
              planned bigint, "sourceId" uuid, "cutId" uuid, length bigint, reason text)`,
    [studioId, batchId, postKey, userId, now, JSON.stringify(rows)],
  );
}

/** Takes something that was done at the table out again; what it put into the tray is not set aside any more. */
export async function forgetAct(
  tx: Tx,
  batchId: string,
  { act, cutId }: Pick<Act, 'act' | 'cutId'>,
): Promise<void> {
  const { studioId } = tx.session;
  await tx.run('DELETE FROM reservations WHERE studio_id = $1 AND batch_id = $2 AND stock_piece_id = $3', [
    studioId,
    batchId,
    cutId,
  ]);
  await tx.run('DELETE FROM batch_cuts WHERE studio_id = $1 AND batch_id = $2 AND act = $3', [
    studioId,
    batchId,
    act,
  ]);
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
export async function progressOf(tx: Tx, batchIds: readonly string[]): Promise<Map<string, Progress>> {
  const bind = [tx.session.studioId, batchIds];
  const cuts = await tx.select<CutOfBatch & { batchId: string }>(
    `SELECT batch_id AS "batchId", line, piece, cut_index AS "cutIndex", copy FROM batch_cuts
      WHERE studio_id = $1 AND batch_id = ANY ($2) AND kind = 'cut'`,
    bind,
  );
  const pieces = await tx.select<{ batchId: string; line: number; piece: number }>(
    'SELECT batch_id AS "batchId", line, piece FROM batch_pieces WHERE studio_id = $1 AND batch_id = ANY ($2)',
    bind,
  );
  const progress = new Map(
    batchIds.map((id) => [id, { cut: new Set<string>(), made: new Map<number, Set<number>>() }] as const),
  );
  for (const { batchId, ...cut } of cuts) progress.get(batchId)?.cut.add(cutKey(cut));
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
export async function reserveTray(tx: Tx, batchId: string): Promise<number> {
  const bind = [tx.session.studioId, batchId];
  const gone = await tx.select<{ act: number }>(
    `DELETE FROM batch_cuts c WHERE c.studio_id = $1 AND c.batch_id = $2 AND c.kind = 'cut'
        AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = $1 AND b.batch_id = $2 AND b.line = c.line AND b.piece = c.piece)
        AND NOT EXISTS (SELECT FROM stock_pieces p WHERE p.studio_id = $1 AND p.stock_piece_id = c.cut_id AND p.quantity >= c.length_um
                           AND p.article_id = c.spec_id
                           AND NOT EXISTS (SELECT FROM reservations s WHERE s.studio_id = $1 AND s.stock_piece_id = c.cut_id AND s.batch_id <> $2))
     RETURNING act`,
    bind,
  );
  await tx.run(
    `INSERT INTO reservations (studio_id, batch_id, stock_piece_id, quantity, purpose)
     SELECT $1, $2, c.cut_id, p.quantity, 'tray' FROM batch_cuts c JOIN stock_pieces p ON p.studio_id = $1 AND p.stock_piece_id = c.cut_id
      WHERE c.studio_id = $1 AND c.batch_id = $2 AND c.kind = 'cut'
        AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = $1 AND b.batch_id = $2 AND b.line = c.line AND b.piece = c.piece)
     ON CONFLICT (studio_id, stock_piece_id, batch_id) WHERE batch_id IS NOT NULL
     DO UPDATE SET quantity = excluded.quantity, purpose = excluded.purpose`,
    bind,
  );
  return gone.length;
}
