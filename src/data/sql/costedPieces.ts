import { IN_STOCK } from '@/core/selling/life';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, date, float, int, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

const IN = IN_STOCK.map((state) => `'${state}'`).join(', ');

/** Columns that tell what piece f takes, with the wires that are in it and what its beads and stones cost. */
const TAKEN = `f.number, f.name, p.number AS pattern, f.minutes + f.set_up_minutes / f.shared_by AS minutes, f.wire_replacement AS "wireThen",
    f.scrap_replacement + f.spoilage_replacement AS "lostThen", f.parts_cost AS parts, f.supplies_replacement AS supplies,
    COALESCE(s.cost, 0)::bigint AS stones, COALESCE(w.articles, '{}') AS articles, COALESCE(w.lengths, '{}') AS lengths`;
const FROM = `JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
    LEFT JOIN LATERAL (SELECT array_agg(m.article_id) AS articles, array_agg(m.um) AS lengths
                         FROM (SELECT m.article_id, -sum(m.quantity)::float8 AS um FROM movements m JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
                                WHERE m.studio_id = f.studio_id AND m.piece_id = f.piece_id AND a.ware = 'wire' GROUP BY 1 HAVING sum(m.quantity) < 0) AS m) AS w ON true
    LEFT JOIN LATERAL (SELECT -sum(m.cost_units) AS cost FROM movements m JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
                        WHERE m.studio_id = f.studio_id AND m.piece_id = f.piece_id AND a.ware IN ('bead', 'stone')) AS s ON true`;
const GIVES = {
  number: int(),
  name: text(),
  pattern: int(),
  minutes: float(),
  /** At the prices of its day: its wire, and what of it was scrapped and spoiled. */
  wireThen: big<CostUnits>(),
  lostThen: big<CostUnits>(),
  /** Beads, stones and findings; and the beads and stones among them. */
  parts: big<CostUnits>(),
  stones: big<CostUnits>(),
  supplies: big<CostUnits>(),
  /** Its wires, and how long each is, µm. */
  articles: many(uuid<'article'>()),
  lengths: many(float()),
};

/** Pieces that are to be had and have a price, the youngest first, with how long each is there. */
export const shelvedPiecesSql = statement({
  takes: { today: date(), most: big() },
  gives: { ...GIVES, price: big<MinorUnits>(), days: int() },
  text: `SELECT ${TAKEN}, f.price, GREATEST(0, $today - (f.made_at AT TIME ZONE t.time_zone)::date)::int AS days
      FROM pieces f JOIN studios t ON t.studio_id = f.studio_id ${FROM}
     WHERE f.studio_id = $studio AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL AND f.state IN (${IN}) AND f.price IS NOT NULL
     ORDER BY f.number DESC LIMIT $most`,
});

/** Pieces of some numbers that are to be had, whether they have a price or not, by pattern. */
export const traySql = statement({
  takes: { numbers: many(int()) },
  gives: { ...GIVES, price: maybe(big<MinorUnits>()) },
  text: `SELECT ${TAKEN}, f.price FROM pieces f ${FROM}
     WHERE f.studio_id = $studio AND f.number = ANY ($numbers) AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL AND f.state IN (${IN})
     ORDER BY p.number, f.number`,
});

/** Pieces that were sold since a day and are with their buyers, the latest first, with what each was sold for. */
export const soldPiecesSql = statement({
  takes: { since: date(), most: big() },
  gives: { ...GIVES, price: big<MinorUnits>() },
  text: `SELECT ${TAKEN}, l.price
      FROM sales o JOIN sale_lines l ON l.studio_id = o.studio_id AND l.sale_id = o.sale_id
      JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id ${FROM}
     WHERE o.studio_id = $studio AND o.sold_on >= $since AND o.return_of IS NULL AND f.state = 'sold'
       AND NOT EXISTS (SELECT FROM sales b JOIN sale_lines c ON c.studio_id = b.studio_id AND c.sale_id = b.sale_id
                        WHERE b.studio_id = o.studio_id AND b.return_of = o.sale_id AND c.piece_id = l.piece_id)
     ORDER BY o.number DESC LIMIT $most`,
});

/** How many pieces of each pattern were sold since a day, after how many days from the bench, all together. */
export const patternsSoldSql = statement({
  takes: { since: date() },
  gives: { pattern: int(), sold: int(), days: int() },
  text: `SELECT p.number AS pattern, count(*)::int AS sold, sum(GREATEST(0, o.sold_on - (f.made_at AT TIME ZONE t.time_zone)::date))::int AS days
      FROM sales o JOIN studios t ON t.studio_id = o.studio_id JOIN sale_lines l ON l.studio_id = o.studio_id AND l.sale_id = o.sale_id
      JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
     WHERE o.studio_id = $studio AND o.sold_on >= $since AND o.return_of IS NULL AND f.state = 'sold' GROUP BY 1`,
});

/** How many pieces are to be had that have no price. */
export const unpricedSql = statement({
  takes: {},
  gives: { unpriced: int() },
  text: `SELECT count(*)::int AS unpriced FROM pieces f
          WHERE f.studio_id = $studio AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL AND f.state IN (${IN}) AND f.price IS NULL`,
});
