import type { Id } from '@/core/id';
import { otherThan, otherThanNone } from '@/data/conditions';
import { Movement } from '@/data/models/books';
import { BatchPiece } from '@/data/models/batches';
import { setBatch, forgetPieceMade } from '../batches/batchRecord';
import type { Tx } from '@/data/inStudio';
import { specsPlannedAgainSql } from '@/data/sql/batches';
import { dropPlans } from '../batches/plansKept';
import { noteLoss, reserve } from '../reservations/reservations';
import { actsOfPost, forgetAct, reserveTray } from '../batches/tray';

/** When a posting is taken back in the ledger: what was cut for a batch by it counts as not cut, and has to be planned again. */
export async function batchForgets(tx: Tx, postKey: Id<'post'>): Promise<void> {
  for (const { batchId, ...act } of await actsOfPost(tx, postKey)) {
    await forgetAct(tx, batchId, act);
    await dropPlans(tx, batchId, [act.specId]);
    await noteLoss(tx, batchId, 'What was cut for it was taken back in the ledger.');
  }
}

const MAKING_TAKEN_BACK =
  'The making of a piece was taken back: what its wires had become was planned for others.';

/** When the making of a piece of a batch is taken back: the piece is to be made again, of what lies in the tray again. */
export async function batchRemembers(tx: Tx, pieceId: Id<'piece'>): Promise<void> {
  const made = await tx.oneWith(
    BatchPiece,
    ['batchId', 'line', 'piece'],
    { batch: ['state'] },
    { where: { pieceId }, lock: true },
  );
  if (!made) return;
  const {
    batchId,
    line,
    piece,
    batch: { state },
  } = made;
  // What was left of its wires may be planned for another wire of the batch; it goes back into the tray.
  const planned = await tx.rows(specsPlannedAgainSql, { batchId, line, piece });
  if (planned.length > 0)
    await dropPlans(
      tx,
      batchId,
      planned.map(({ specId }) => specId),
    );
  await forgetPieceMade(tx, { batchId, line, piece });
  // Nothing is set aside for a batch that was cancelled meanwhile.
  if (state === 'cancelled') return;
  await setBatch(tx, batchId, { state: 'open' });
  const toCutAgain = await reserveTray(tx, batchId);
  if (planned.length + toCutAgain > 0) await noteLoss(tx, batchId, MAKING_TAKEN_BACK);
  await reserve(tx, batchId, 'picked', await partsGivenBack(tx, pieceId));
}

/** What came back into the drawers of a piece whose making was taken back; supplies are picked for nobody. */
async function partsGivenBack(
  tx: Tx,
  pieceId: Id<'piece'>,
): Promise<{ readonly id: Id<'stock piece'>; readonly quantity: number }[]> {
  const rows = await tx.allWith(
    Movement,
    ['stockPieceId', 'quantity'],
    { article: [] },
    { where: { pieceId, kind: 'used', reverses: otherThanNone, '$article.ware$': otherThan('supply') } },
  );
  const back = new Map<string, number>();
  for (const { stockPieceId, quantity } of rows)
    back.set(stockPieceId, (back.get(stockPieceId) ?? 0) + quantity);
  return [...back].map(([id, quantity]) => ({ id, quantity }));
}
