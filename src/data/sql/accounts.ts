import type { Day } from '@/core/calendar/day';
import type { PaidBy } from '@/core/selling/sale';
import type { TaxKind } from '@/core/selling/tax';
import type { Ware } from '@/core/stock/ware';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { BasisPoints } from '@/core/units/percent';
import { big, date, int, maybe, text } from '../columns';
import { statement } from './statement';

/** Lines of receipts, of so many receipts after a number. */
export const salesAfterSql = statement({
  takes: { after: int(), most: int() },
  gives: {
    number: int(),
    soldOn: date(),
    returnOf: maybe(int()),
    channel: text(),
    buyer: text(),
    paidBy: text<PaidBy>(),
    line: int(),
    piece: maybe(int()),
    name: text(),
    asked: big<MinorUnits>(),
    price: big<MinorUnits>(),
    net: big<MinorUnits>(),
    taxKind: text<TaxKind>(),
    taxPercent: int<BasisPoints>(),
    tax: big<MinorUnits>(),
    gross: big<MinorUnits>(),
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    cost: big<CostUnits>(),
  },
  text: `SELECT s.number, s.sold_on AS "soldOn", o.number AS "returnOf", c.name AS channel, s.buyer, s.paid_by AS "paidBy", l.line, f.number AS piece,
           COALESCE(f.name, '') AS name, l.asked, l.price, l.net, s.tax_kind AS "taxKind", s.tax_percent AS "taxPercent", l.tax, l.gross, l.fees,
           l.sending, l.cost_units AS cost
      FROM sales s
      JOIN channels c ON c.studio_id = s.studio_id AND c.channel_id = s.channel_id
      JOIN sale_lines l ON l.studio_id = s.studio_id AND l.sale_id = s.sale_id
      LEFT JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id
      LEFT JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = s.return_of
     WHERE s.studio_id = $studio AND s.number > $after AND s.number <= $after + $most ORDER BY s.number, l.line`,
});

/** What was bought and not taken back, by the day that it was. */
export const purchasesToExportSql = statement({
  takes: {},
  gives: {
    boughtOn: text<Day>(),
    supplier: text(),
    invoice: text(),
    delivery: maybe(int()),
    ware: text<Ware>(),
    article: text(),
    price: big<MinorUnits>(),
    paid: big<MinorUnits>(),
    currency: text(),
    costIs: text(),
  },
  text: `SELECT l.bought_on::text AS "boughtOn", COALESCE(u.name, '') AS supplier, l.note AS invoice, d.number AS delivery, a.ware, a.name AS article,
           l.price, l.paid, l.paid_currency AS currency, l.cost_is AS "costIs"
      FROM lots l
      JOIN articles a ON a.studio_id = l.studio_id AND a.article_id = l.article_id
      LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id
      LEFT JOIN deliveries d ON d.studio_id = l.studio_id AND d.delivery_id = l.delivery_id
     WHERE l.studio_id = $studio
       AND (SELECT sum(m.quantity) FROM movements m WHERE m.studio_id = l.studio_id AND m.lot_id = l.lot_id AND m.kind = 'received') > 0
     ORDER BY l.bought_on, a.name`,
});

