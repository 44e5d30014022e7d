import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, date, float, int, many, text, uuid } from '../columns';
import { statement } from './statement';

/** What earnings are told by; `all` is of everything. */
export type EarnedOf = 'month' | 'channel' | 'fair' | 'pattern' | 'kind' | 'metal' | 'all';

/**
 * What pieces brought and took that were sold between two days, by each of the things that earnings are told by; what came back is taken off again,
 * on the day of the fair that it was sold on. What a piece took stands in its line.
 */
export const earnedSql = statement({
  takes: { from: date(), to: date() },
  gives: {
    of: text<EarnedOf>(),
    name: text(),
    pieces: int(),
    takings: big<MinorUnits>(),
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    materials: big<CostUnits>(),
    replaced: big<CostUnits>(),
    minutes: float(),
    labour: big<CostUnits>(),
    overhead: big<CostUnits>(),
    days: float(),
  },
  // All lines are summed twice; what comes of that is little, and is summed again by each thing.
  text: `WITH base AS MATERIALIZED (
      SELECT GROUPING(l.stood_on) = 0 AS "isFair", date_trunc('month', l.sold_on)::date AS month, l.channel_id AS channel, l.stood_on AS fair, l.pattern_id AS pattern, l.kind, l.metal,
             sum(l.pieces) AS pieces, sum(l.net) AS takings, sum(l.fees) AS fees,
             sum(l.sending) AS sending, sum(l.materials) AS materials, sum(l.replaced) AS replaced, sum(l.minutes) AS minutes, sum(l.labour) AS labour,
             sum(l.overhead) AS overhead, sum(l.days) AS days
        FROM sale_lines l WHERE l.studio_id = $studio AND l.pieces <> 0 AND l.sold_on BETWEEN $from AND $to
       GROUP BY GROUPING SETS ((date_trunc('month', l.sold_on)::date, l.channel_id, l.pattern_id, l.kind, l.metal), (l.stood_on, l.channel_id))),
    sums AS (
      SELECT CASE WHEN GROUPING(month) = 0 THEN 'month' WHEN GROUPING(fair) = 0 THEN 'fair' WHEN GROUPING(channel) = 0 THEN 'channel'
                  WHEN GROUPING(pattern) = 0 THEN 'pattern' WHEN GROUPING(kind) = 0 THEN 'kind' WHEN GROUPING(metal) = 0 THEN 'metal' ELSE 'all' END AS of,
             "isFair", month, channel, fair, pattern, kind, metal, sum(pieces)::int AS pieces, sum(takings)::bigint AS takings, sum(fees)::bigint AS fees,
             sum(sending)::bigint AS sending, sum(materials)::bigint AS materials, sum(replaced)::bigint AS replaced, sum(minutes)::float8 AS minutes,
             sum(labour)::bigint AS labour, sum(overhead)::bigint AS overhead, sum(days)::float8 AS days
        FROM base GROUP BY GROUPING SETS (("isFair", month), ("isFair", fair, channel), ("isFair", channel), ("isFair", pattern), ("isFair", kind), ("isFair", metal), ("isFair")))
    SELECT t.of, CASE t.of WHEN 'month' THEN to_char(t.month, 'YYYY-MM') WHEN 'channel' THEN c.name WHEN 'fair' THEN to_char(t.fair, 'YYYY-MM-DD') || ' ' || c.name
                           WHEN 'pattern' THEN 'P-' || lpad(p.number::text, 4, '0') || ' ' || p.name WHEN 'kind' THEN t.kind WHEN 'metal' THEN t.metal ELSE 'all' END AS name,
           t.pieces, t.takings, t.fees, t.sending, t.materials, t.replaced, t.minutes, t.labour, t.overhead, t.days
      FROM sums t
      LEFT JOIN channels c ON c.studio_id = $studio AND c.channel_id = t.channel
      LEFT JOIN patterns p ON p.studio_id = $studio AND p.pattern_id = t.pattern
     WHERE t."isFair" = (t.of = 'fair') AND (t.of <> 'fair' OR c.kind = 'fair') ORDER BY 1, 2`,
});

/** The metal that most of the length of each piece’s wire is of. */
export const metalsOfPiecesSql = statement({
  takes: { pieceIds: many(uuid<'piece'>()) },
  gives: { pieceId: uuid<'piece'>(), metal: text() },
  text: `SELECT DISTINCT ON (m.piece_id) m.piece_id AS "pieceId", w.metal
      FROM movements m JOIN wire_specs w ON w.studio_id = m.studio_id AND w.spec_id = m.article_id
     WHERE m.studio_id = $studio AND m.piece_id = ANY ($pieceIds) AND m.kind = 'cut'
     GROUP BY m.piece_id, w.metal ORDER BY m.piece_id, sum(m.quantity), w.metal`,
});

/** What was sold between two days, the latest first: of which pattern, for how much, and after how many days. */
export const soldAfterSql = statement({
  takes: { from: date(), to: date(), most: big() },
  gives: { pattern: int(), name: text(), price: big<MinorUnits>(), days: int() },
  text: `SELECT p.number AS pattern, p.name, l.price, l.days
      FROM sale_lines l JOIN patterns p ON p.studio_id = l.studio_id AND p.pattern_id = l.pattern_id
     WHERE l.studio_id = $studio AND l.pieces > 0 AND l.sold_on BETWEEN $from AND $to
     ORDER BY l.sold_on DESC, l.sale_id, l.line LIMIT $most`,
});
