import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';

/** So much of a stock piece, for a batch. */
export interface SetAsideStock {
  readonly id: string;
  readonly quantity: number;
}

/** In SQL over stock_pieces p: what of it is set aside for other batches than $3, or for any when $3 is null. */
export const SET_ASIDE_FOR_OTHERS = `COALESCE((SELECT sum(o.quantity) FROM set_asides o WHERE o.studio_id = p.studio_id
  AND o.stock_piece_id = p.stock_piece_id AND o.batch_id IS DISTINCT FROM $3::uuid), 0)::bigint`;

/**
 * In SQL over set_asides s: whether it is a wire that was cut for its batch and that no piece is made of yet. What is left of such a
 * wire once its piece is made is wire like any other.
 */
export const IN_TRAY = `EXISTS (SELECT FROM batch_cuts c WHERE c.studio_id = s.studio_id AND c.batch_id = s.batch_id AND c.cut_id = s.stock_piece_id
  AND c.kind = 'cut' AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = c.studio_id AND b.batch_id = c.batch_id AND b.line = c.line
                                        AND b.piece = c.piece))`;

/** Sets stock aside for a batch, beside what is set aside for it already. */
export async function setAsideFor(tx: Tx, batchId: string, stock: readonly SetAsideStock[]): Promise<void> {
  const there = stock.filter(({ quantity }) => quantity > 0);
  if (there.length === 0) return;
  await tx.run(
    `INSERT INTO set_asides (studio_id, batch_id, stock_piece_id, quantity)
     SELECT $1, $2, id, quantity FROM unnest($3::uuid[], $4::bigint[]) AS v(id, quantity)
     ON CONFLICT (studio_id, stock_piece_id, batch_id) DO UPDATE SET quantity = set_asides.quantity + excluded.quantity`,
    [tx.session.studioId, batchId, there.map(({ id }) => id), there.map(({ quantity }) => quantity)],
  );
}

/** Sets a stone aside for a batch; its own page says so too. */
export async function setStoneAside(
  tx: Tx,
  batch: { readonly id: string; readonly number: number; readonly name: string },
  stone: { readonly id: string; readonly articleId: string },
): Promise<void> {
  await setAsideFor(tx, batch.id, [{ id: stone.id, quantity: 1 }]);
  await tx.run('UPDATE stones SET set_aside_for = $3 WHERE studio_id = $1 AND article_id = $2', [
    tx.session.studioId,
    stone.articleId,
    `${tag('batch', batch.number)} ${batch.name}`.slice(0, 120),
  ]);
}

/** Sets so much of a stock piece aside for a batch, whatever was set aside of it for the batch before. */
export async function setAsideExactly(
  tx: Tx,
  batchId: string,
  { id, quantity }: SetAsideStock,
): Promise<void> {
  await tx.run('DELETE FROM set_asides WHERE studio_id = $1 AND batch_id = $2 AND stock_piece_id = $3', [
    tx.session.studioId,
    batchId,
    id,
  ]);
  await setAsideFor(tx, batchId, [{ id, quantity }]);
}

/** Sets everything free again that was set aside for a batch, its stones too. */
export async function releaseAll(tx: Tx, batchId: string): Promise<void> {
  const bind = [tx.session.studioId, batchId];
  await tx.run(
    `UPDATE stones t SET set_aside_for = '' FROM set_asides s
       JOIN stock_pieces p ON p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id
      WHERE s.studio_id = $1 AND s.batch_id = $2 AND t.studio_id = $1 AND t.article_id = p.article_id`,
    bind,
  );
  await tx.run('DELETE FROM set_asides WHERE studio_id = $1 AND batch_id = $2', bind);
}

/**
 * Sets the wire free that is to be cut for a batch; what is cut already and what is picked stays set aside.
 * @param specIds only of these; of all when left out
 */
export async function releaseUncut(tx: Tx, batchId: string, specIds?: readonly string[]): Promise<void> {
  await tx.run(
    `DELETE FROM set_asides s USING stock_pieces p
      WHERE s.studio_id = $1 AND s.batch_id = $2 AND p.studio_id = $1 AND p.stock_piece_id = s.stock_piece_id AND p.ware = 'wire'
        AND ($3::uuid[] IS NULL OR p.article_id = ANY ($3)) AND NOT ${IN_TRAY}`,
    [tx.session.studioId, batchId, specIds ?? null],
  );
}

/**
 * Lets go of stock that is set aside but not there any more, or became something else: whatever took it, a batch is not to count on
 * it. Batches that lose some of theirs have to be planned again, and say so.
 * @param turned those of them that are another article now
 */
export async function letGoOfTooMuch(
  tx: Tx,
  stockPieceIds: readonly string[],
  turned: readonly string[],
): Promise<void> {
  await tx.run(
    `WITH over AS (
       SELECT s.stock_piece_id FROM set_asides s JOIN stock_pieces p ON p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id
        WHERE s.studio_id = $1 AND s.stock_piece_id = ANY ($2) GROUP BY s.stock_piece_id, p.quantity
       HAVING sum(s.quantity) > p.quantity OR s.stock_piece_id = ANY ($3)),
     gone AS (
       DELETE FROM set_asides s USING over WHERE s.studio_id = $1 AND s.stock_piece_id = over.stock_piece_id RETURNING s.batch_id)
     UPDATE batches b SET planning = 'stale', planning_key = NULL,
            planning_said = 'Stock that was set aside for it is not there any more.'
      WHERE b.studio_id = $1 AND b.batch_id IN (SELECT batch_id FROM gone)`,
    [tx.session.studioId, stockPieceIds, turned],
  );
}

/** What of some stock pieces is set aside, for other batches than one; pieces of which nothing is are left out. */
export async function setAsideOf(
  tx: Tx,
  stockPieceIds: readonly string[],
  batchId: string | null,
): Promise<Map<string, number>> {
  const rows = await tx.select<{ id: string; quantity: number }>(
    `SELECT stock_piece_id AS id, sum(quantity)::bigint AS quantity FROM set_asides
      WHERE studio_id = $1 AND stock_piece_id = ANY ($2) AND batch_id IS DISTINCT FROM $3::uuid GROUP BY 1`,
    [tx.session.studioId, stockPieceIds, batchId],
  );
  return new Map(rows.map(({ id, quantity }) => [id, quantity]));
}

/** Takes so much of a stock piece off what is set aside of it for a batch: it is used. */
export async function lessAside(tx: Tx, batchId: string, id: string, quantity: number): Promise<void> {
  const bind = [tx.session.studioId, batchId, id, quantity];
  await tx.run(
    'DELETE FROM set_asides WHERE studio_id = $1 AND batch_id = $2 AND stock_piece_id = $3 AND quantity <= $4',
    bind,
  );
  await tx.run(
    'UPDATE set_asides SET quantity = quantity - $4 WHERE studio_id = $1 AND batch_id = $2 AND stock_piece_id = $3',
    bind,
  );
}
