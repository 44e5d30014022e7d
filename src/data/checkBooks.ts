import { QueryTypes, Transaction } from 'sequelize';
import { openDatabase } from './database';

/** One balance that does not follow from its movements. */
export interface Difference {
  readonly studio: string;
  readonly what: string;
  readonly kept: string;
  readonly rebuilt: string;
}

export interface BookCheck {
  readonly stockPieces: number;
  readonly movements: number;
  readonly pieces: number;
  readonly differences: readonly Difference[];
}

/** Comparisons of what is kept with what the movements say; each row is a difference. */
const CHECKS: readonly string[] = [
  // Length and cost on every stock piece.
  `SELECT p.studio_id AS studio, 'W-' || lpad(p.number::text, 4, '0') AS what,
          p.length_um || ' µm, ' || p.cost_units || ' cost units' AS kept,
          COALESCE(m.length, 0) || ' µm, ' || COALESCE(m.cost, 0) || ' cost units' AS rebuilt
     FROM stock_pieces p
     LEFT JOIN (SELECT studio_id, stock_piece_id, sum(length_um) AS length, sum(cost_units) AS cost FROM movements GROUP BY 1, 2) m
       USING (studio_id, stock_piece_id)
    WHERE (p.length_um, p.cost_units) IS DISTINCT FROM (COALESCE(m.length, 0), COALESCE(m.cost, 0))`,
  // Nothing left means nothing owed, and every stock piece began with one movement of its first length.
  `SELECT p.studio_id AS studio, 'W-' || lpad(p.number::text, 4, '0') || ' at its beginning' AS what,
          p.initial_length_um || ' µm' AS kept, COALESCE(m.length, 0) || ' µm in ' || COALESCE(m.times, 0) || ' movements' AS rebuilt
     FROM stock_pieces p
     LEFT JOIN (SELECT studio_id, stock_piece_id, sum(length_um) AS length, count(*) AS times FROM movements
                 WHERE kind IN ('received', 'returned') GROUP BY 1, 2) m USING (studio_id, stock_piece_id)
    WHERE m.times IS DISTINCT FROM 1 OR m.length IS DISTINCT FROM p.initial_length_um OR (p.length_um = 0 AND p.cost_units <> 0)`,
  // Wire, scrap and spoilage of every finished piece.
  `SELECT f.studio_id AS studio, 'F-' || lpad(f.number::text, 4, '0') AS what,
          concat_ws(' / ', f.wire_cost, f.scrap_cost, f.spoilage_cost) AS kept,
          concat_ws(' / ', COALESCE(m.wire, 0), COALESCE(m.scrap, 0), COALESCE(m.spoilage, 0)) AS rebuilt
     FROM pieces f
     LEFT JOIN (SELECT studio_id, piece_id,
                       -COALESCE(sum(cost_units) FILTER (WHERE kind IN ('cut', 'returned')), 0) AS wire,
                       -COALESCE(sum(cost_units) FILTER (WHERE kind = 'scrapped'), 0) AS scrap,
                       -COALESCE(sum(cost_units) FILTER (WHERE kind = 'spoiled'), 0) AS spoilage
                  FROM movements WHERE piece_id IS NOT NULL GROUP BY 1, 2) m USING (studio_id, piece_id)
    WHERE (f.wire_cost, f.scrap_cost, f.spoilage_cost) IS DISTINCT FROM (COALESCE(m.wire, 0), COALESCE(m.scrap, 0), COALESCE(m.spoilage, 0))`,
  // What was bought is what was received, for the price that was paid.
  `SELECT l.studio_id AS studio, 'purchase of ' || l.bought_on AS what,
          l.length_um || ' µm, ' || l.price * 1000 || ' cost units' AS kept,
          COALESCE(m.length, 0) || ' µm, ' || COALESCE(m.cost, 0) || ' cost units' AS rebuilt
     FROM wire_lots l
     LEFT JOIN (SELECT studio_id, lot_id, sum(length_um) AS length, sum(cost_units) AS cost FROM movements
                 WHERE kind = 'received' GROUP BY 1, 2) m USING (studio_id, lot_id)
    WHERE (l.length_um, l.price * 1000) IS DISTINCT FROM (m.length, m.cost)`,
  // Received = in stock + used + scrapped + spoiled, over the whole studio.
  `SELECT studio_id AS studio, 'the whole studio' AS what, sum(kept)::text AS kept, sum(rebuilt)::text AS rebuilt FROM (
       SELECT studio_id, length_um AS kept, 0 AS rebuilt FROM stock_pieces
       UNION ALL SELECT studio_id, -length_um, 0 FROM movements WHERE kind IN ('cut', 'scrapped', 'spoiled')
       UNION ALL SELECT studio_id, -length_um, 0 FROM movements WHERE kind = 'returned'
       UNION ALL SELECT studio_id, 0, length_um FROM wire_lots) AS t
    GROUP BY studio_id HAVING sum(kept) <> sum(rebuilt)`,
  // No number was handed out twice or beyond its counter.
  `SELECT c.studio_id AS studio, 'the numbers of ' || c.name AS what, c.last::text AS kept, n.highest::text AS rebuilt
     FROM counters c JOIN (
       SELECT studio_id, 'stock' AS name, max(number) AS highest FROM stock_pieces GROUP BY 1
       UNION ALL SELECT studio_id, 'pattern', max(number) FROM patterns GROUP BY 1
       UNION ALL SELECT studio_id, 'piece', max(number) FROM pieces GROUP BY 1) AS n USING (studio_id, name)
    WHERE n.highest > c.last`,
];

/**
 * Rebuilds every balance, length and cost, from the movements and compares it with what is kept.
 * @param ownerUrl address of the role that sees all studios
 */
export async function checkBooks(ownerUrl: string): Promise<BookCheck> {
  const owner = openDatabase(ownerUrl);
  try {
    return await owner.transaction(
      { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
      async (transaction) => {
        const rows = <Row extends object>(sql: string) =>
          owner.query<Row>(sql, { transaction, type: QueryTypes.SELECT });
        const differences: Difference[] = [];
        for (const sql of CHECKS) differences.push(...(await rows<Difference>(sql)));
        const [counts] = await rows<Omit<BookCheck, 'differences'>>(
          `SELECT (SELECT count(*)::int FROM stock_pieces) AS "stockPieces", (SELECT count(*)::int FROM movements) AS movements,
                (SELECT count(*)::int FROM pieces) AS pieces`,
        );
        return { stockPieces: 0, movements: 0, pieces: 0, ...counts, differences };
      },
    );
  } finally {
    await owner.close();
  }
}
