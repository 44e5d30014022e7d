import type { WireForm } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import { RESERVED_FOR_OTHERS, IN_TRAY } from './fragments';
import { big, bool, int, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Sets the wires that are cut for a batch and not made yet aside for it. */
export const reserveCutWiresSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: {},
  text: `INSERT INTO reservations (studio_id, batch_id, stock_piece_id, quantity, purpose)
     SELECT $studio, $batchId, c.cut_id, p.quantity, 'tray' FROM batch_cuts c JOIN stock_pieces p ON p.studio_id = $studio AND p.stock_piece_id = c.cut_id
      WHERE c.studio_id = $studio AND c.batch_id = $batchId AND c.kind = 'cut'
        AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = $studio AND b.batch_id = $batchId AND b.line = c.line AND b.piece = c.piece)
     ON CONFLICT (studio_id, stock_piece_id, batch_id) WHERE batch_id IS NOT NULL
     DO UPDATE SET quantity = excluded.quantity, purpose = excluded.purpose`,
});

/** What is free of some stock pieces for a batch. */
export const freeOfStockSql = statement({
  takes: { batchId: uuid<'batch'>(), ids: many(uuid<'stock piece'>()) },
  gives: { id: uuid<'stock piece'>(), free: big() },
  text: `SELECT p.stock_piece_id AS id, p.quantity - ${RESERVED_FOR_OTHERS} AS free FROM stock_pieces p
      WHERE p.studio_id = $studio AND p.stock_piece_id = ANY ($ids)`,
});

/** Beads and findings that a batch asks for and that are not set aside for it yet, as far as they are free: from the oldest packs. */
export const packsOfSql = statement({
  takes: { batchId: uuid<'batch'>(), articleIds: many(uuid<'article'>()) },
  gives: { id: uuid<'stock piece'>(), free: big(), own: big() },
  text: `SELECT p.stock_piece_id AS id, p.quantity - ${RESERVED_FOR_OTHERS} - COALESCE(s.quantity, 0) AS free, COALESCE(s.quantity, 0) AS own
         FROM stock_pieces p LEFT JOIN reservations s ON s.studio_id = p.studio_id AND s.stock_piece_id = p.stock_piece_id AND s.batch_id = $batchId
        WHERE p.studio_id = $studio AND p.article_id = ANY ($articleIds) AND p.quantity > 0 ORDER BY array_position($articleIds::uuid[], p.article_id), p.number FOR UPDATE OF p`,
});

/** Stock that cuts of these specs may be taken from, in the order it is offered. */
export const wiresToChooseFromSql = statement({
  takes: { specIds: many(uuid<'article'>()), batchId: maybe(uuid<'batch'>()), most: big() },
  gives: {
    id: uuid<'stock piece'>(),
    number: int(),
    specId: uuid<'article'>(),
    form: text<WireForm>(),
    length: big<Micrometres>(),
  },
  text: `SELECT c.* FROM unnest($specIds::uuid[]) AS wanted(spec_id) CROSS JOIN LATERAL (
       SELECT p.stock_piece_id AS id, p.number, p.article_id AS "specId", p.form, p.quantity - ${RESERVED_FOR_OTHERS} AS length
         FROM stock_pieces p
        WHERE p.studio_id = $studio AND p.article_id = wanted.spec_id AND p.quantity > 0 AND p.quantity > ${RESERVED_FOR_OTHERS}
        ORDER BY p.is_off_cut DESC, p.quantity LIMIT $most) AS c`,
});

/** How much of a wire of the rack is set aside for no batch; nothing of one that is not there. */
export const lengthFreeSql = statement({
  takes: { batchId: maybe(uuid<'batch'>()), stockPieceId: uuid<'stock piece'>() },
  gives: { length: big<Micrometres>() },
  text: `SELECT p.quantity - ${RESERVED_FOR_OTHERS} AS length FROM stock_pieces p
      WHERE p.studio_id = $studio AND p.stock_piece_id = $stockPieceId`,
});

/** Wires of some specs that are free for a batch: all but what is set aside for others, or cut already. */
export const freeWiresOfSql = statement({
  takes: { specIds: many(uuid<'article'>()), batchId: maybe(uuid<'batch'>()), most: big() },
  gives: {
    id: uuid<'stock piece'>(),
    specId: uuid<'article'>(),
    number: int(),
    form: text<WireForm>(),
    isOffCut: bool(),
    place: maybe(text()),
    /** What is free of it. */
    length: big<Micrometres>(),
  },
  text: `SELECT c.* FROM unnest($specIds::uuid[]) AS wanted(spec_id) CROSS JOIN LATERAL (
       SELECT * FROM (
         SELECT p.stock_piece_id AS id, p.article_id AS "specId", p.number, p.form, p.is_off_cut AS "isOffCut", l.name AS place,
                p.quantity - ${RESERVED_FOR_OTHERS} AS length
           FROM stock_pieces p LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
          WHERE p.studio_id = $studio AND p.article_id = wanted.spec_id AND p.quantity > 0
            AND NOT EXISTS (SELECT FROM reservations s WHERE s.studio_id = p.studio_id AND s.batch_id = $batchId AND s.stock_piece_id = p.stock_piece_id
                               AND ${IN_TRAY})) AS free
        WHERE length > 0 ORDER BY "isOffCut" DESC, length, number LIMIT $most) AS c`,
});

