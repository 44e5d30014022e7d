import type { StockLength } from '@/core/cuttingStock/propose';
import type { WireForm } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { IN_TRAY, RESERVED_FOR_OTHERS } from './reservations';

/** A length on the rack as far as it is free for a batch. */
export interface FreeWire extends StockLength {
  readonly number: number;
  readonly form: WireForm;
  readonly place: string | null;
  /** What is free of it. */
  readonly length: Micrometres;
}

/** Off-cuts and spools of a spec that are looked at: the shortest off-cuts first, since the tin is to be emptied. */
const MOST_PER_SPEC = 400;

/** Wires of some specs that are free for a batch: all but what is set aside for others, or cut already. @param batchId null for no batch */
export const freeWires = (tx: Tx, specIds: readonly string[], batchId: string | null): Promise<FreeWire[]> =>
  tx.select<FreeWire>(
    `SELECT c.* FROM unnest($2::uuid[]) AS wanted(spec_id) CROSS JOIN LATERAL (
       SELECT * FROM (
         SELECT p.stock_piece_id AS id, p.article_id AS "specId", p.number, p.form, p.is_off_cut AS "isOffCut", l.name AS place,
                p.quantity - ${RESERVED_FOR_OTHERS} AS length
           FROM stock_pieces p LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
          WHERE p.studio_id = $1 AND p.article_id = wanted.spec_id AND p.quantity > 0
            AND NOT EXISTS (SELECT FROM reservations s WHERE s.studio_id = p.studio_id AND s.batch_id = $3 AND s.stock_piece_id = p.stock_piece_id
                               AND ${IN_TRAY})) AS free
        WHERE length > 0 ORDER BY "isOffCut" DESC, length, number LIMIT ${MOST_PER_SPEC}) AS c`,
    [tx.session.studioId, [...new Set(specIds)], batchId],
  );
