import { setBatch, forgetPieceMade } from '../batches/batchRecord';
import type { Tx } from '@/data/inStudio';
import { partsGivenBackSql } from '@/data/sql/ledger';
import { specsPlannedAgainSql, placeOfMadePieceSql } from '@/data/sql/batches';
import { dropPlans } from '../batches/plansKept';
import { noteLoss, reserve } from '../reservations/reservations';
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
  const made = await tx.row(placeOfMadePieceSql, { pieceId });
  if (!made) return;
  const { batchId, state, line, piece } = made;
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
  const parts = await tx.rows(partsGivenBackSql, { pieceId });
  await reserve(tx, batchId, 'picked', parts);
}
