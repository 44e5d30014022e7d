import { cost } from '@/core/units/money';
import { setBatch } from '../batches/batchRecord';
import type { Tx } from '@/data/inStudio';
import { BatchCutRow, BatchPiece } from '@/data/models/batches';
import type { BatchState } from '../batches/batches.input';
import { dropPlans } from '../batches/plansKept';
import { noteLoss, reserve, type ReservedStock } from '../reservations/reservations';
import { actsOfPost, forgetAct, reserveTray } from '../batches/tray';

/** When a posting is taken back in the ledger: what was cut for a batch by it counts as not cut, and has to be planned again. */
export async function batchForgets(tx: Tx, postKey: string): Promise<void> {
  for (const { batchId, ...act } of await actsOfPost(tx, postKey)) {
    await forgetAct(tx, batchId, act);
    await dropPlans(tx, batchId, [act.specId]);
    await noteLoss(tx, batchId, 'What was cut for it was taken back in the ledger.');
  }
}

const MAKING_TAKEN_BACK =
  'The making of a piece was taken back: what its wires had become was planned for others.';

/** When the making of a piece of a batch is taken back: the piece is to be made again, of what lies in the tray again. */
export async function batchRemembers(tx: Tx, pieceId: string): Promise<void> {
  const { studioId } = tx.session;
  const made = await tx.first<{
    batchId: string;
    state: BatchState;
    line: number;
    piece: number;
  }>(
    `SELECT m.batch_id AS "batchId", b.state, m.line, m.piece FROM batch_pieces m
       JOIN batches b ON b.studio_id = m.studio_id AND b.batch_id = m.batch_id
      WHERE m.studio_id = $1 AND m.piece_id = $2 FOR UPDATE`,
    [studioId, pieceId],
  );
  if (!made) return;
  const { batchId, state, line, piece } = made;
  // What was left of its wires may be planned for another wire of the batch; it goes back into the tray.
  const planned = await tx.select<{ specId: string }>(
    `SELECT DISTINCT p.article_id AS "specId" FROM batch_cuts c
       JOIN reservations s ON s.studio_id = c.studio_id AND s.batch_id = c.batch_id AND s.stock_piece_id = c.cut_id
       JOIN stock_pieces p ON p.studio_id = c.studio_id AND p.stock_piece_id = c.cut_id
      WHERE c.studio_id = $1 AND c.batch_id = $2 AND c.line = $3 AND c.piece = $4 AND c.kind = 'cut'`,
    [studioId, batchId, line, piece],
  );
  if (planned.length > 0)
    await dropPlans(
      tx,
      batchId,
      planned.map(({ specId }) => specId),
    );
  await tx.remove(BatchPiece, { pieceId });
  await tx.change(BatchCutRow, { batchId, line, piece }, { scrapShare: cost(0), spoilageShare: cost(0) });
  // Nothing is set aside for a batch that was cancelled meanwhile.
  if (state === 'cancelled') return;
  await setBatch(tx, batchId, { state: 'open' });
  const toCutAgain = await reserveTray(tx, batchId);
  if (planned.length + toCutAgain > 0) await noteLoss(tx, batchId, MAKING_TAKEN_BACK);
  const parts = await tx.select<ReservedStock>(
    `SELECT m.stock_piece_id AS id, sum(m.quantity)::bigint AS quantity FROM movements m
       JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
      WHERE m.studio_id = $1 AND m.piece_id = $2 AND m.kind = 'used' AND m.reverses IS NOT NULL AND a.ware <> 'supply' GROUP BY 1`,
    [studioId, pieceId],
  );
  await reserve(tx, batchId, 'picked', parts);
}
