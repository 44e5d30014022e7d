import type { Day } from '@/core/calendar/day';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { CostUnits } from '@/core/units/money';
import type { MovementKind } from '@/core/stock/movement';
import type { Ware } from '@/core/stock/ware';
import type { SupplyUnit } from '@/core/stock/amount';
import { big, bool, date, float, instant, int, json, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Takes the next `count` numbers of a kind of tag: printed and never used twice. The first of them is returned. */
export const nextNumbersSql = statement({
  takes: { series: text(), count: int() },
  gives: { last: int() },
  text: `INSERT INTO counters (studio_id, name, last) VALUES ($studio, $series, $count)
     ON CONFLICT (studio_id, name) DO UPDATE SET last = counters.last + $count RETURNING last`,
});

/** Sees to it that a number that was brought in from elsewhere is not handed out again. */
export const passNumbersSql = statement({
  takes: { series: text(), number: int() },
  gives: {},
  text: `INSERT INTO counters (studio_id, name, last) VALUES ($studio, $series, $number)
     ON CONFLICT (studio_id, name) DO UPDATE SET last = greatest(counters.last, $number)`,
});

/** Writes the sums of every article at the end of each month that has ended and is not closed yet. */
export const closeMonthSql = statement({
  takes: { month: date() },
  gives: {},
  text: `INSERT INTO closings (studio_id, month, article_id, quantity, cost_units)
         SELECT $studio, $month::date, article_id, sum(quantity), sum(cost_units) FROM (
           SELECT article_id, quantity, cost_units FROM closings WHERE studio_id = $studio AND month = ($month::date - INTERVAL '1 month')::date
           UNION ALL
           SELECT article_id, quantity, cost_units FROM movements
            WHERE studio_id = $studio AND happened_at >= $month::date AND happened_at < $month::date + INTERVAL '1 month') AS t
          GROUP BY article_id`,
});

/** The first days of the months that have ended, from the first movement on or from the last closing. */
export const monthsToCloseSql = statement({
  takes: { at: instant(), graceDays: float() },
  gives: { month: text<Day>() },
  text: `SELECT month::date::text AS month FROM generate_series(
       COALESCE((SELECT max(month) + INTERVAL '1 month' FROM closings WHERE studio_id = $studio),
                (SELECT date_trunc('month', min(happened_at)) FROM movements WHERE studio_id = $studio)),
       date_trunc('month', $at::timestamptz - $graceDays * INTERVAL '1 day') - INTERVAL '1 month', INTERVAL '1 month') AS month`,
});

/** Writes what stock pieces hold and carry after a posting. */
export const setBalancesSql = statement({
  takes: {
    ids: many(uuid<'stock piece'>()),
    quantities: many(big()),
    costs: many(big()),
    articleIds: many(uuid<'article'>()),
    shades: many(json<readonly ShadeGroup[]>()),
  },
  gives: {},
  text: `UPDATE stock_pieces p SET quantity = v.quantity, cost_units = v.cost, article_id = v.article, sort_key = a.sort_key, shades = v.shades
         FROM unnest($ids::uuid[], $quantities::bigint[], $costs::bigint[], $articleIds::uuid[], $shades::jsonb[]) AS v(id, quantity, cost, article, shades)
         JOIN articles a ON a.studio_id = $studio AND a.article_id = v.article
        WHERE p.studio_id = $studio AND p.stock_piece_id = v.id`,
});

/** Everything that was posted under a key. */
export const movementsOfPostSql = statement({
  takes: { postKey: uuid<'post'>() },
  gives: {
    id: big(),
    postKey: uuid<'post'>(),
    kind: text<MovementKind>(),
    stockPieceId: uuid<'stock piece'>(),
    articleId: uuid<'article'>(),
    quantity: big(),
    cost: big<CostUnits>(),
    lotId: maybe(uuid<'lot'>()),
    pieceId: maybe(uuid<'piece'>()),
    batchId: maybe(uuid<'batch'>()),
    reverses: maybe(big()),
    reversed: bool(),
  },
  text: `SELECT m.movement_id AS id, m.post_key AS "postKey", m.kind, m.stock_piece_id AS "stockPieceId", m.article_id AS "articleId",
            m.quantity, m.cost_units AS cost, m.lot_id AS "lotId", m.piece_id AS "pieceId", m.batch_id AS "batchId", m.reverses,
            EXISTS (SELECT FROM movements r WHERE r.studio_id = m.studio_id AND r.reverses = m.movement_id) AS reversed
       FROM movements m WHERE m.studio_id = $studio AND m.post_key = $postKey ORDER BY m.movement_id`,
});

/**
 * What moved since a posting of the stock that it brought, so that it cannot be taken back: movements that were taken back do not count, nor what fell into the
 * same jar later.
 */
export const movedSinceSql = statement({
  takes: { last: big(), gained: many(uuid<'stock piece'>()), lost: many(uuid<'stock piece'>()) },
  gives: {
    ware: text<Ware>(),
    number: int(),
    kind: text<MovementKind>(),
    day: text<Day>(),
    pieceNumber: maybe(int()),
  },
  text: `SELECT p.ware, p.number, m.kind, m.happened_at::date::text AS day, f.number AS "pieceNumber"
       FROM movements m
       JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
       LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id
      WHERE m.studio_id = $studio AND m.movement_id > $last AND m.reverses IS NULL
        AND NOT EXISTS (SELECT FROM movements r WHERE r.studio_id = m.studio_id AND r.reverses = m.movement_id)
        AND ((m.stock_piece_id = ANY ($gained) AND (p.ware <> 'scrap' OR m.kind = 'refined'))
          OR (m.stock_piece_id = ANY ($lost) AND m.kind = 'relabelled'))
      ORDER BY m.movement_id LIMIT 1`,
});

/** What the stock carries now, by ware. */
export const valueNowSql = statement({
  takes: {},
  gives: { ware: text<Ware>(), cost: big(), articles: int() },
  text: `SELECT ware, sum(cost_units)::bigint AS cost, count(DISTINCT article_id)::int AS articles
       FROM stock_pieces WHERE studio_id = $studio AND quantity > 0 GROUP BY ware`,
});

/** The last month that was closed before a day, and the day after its end. */
export const lastClosingSql = statement({
  takes: { day: date() },
  gives: { month: maybe(text<Day>()), until: maybe(text()) },
  text: `SELECT max(month)::text AS month, (max(month) + INTERVAL '1 month')::date::text AS until FROM closings
      WHERE studio_id = $studio AND month + INTERVAL '1 month' <= $day::date + 1`,
});

/** What the stock carried at the end of a day, by ware: a closing, and the movements since it. */
export const valueOnDaySql = statement({
  takes: { month: maybe(date()), until: text(), day: date() },
  gives: { ware: text<Ware>(), cost: big(), articles: int() },
  text: `WITH parts AS (
       SELECT article_id, quantity, cost_units FROM closings WHERE studio_id = $studio AND month = $month::date
       UNION ALL
       SELECT article_id, sum(quantity), sum(cost_units) FROM movements
        WHERE studio_id = $studio AND happened_at >= $until::text::timestamptz AND happened_at < $day::date + 1 GROUP BY 1),
     sums AS (SELECT article_id, sum(quantity) AS quantity, sum(cost_units) AS cost FROM parts GROUP BY 1)
     SELECT a.ware, sum(s.cost)::bigint AS cost, (count(*) FILTER (WHERE s.quantity > 0))::int AS articles
       FROM sums s JOIN articles a ON a.studio_id = $studio AND a.article_id = s.article_id GROUP BY a.ware`,
});

/** Movements in their order after one of them, as they go out as a list. */
export const ledgerAfterSql = statement({
  takes: { after: big(), most: big() },
  gives: {
    id: big(),
    at: instant(),
    who: text(),
    kind: text<MovementKind>(),
    ware: text<Ware>(),
    number: int(),
    article: text(),
    unit: maybe(text<SupplyUnit>()),
    quantity: big(),
    cost: big<CostUnits>(),
    reason: text(),
    piece: maybe(int()),
    reverses: maybe(big()),
  },
  text: `SELECT m.movement_id AS id, m.happened_at AS at, u.name AS who, m.kind, a.ware, p.number, a.name AS article, s.unit, m.quantity,
                m.cost_units AS cost, m.reason, f.number AS piece, m.reverses
           FROM (SELECT * FROM movements WHERE studio_id = $studio AND movement_id > $after ORDER BY movement_id LIMIT $most) m
           JOIN users u ON u.studio_id = m.studio_id AND u.user_id = m.user_id
           JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
           JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
           LEFT JOIN supplies s ON s.studio_id = m.studio_id AND s.article_id = m.article_id
           LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id ORDER BY m.movement_id`,
});