/** Each month since the first movement: what was bought and sold in it, what that cost, and what was there at cost at its end. */
export const booksByMonthSql = statement({
  takes: {},
  gives: {
    month: text(),
    purchases: big<MinorUnits>(),
    stock: big<CostUnits>(),
    scrap: big<CostUnits>(),
    pieces: big<CostUnits>(),
    net: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    costOfSold: big<CostUnits>(),
    standing: big<MinorUnits>(),
    deposits: big<MinorUnits>(),
  },
  text: `WITH zone AS (SELECT time_zone AS z FROM studios WHERE studio_id = $studio),
      moved AS (SELECT date_trunc('month', m.happened_at AT TIME ZONE z)::date AS month, sum(m.cost_units) FILTER (WHERE a.ware <> 'scrap') AS stock,
                       sum(m.cost_units) FILTER (WHERE a.ware = 'scrap') AS scrap
                  FROM zone CROSS JOIN movements m JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
                 WHERE m.studio_id = $studio GROUP BY 1),
      -- A piece comes into the books when it is made, leaves them when its making is taken back, and leaves or comes back by what happens to it;
      -- what is sold leaves on the day that its receipt says.
      stood AS (SELECT date_trunc('month', t.at)::date AS month, sum(t.cost) AS cost FROM (
                  SELECT f.made_at AT TIME ZONE z AS at, f.wire_cost + f.parts_taken + f.supplies_cost AS cost FROM zone CROSS JOIN pieces f
                   WHERE f.studio_id = $studio AND f.drawer_stock_id IS NULL
                  UNION ALL SELECT f.struck_at AT TIME ZONE z, -(f.wire_cost + f.parts_taken + f.supplies_cost) FROM zone CROSS JOIN pieces f
                   WHERE f.studio_id = $studio AND f.drawer_stock_id IS NULL AND f.struck_at IS NOT NULL
                  UNION ALL SELECT COALESCE(s.sold_on::timestamp, e.happened_at AT TIME ZONE z), e.cost_units FROM zone CROSS JOIN piece_events e
                    LEFT JOIN sales s ON s.studio_id = e.studio_id AND s.sale_id = e.sale_id
                   WHERE e.studio_id = $studio) AS t GROUP BY 1),
      sold AS (SELECT date_trunc('month', s.sold_on)::date AS month, sum(s.net) AS net, sum(s.tax) AS tax, sum(s.fees) AS fees, sum(s.sending) AS sending,
                      sum((SELECT sum(l.cost_units) FROM sale_lines l WHERE l.studio_id = s.studio_id AND l.sale_id = s.sale_id)) AS cost
                 FROM sales s WHERE s.studio_id = $studio GROUP BY 1),
      bought AS (SELECT date_trunc('month', l.bought_on)::date AS month, sum(l.price) AS price FROM lots l
                  WHERE l.studio_id = $studio AND (SELECT sum(m.quantity) FROM movements m WHERE m.studio_id = l.studio_id AND m.lot_id = l.lot_id AND m.kind = 'received') > 0
                  GROUP BY 1),
      standing AS (SELECT date_trunc('month', k.day)::date AS month, sum(k.amount) AS amount FROM stall_costs k
                    WHERE k.studio_id = $studio AND k.struck_at IS NULL GROUP BY 1),
      -- What was paid before it was handed over is held until it is: then the receipt takes it off.
      held AS (SELECT date_trunc('month', t.day)::date AS month, sum(t.amount) AS amount FROM (
                 SELECT p.paid_on AS day, p.amount FROM order_payments p WHERE p.studio_id = $studio AND p.kind <> 'invoice'
                 UNION ALL SELECT s.sold_on, -s.paid_before FROM sales s WHERE s.studio_id = $studio AND s.paid_before > 0) AS t GROUP BY 1),
      months AS (SELECT month FROM moved UNION SELECT month FROM held UNION SELECT month FROM standing UNION SELECT month FROM stood UNION SELECT month FROM sold UNION SELECT month FROM bought)
    SELECT to_char(n.month, 'YYYY-MM') AS month, COALESCE(b.price, 0)::bigint AS purchases,
           COALESCE(sum(v.stock) OVER w, 0)::bigint AS stock, COALESCE(sum(v.scrap) OVER w, 0)::bigint AS scrap, COALESCE(sum(t.cost) OVER w, 0)::bigint AS pieces,
           COALESCE(s.net, 0)::bigint AS net, COALESCE(s.tax, 0)::bigint AS tax, COALESCE(s.fees, 0)::bigint AS fees,
           COALESCE(s.sending, 0)::bigint AS sending, COALESCE(s.cost, 0)::bigint AS "costOfSold",
           COALESCE(k.amount, 0)::bigint AS standing, COALESCE(sum(h.amount) OVER w, 0)::bigint AS deposits
      FROM months n LEFT JOIN moved v USING (month) LEFT JOIN stood t USING (month) LEFT JOIN sold s USING (month) LEFT JOIN bought b USING (month) LEFT JOIN standing k USING (month) LEFT JOIN held h USING (month)
    WINDOW w AS (ORDER BY n.month) ORDER BY n.month`,
});

/** Tax of what was sold, by the month and the rate. */
export const taxByMonthSql = statement({
  takes: {},
  gives: {
    month: text(),
    taxKind: text<TaxKind>(),
    taxPercent: int<BasisPoints>(),
    receipts: int(),
    net: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    gross: big<MinorUnits>(),
  },
  text: `SELECT to_char(s.sold_on, 'YYYY-MM') AS month, s.tax_kind AS "taxKind", s.tax_percent AS "taxPercent", count(*)::int AS receipts,
           sum(s.net)::bigint AS net, sum(s.tax)::bigint AS tax, sum(s.gross)::bigint AS gross
      FROM sales s WHERE s.studio_id = $studio GROUP BY 1, 2, 3 ORDER BY 1, 2, 3`,
});
