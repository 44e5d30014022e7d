import type { CostUnits } from '@/core/units/money';
import type { Ware, StockForm } from '@/core/stock/ware';
import type { SupplyUnit } from '@/core/stock/amount';
import { big, instant, int, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Opens a count sheet of a place, in the order it is kept; of what lies nowhere, when no place is named. */
export const fillCountSheetSql = statement({
  takes: { countId: uuid<'count'>(), placeId: maybe(uuid<'place'>()), most: big() },
  gives: {},
  text: `INSERT INTO count_lines (studio_id, count_id, stock_piece_id, position)
       SELECT studio_id, $countId, stock_piece_id, row_number() OVER (ORDER BY ware, sort_key, number)
         FROM stock_pieces WHERE studio_id = $studio AND place_id IS NOT DISTINCT FROM $placeId AND quantity > 0 AND ware <> 'scrap'
        ORDER BY ware, sort_key, number LIMIT $most`,
});

/** The lines of a count sheet; of a count that is posted, with what the books said then. */
export const linesOfCountSql = statement({
  takes: { countId: uuid<'count'>() },
  gives: {
    id: uuid<'stock piece'>(),
    ware: text<Ware>(),
    number: int(),
    name: text(),
    form: text<StockForm>(),
    unit: maybe(text<SupplyUnit>()),
    expected: big(),
    typed: maybe(text()),
    counted: maybe(big()),
    who: maybe(text()),
    now: big(),
    carries: big<CostUnits>(),
  },
  text: `SELECT p.stock_piece_id AS id, p.ware, p.number, a.name, p.form, y.unit, COALESCE(n.expected, p.quantity) AS expected, n.typed,
            n.counted, u.name AS who, p.quantity AS now, p.cost_units AS carries
       FROM count_lines n
       JOIN stock_pieces p ON p.studio_id = n.studio_id AND p.stock_piece_id = n.stock_piece_id
       JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
       LEFT JOIN supplies y ON y.studio_id = p.studio_id AND y.article_id = p.article_id
       LEFT JOIN users u ON u.studio_id = n.studio_id AND u.user_id = n.user_id
      WHERE n.studio_id = $studio AND n.count_id = $countId ORDER BY n.position`,
});

/** The last counts, the latest first, with how many lines each has, how many are counted, and how many differ. */
export const countsInBriefSql = statement({
  takes: {},
  gives: {
    number: int(),
    placeName: text(),
    startedAt: instant(),
    startedBy: text(),
    postedAt: maybe(instant()),
    lines: int(),
    counted: int(),
    differences: int(),
  },
  text: `SELECT c.number, c.place_name AS "placeName", c.started_at AS "startedAt", u.name AS "startedBy", c.posted_at AS "postedAt",
              count(n.stock_piece_id)::int AS lines, count(n.counted)::int AS counted,
              count(*) FILTER (WHERE n.counted <> COALESCE(n.expected, p.quantity))::int AS differences
         FROM counts c
         JOIN users u ON u.studio_id = c.studio_id AND u.user_id = c.user_id
         LEFT JOIN count_lines n ON n.studio_id = c.studio_id AND n.count_id = c.count_id
         LEFT JOIN stock_pieces p ON p.studio_id = n.studio_id AND p.stock_piece_id = n.stock_piece_id
        WHERE c.studio_id = $studio GROUP BY c.studio_id, c.count_id, c.number, u.name ORDER BY c.number DESC LIMIT 60`,
});

/** Keeps what the books said of the lines of a count when it was posted. */
export const setExpectedSql = statement({
  takes: { ids: many(uuid<'stock piece'>()), quantities: many(big()), countId: uuid<'count'>() },
  gives: {},
  text: `UPDATE count_lines n SET expected = v.quantity FROM unnest($ids::uuid[], $quantities::bigint[]) AS v(id, quantity)
        WHERE n.studio_id = $studio AND n.count_id = $countId AND n.stock_piece_id = v.id`,
});
