import type { Id } from '@/core/id';
import type { Purpose } from '@/core/batch/batchState';
import { atMost } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Reservation, ReservationLoss } from '@/data/models/batches';
import {
  reservedOfStockSql,
  releaseExcessSql,
  releaseUncutSql,
  reserveByHandSql,
  reserveStockSql,
  reserveCutWiresSql,
  emptyTraySql,
} from '@/data/sql/reservations';

/** So much of a stock piece, for a batch. */
export interface ReservedStock {
  readonly id: Id<'stock piece'>;
  readonly quantity: number;
}

/** Sets stock aside for a batch, beside what is set aside for it already. */
export async function reserve(
  tx: Tx,
  batchId: Id<'batch'>,
  purpose: Exclude<Purpose, 'hand'>,
  stock: readonly ReservedStock[],
): Promise<void> {
  const there = stock.filter(({ quantity }) => quantity > 0);
  if (there.length === 0) return;
  await tx.execute(reserveStockSql, {
    batchId,
    ids: there.map(({ id }) => id),
    quantities: there.map(({ quantity }) => quantity),
    purpose,
  });
}

/** Sets a stone aside for a batch. */
export const reserveStone = (tx: Tx, batchId: Id<'batch'>, stoneId: Id<'stock piece'>): Promise<void> =>
  reserve(tx, batchId, 'picked', [{ id: stoneId, quantity: 1 }]);

/** Single things that somebody sets aside by hand, each with what for. */
export async function reserveByHand(
  tx: Tx,
  things: readonly { readonly id: Id<'stock piece'>; readonly note: string }[],
): Promise<void> {
  if (things.length === 0) return;
  await tx.execute(reserveByHandSql, {
    ids: things.map(({ id }) => id),
    notes: things.map(({ note }) => note),
  });
}

/** Sets free what was set aside by hand. */
export const releaseByHand = (tx: Tx, id: Id<'stock piece'>): Promise<unknown> =>
  tx.remove(Reservation, { batchId: null, stockPieceId: id });

/** Sets so much of a wire aside to be cut for a batch, whatever was set aside of it for the batch before. */
export async function reserveExactly(
  tx: Tx,
  batchId: Id<'batch'>,
  { id, quantity }: ReservedStock,
): Promise<void> {
  await tx.remove(Reservation, { batchId, stockPieceId: id });
  await reserve(tx, batchId, 'planned', [{ id, quantity }]);
}

/** Sets everything free again that was set aside for a batch; nothing counts as lost then. */
export async function releaseAll(tx: Tx, batchId: Id<'batch'>): Promise<void> {
  await tx.remove(Reservation, { batchId });
  await forgetLoss(tx, batchId);
}

/**
 * Sets the wire free that is to be cut for a batch; what is cut already and what is picked stays set aside.
 * @param specIds only of these; of all when left out
 */
export async function releaseUncut(
  tx: Tx,
  batchId: Id<'batch'>,
  specIds?: readonly Id<'article'>[],
): Promise<void> {
  await tx.execute(releaseUncutSql, { batchId, specIds: specIds ?? null });
}

/**
 * Lets go of stock that is set aside but not there any more, or became something else: whatever took it, a batch is not to count on
 * it. What batches lose by it is written down.
 * @param turned those of them that are another article now
 */
export async function releaseExcess(
  tx: Tx,
  stockPieceIds: readonly Id<'stock piece'>[],
  turned: readonly string[],
): Promise<void> {
  await tx.execute(releaseExcessSql, { ids: stockPieceIds, turned, reason: NOT_THERE });
}

const NOT_THERE = 'Stock that was set aside for it is not there any more.';

/** Writes down that a batch has lost what it counted on, and why. */
export const noteLoss = (tx: Tx, batchId: Id<'batch'>, reason: string): Promise<unknown> =>
  tx.put(ReservationLoss, [{ batchId, reason }], ['reason']);

/** Forgets what a batch has lost: it is planned anew. @returns whether it had lost anything */
export async function forgetLoss(tx: Tx, batchId: Id<'batch'>): Promise<boolean> {
  const lost = await tx.remove(ReservationLoss, { batchId });
  return lost > 0;
}

/** What of some stock pieces is set aside, by hand or for other batches than one; pieces of which nothing is are left out. */
export async function reservedOf(
  tx: Tx,
  stockPieceIds: readonly Id<'stock piece'>[],
  batchId: Id<'batch'> | null,
): Promise<Map<string, number>> {
  const rows = await tx.rows(reservedOfStockSql, { ids: stockPieceIds, batchId });
  return new Map(rows.map(({ id, quantity }) => [id, quantity]));
}

/** Takes so much of a stock piece off what is set aside of it for a batch: it is used. */
export async function takeReserved(
  tx: Tx,
  batchId: Id<'batch'>,
  id: string,
  quantity: number,
): Promise<void> {
  await tx.remove(Reservation, { batchId, stockPieceId: id, quantity: atMost(quantity) });
  await Reservation.decrement({ quantity }, { where: { batchId, stockPieceId: id } });
}

/** Sets a stock piece free that was set aside for a batch. */
export const releaseStock = (
  tx: Tx,
  batchId: Id<'batch'>,
  stockPieceId: Id<'stock piece'>,
): Promise<unknown> => tx.remove(Reservation, { batchId, stockPieceId });

/** Sets the wires aside for a batch that are cut for it and of which no piece is made yet. */
export const reserveCutWires = (tx: Tx, batchId: Id<'batch'>): Promise<void> =>
  tx.execute(reserveCutWiresSql, { batchId });

/** Sets the wires free that were cut for a piece of a batch: they are in the piece. */
export const emptyTray = (
  tx: Tx,
  piece: { readonly batchId: Id<'batch'>; readonly line: number; readonly piece: number },
): Promise<void> => tx.execute(emptyTraySql, piece);