/** Sets stock aside for a batch, beside what is set aside for it already. */
export const reserveStockSql = statement({
  takes: {
    batchId: uuid<'batch'>(),
    purpose: text(),
    ids: many(uuid<'stock piece'>()),
    quantities: many(big()),
  },
  gives: {},
  text: `INSERT INTO reservations (studio_id, batch_id, stock_piece_id, quantity, purpose)
     SELECT $studio, $batchId, id, quantity, $purpose FROM unnest($ids::uuid[], $quantities::bigint[]) AS v(id, quantity)
     ON CONFLICT (studio_id, stock_piece_id, batch_id) WHERE batch_id IS NOT NULL
     DO UPDATE SET quantity = reservations.quantity + excluded.quantity`,
});

/** Single things that somebody sets aside by hand, each with what for. */
export const reserveByHandSql = statement({
  takes: { ids: many(uuid<'stock piece'>()), notes: many(text()) },
  gives: {},
  text: `INSERT INTO reservations (studio_id, stock_piece_id, quantity, purpose, note)
     SELECT $studio, id, 1, 'hand', note FROM unnest($ids::uuid[], $notes::text[]) AS v(id, note)
     ON CONFLICT (studio_id, stock_piece_id) WHERE batch_id IS NULL DO UPDATE SET note = excluded.note`,
});

/** Sets the wire free that is to be cut for a batch; what is cut already and what is picked stays set aside. */
export const releaseUncutSql = statement({
  takes: { batchId: uuid<'batch'>(), specIds: maybe(many(uuid<'article'>())) },
  gives: {},
  text: `DELETE FROM reservations s USING stock_pieces p
      WHERE s.studio_id = $studio AND s.batch_id = $batchId AND p.studio_id = $studio AND p.stock_piece_id = s.stock_piece_id AND p.ware = 'wire'
        AND ($specIds::uuid[] IS NULL OR p.article_id = ANY ($specIds)) AND NOT ${IN_TRAY}`,
});

/** Lets go of stock that is set aside but not there any more, or became something else: whatever took it, a batch is not to count on it. What batches lose by it is written down. */
export const releaseExcessSql = statement({
  takes: { ids: many(uuid<'stock piece'>()), turned: many(uuid<'stock piece'>()), reason: text() },
  gives: {},
  text: `WITH over AS (
       SELECT s.stock_piece_id FROM reservations s JOIN stock_pieces p ON p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id
        WHERE s.studio_id = $studio AND s.stock_piece_id = ANY ($ids) GROUP BY s.stock_piece_id, p.quantity
       HAVING sum(s.quantity) > p.quantity OR s.stock_piece_id = ANY ($turned)),
     gone AS (
       DELETE FROM reservations s USING over WHERE s.studio_id = $studio AND s.stock_piece_id = over.stock_piece_id RETURNING s.batch_id)
     INSERT INTO reservation_losses (studio_id, batch_id, reason) SELECT DISTINCT $studio::uuid, batch_id, $reason FROM gone WHERE batch_id IS NOT NULL
     ON CONFLICT (studio_id, batch_id) DO UPDATE SET reason = excluded.reason`,
});

/** What of some stock pieces is set aside, by hand or for other batches than one; pieces of which nothing is are left out. */
export const reservedOfStockSql = statement({
  takes: { ids: many(uuid<'stock piece'>()), batchId: maybe(uuid<'batch'>()) },
  gives: { id: uuid<'stock piece'>(), quantity: big() },
  text: `SELECT stock_piece_id AS id, sum(quantity)::bigint AS quantity FROM reservations
      WHERE studio_id = $studio AND stock_piece_id = ANY ($ids) AND (batch_id IS NULL OR batch_id IS DISTINCT FROM $batchId::uuid) GROUP BY 1`,
});

/** Empties the tray of a piece that is made; call it before its wires are posted. A batch whose last piece it was is made. */
export const emptyTraySql = statement({
  takes: { batchId: uuid<'batch'>(), line: int(), piece: int() },
  gives: {},
  text: `DELETE FROM reservations s USING batch_cuts c WHERE s.studio_id = $studio AND s.batch_id = $batchId AND c.studio_id = $studio AND c.batch_id = $batchId
        AND c.line = $line AND c.piece = $piece AND s.stock_piece_id = c.cut_id`,
});
