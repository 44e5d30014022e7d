import { partKey } from '@/core/batch/batch';
import { isStonePart } from '@/core/batch/lineBody';
import type { StockLength } from '@/core/cutting/propose';
import type { WireForm } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { SET_ASIDE_FOR_OTHERS } from './setAsides';
import { IN_TRAY } from './tray';

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
                p.quantity - ${SET_ASIDE_FOR_OTHERS} AS length
           FROM stock_pieces p LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
          WHERE p.studio_id = $1 AND p.article_id = wanted.spec_id AND p.quantity > 0
            AND NOT EXISTS (SELECT FROM set_asides s WHERE s.studio_id = p.studio_id AND s.batch_id = $3 AND s.stock_piece_id = p.stock_piece_id
                               AND ${IN_TRAY})) AS free
        WHERE length > 0 ORDER BY "isOffCut" DESC, length, number LIMIT ${MOST_PER_SPEC}) AS c`,
    [tx.session.studioId, [...new Set(specIds)], batchId],
  );

/** What a part is in the drawers, and how much of it is free for a batch. */
export interface FreePart {
  readonly key: string;
  readonly articleId: string;
  readonly article: string;
  readonly free: number;
}

/** What the parts of patterns are in the drawers: as it was said once, else what is called the same. Parts that nobody knows are left out. */
export const freeParts = (tx: Tx, names: readonly string[], batchId: string | null): Promise<FreePart[]> =>
  tx.select<FreePart>(
    `SELECT known.key, a.article_id AS "articleId", a.name AS article,
            COALESCE((SELECT sum(p.quantity - ${SET_ASIDE_FOR_OTHERS}) FROM stock_pieces p
                       WHERE p.studio_id = $1 AND p.article_id = a.article_id AND p.quantity > 0), 0)::bigint AS free
       FROM (SELECT n.key, COALESCE(k.article_id, s.article_id) AS article_id FROM unnest($2::text[]) AS n(key)
               LEFT JOIN part_names k ON k.studio_id = $1 AND k.name = n.key
               LEFT JOIN LATERAL (SELECT article_id FROM articles s
                                   WHERE s.studio_id = $1 AND s.name_lower = n.key AND s.ware IN ('bead', 'finding', 'stone')
                                   ORDER BY article_id LIMIT 1) AS s ON k.article_id IS NULL) AS known
       JOIN articles a ON a.studio_id = $1 AND a.article_id = known.article_id`,
    [tx.session.studioId, names.map(partKey), batchId],
  );

/** A part that is a stone of some material, and how many of those in the drawer are free for a batch. */
export interface FreeStones {
  readonly key: string;
  readonly material: string;
  readonly free: number;
}

/**
 * Parts that nobody has said what they are, but that are called like stones of a material that the studio keeps: "carnelian oval cab".
 * Stones are set aside one by one, when they are chosen; so these are only counted.
 */
export const freeStones = (tx: Tx, names: readonly string[], batchId: string | null): Promise<FreeStones[]> =>
  tx.select<FreeStones>(
    `SELECT n.key, min(t.material_lower) AS material, count(*) FILTER (WHERE p.quantity > ${SET_ASIDE_FOR_OTHERS}
              AND (t.set_aside_for = '' OR EXISTS (SELECT FROM set_asides s WHERE s.studio_id = $1 AND s.batch_id = $3::uuid
                                                      AND s.stock_piece_id = p.stock_piece_id)))::int AS free
       FROM unnest($2::text[]) AS n(key)
       JOIN stones t ON t.studio_id = $1 AND t.material <> '' AND strpos(n.key, t.material_lower) > 0
       JOIN stock_pieces p ON p.studio_id = t.studio_id AND p.article_id = t.article_id
      WHERE NOT EXISTS (SELECT FROM part_names k WHERE k.studio_id = $1 AND k.name = n.key)
        AND NOT EXISTS (SELECT FROM articles a WHERE a.studio_id = $1 AND a.name_lower = n.key)
      GROUP BY n.key`,
    [tx.session.studioId, [...new Set(names.filter(isStonePart).map(partKey))], batchId],
  );
