import type { Id } from '@/core/id';
import { sayDay } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import { cost } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { movedSinceSql, movementsOfPostSql } from '@/data/sql/ledger';
import { refused } from '../kernel/outcome';
import { lockStock, Posting } from './posting';

/** A movement that is to be taken back. */
export type Undone = RowOf<typeof movementsOfPostSql>;

/** Everything that was posted under a key. */
export const movementsOf = (tx: Tx, postKey: Id<'post'>): Promise<Undone[]> =>
  tx.rows(movementsOfPostSql, { postKey });

/**
 * Meets every movement of a posting by its exact opposite, so that what moves together is undone together.
 * @throws Refused when what the posting brought in has been used since, or has become another wire
 */
export async function takeBack(
  tx: Tx,
  postKey: Id<'post'>,
  movements: readonly Undone[],
  reason: string,
): Promise<void> {
  if (movements.some(({ reverses }) => reverses !== null))
    throw refused('This takes something back itself; post the thing anew instead.');
  if (movements.some(({ reversed }) => reversed))
    throw refused('This was taken back already. Nothing was posted.');
  await refuseUsedSince(tx, movements);
  const stock = await lockStock(
    tx,
    movements.map(({ stockPieceId }) => stockPieceId),
  );
  const pieceId = movements.find((each) => each.pieceId !== null)?.pieceId ?? null;
  const batchId = movements.find((each) => each.batchId !== null)?.batchId ?? null;
  const posting = new Posting(tx, postKey, { pieceId, batchId }).hold(...stock.values());
  // Last first, so that a relabelled wire goes back through what it was.
  for (const { id, kind, stockPieceId, articleId, quantity, cost: amount, lotId } of movements.toReversed()) {
    posting.enter(stockPieceId, kind, -quantity, cost(0 - amount), {
      reason,
      lotId,
      reverses: id,
      articleId,
    });
  }
  await posting.commit();
}

/**
 * What the posting took may always be put back; what it brought must still be there whole. Movements that were taken back
 * themselves do not count, nor what fell into the same jar later.
 */
async function refuseUsedSince(tx: Tx, movements: readonly Undone[]): Promise<void> {
  const last = movements.at(-1)?.id ?? 0;
  const touched = (pick: (each: Undone) => boolean) => [
    ...new Set(movements.filter(pick).map(({ stockPieceId }) => stockPieceId)),
  ];
  const later = await tx.row(movedSinceSql, {
    last,
    gained: touched(({ quantity }) => quantity > 0),
    lost: touched(({ quantity }) => quantity < 0),
  });
  if (!later) return;
  const became =
    later.pieceNumber === null ? later.kind : `${later.kind} for ${tag('piece', later.pieceNumber)}`;
  throw refused(
    `${tag(later.ware, later.number)} has been used since (${became} on ${sayDay(later.day, 'day')}). Take that back first. Nothing was posted.`,
  );
}
