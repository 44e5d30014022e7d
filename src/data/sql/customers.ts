import type { Day } from '@/core/calendar/day';
import type { MinorUnits } from '@/core/units/money';
import { big, date, int, many, maybe, text, uuid } from '../columns';
import { list } from './list';
import { statement } from './statement';

/** Who buys, with what each bought by the name on the receipts; what came back is taken off again. */
export const customersList = list({
  from: 'customers u',
  joins: `LEFT JOIN LATERAL (
      SELECT count(*) FILTER (WHERE s.return_of IS NULL)::int AS sales, COALESCE(sum(s.gross), 0)::bigint AS gross, max(s.sold_on) AS last
        FROM sales s WHERE s.studio_id = u.studio_id AND lower(s.buyer) = lower(u.name) AND s.buyer <> '') AS b ON true`,
  where: 'u.studio_id = $studio',
  takes: {},
  filters: {
    words: {
      takes: many(text()),
      sql: `lower(u.name || ' ' || u.contact || ' ' || u.ring_sizes || ' ' || u.wishes) LIKE ALL ($words)`,
    },
  },
  orders: {
    name: { keys: [{ by: 'lower(u.name)', as: 'text' }] },
    newest: {
      keys: [
        { by: 'u.since', as: 'timestamptz' },
        { by: 'lower(u.name)', as: 'text' },
      ],
      isDown: true,
    },
  },
  // No two have the same name: nothing is left for a number to decide.
  number: '0::int',
  columns: `u.customer_id AS id, u.name, u.contact, u.ring_sizes AS "ringSizes", u.wishes, b.sales, b.gross, b.last`,
  gives: {
    id: uuid<'customer'>(),
    name: text(),
    contact: text(),
    ringSizes: text(),
    wishes: text(),
    sales: int(),
    gross: big<MinorUnits>(),
    last: maybe(date()),
  },
  sums: 'count(*)::int AS total',
  sumsGive: { total: int() },
});

/** Names of all who are written down, so many at most. */
export const customerNamesSql = statement({
  takes: { most: big() },
  gives: { name: text() },
  text: `SELECT u.name FROM customers u WHERE u.studio_id = $studio ORDER BY lower(u.name) LIMIT $most`,
});

/** All who are written down, by name, with how many receipts are in the name of each. */
export const customersToExportSql = statement({
  takes: {},
  gives: {
    name: text(),
    contact: text(),
    ringSizes: text(),
    wishes: text(),
    since: text<Day>(),
    sales: int(),
    last: maybe(date()),
  },
  text: `SELECT u.name, u.contact, u.ring_sizes AS "ringSizes", u.wishes, (u.since AT TIME ZONE t.time_zone)::date::text AS since, b.sales, b.last
      FROM customers u JOIN studios t ON t.studio_id = u.studio_id
      CROSS JOIN LATERAL (SELECT count(*)::int AS sales, max(s.sold_on) AS last FROM sales s
                           WHERE s.studio_id = u.studio_id AND lower(s.buyer) = lower(u.name) AND s.buyer <> '' AND s.return_of IS NULL) AS b
     WHERE u.studio_id = $studio ORDER BY lower(u.name)`,
});
