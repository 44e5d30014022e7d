import type { Id } from '@/core/id';
import type { PieceState } from '@/core/selling/life';
import type { Tx } from '@/data/inStudio';
import { PieceEvent } from '@/data/models/selling';
import { orderedPiecesSql } from '@/data/sql/orders';

/**
 * Whom pieces are kept for: who ordered them, or for whom they are reserved, a name that may be empty; null for what is kept for nobody.
 * @returns what answers for one of them
 */
export async function keptFor<Row extends { readonly pieceId: Id<'piece'>; readonly state: PieceState }>(
  tx: Tx,
  rows: readonly Row[],
): Promise<(row: Row) => string | null> {
  const reserved = rows.filter(({ state }) => state === 'reserved').map(({ pieceId }) => pieceId);
  const events =
    reserved.length === 0
      ? []
      : await tx.all(PieceEvent, ['pieceId', 'who'], {
          where: { pieceId: reserved, turn: 'reserved', undoes: null },
          order: ['eventId'],
        });
  const last = new Map(events.map(({ pieceId, who }) => [pieceId, who]));
  const ordered = await tx.rows(orderedPiecesSql, { pieceIds: rows.map(({ pieceId }) => pieceId) });
  const by = new Map(ordered.map(({ pieceId, buyer }) => [pieceId, buyer]));
  return ({ pieceId, state }) => by.get(pieceId) ?? (state === 'reserved' ? (last.get(pieceId) ?? '') : null);
}
