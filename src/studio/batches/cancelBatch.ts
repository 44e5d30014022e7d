import { stonesOfBatchSql } from '@/data/sql/batches';
import { tag } from '@/core/tag';
import { refused } from '../kernel/outcome';
import { acts } from '../kernel/posts';
import { batchNumbered } from './batches';
import { NOT_PLANNED, setBatch } from './batchRecord';
import { reserveStone } from '../reservations/reservations';
import { dropEverything } from './plansKept';
import { lockOpenBatch, reserveTray } from './tray';

/** Cancels a batch: everything that was set aside for it is free again; wires that are cut already are off-cuts now. */
export const cancelBatch = acts('cancelBatch', async ({ tx }, number: number) => {
  const batch = await lockOpenBatch(tx, number);
  await dropEverything(tx, batch.id);
  await setBatch(tx, batch.id, { state: 'cancelled', ...NOT_PLANNED, version: batch.version + 1 });
  return null;
});

/**
 * Takes a batch up again that was cancelled: its stones are set aside for it again, and the wires that were cut for it as far as they
 * are there still. Its cuts have to be planned again.
 */
export const takeUpAgain = acts('takeUpAgain', async ({ tx }, number: number) => {
  const batch = await batchNumbered(tx, number);
  if (batch?.state !== 'cancelled') throw refused('This batch is not cancelled. Nothing was changed.');
  await setBatch(tx, batch.id, { state: 'open', version: batch.version + 1 });
  const stones = await tx.rows(stonesOfBatchSql, { batchId: batch.id });
  const gone = stones.find(({ isFree }) => !isFree);
  if (gone) throw refused(`${tag('stone', gone.number)} is not free for it any more. Nothing was changed.`);
  for (const stone of stones) await reserveStone(tx, batch.id, stone.id);
  await reserveTray(tx, batch.id);
  return null;
});
