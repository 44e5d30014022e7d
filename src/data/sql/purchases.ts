import type { MinorUnits } from '@/core/units/money';
import type { SharedBy } from '@/core/stock/delivery';
import type { Ware } from '@/core/stock/ware';
import type { SupplyUnit } from '@/core/stock/amount';
import type { CostIs } from '@/core/stock/costIs';
import { big, bool, float, instant, int, many, maybe, text, uuid, statement } from './statement';

/** What to buy of everything that is short, by article. */
export const soldByOfSql = statement({
  takes: { articleIds: many(uuid()) },
  gives: { id: uuid(), soldBy: big(), lastBought: big() },
  text: `SELECT a.article_id AS id, a.sold_by AS "soldBy", COALESCE((SELECT quantity FROM lots l WHERE l.studio_id = $studio AND l.article_id = a.article_id
              ORDER BY bought_on DESC, created_at DESC LIMIT 1), 0)::bigint AS "lastBought"
       FROM articles a WHERE a.studio_id = $studio AND a.article_id = ANY ($articleIds)`,
});

const LISTED = `d.number, d.bought_on::text AS "boughtOn", u.name AS supplier, d.note, d.currency,
  (SELECT COALESCE(sum(l.paid), 0)::bigint FROM lots l WHERE l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id) AS total,
  EXISTS (SELECT FROM movements m JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id
           WHERE m.studio_id = d.studio_id AND m.post_key = d.post_key) AS "isTakenBack"`;

/** TODO deliveries/deliveries.ts */
export const deliveryOfNumberSql = statement({
  takes: { number: int() },
  gives: {
    number: int(),
    boughtOn: text(),
    supplier: maybe(text()),
    note: text(),
    currency: text(),
    total: big<MinorUnits>(),
    isTakenBack: bool(),
    deliveryId: uuid(),
    receivedAt: instant(),
    receivedBy: text(),
    postage: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    sharedBy: text<SharedBy>(),
  },
  text: `SELECT ${LISTED}, d.delivery_id AS "deliveryId", d.received_at AS "receivedAt", w.name AS "receivedBy", d.postage, d.tax,
            d.shared_by AS "sharedBy"
       FROM deliveries d JOIN users w ON w.studio_id = d.studio_id AND w.user_id = d.user_id
       LEFT JOIN suppliers u ON u.studio_id = d.studio_id AND u.supplier_id = d.supplier_id
      WHERE d.studio_id = $studio AND d.number = $number`,
});

/** A delivery with all of its lines; null when there is none of this number. */
export const linesOfDeliverySql = statement({
  takes: { deliveryId: uuid() },
  gives: {
    ware: text<Exclude<Ware, 'scrap'>>(),
    number: int(),
    name: text(),
    unit: maybe(text<SupplyUnit>()),
    quantity: big(),
    costIs: text<CostIs>(),
    goods: big<MinorUnits>(),
    postage: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    cost: big<MinorUnits>(),
  },
  text: `SELECT a.ware, p.number, a.name, s.unit, l.quantity, l.cost_is AS "costIs", l.paid - l.postage_share - l.tax_share AS goods,
              l.postage_share AS postage, l.tax_share AS tax, l.price AS cost
         FROM lots l JOIN articles a ON a.studio_id = l.studio_id AND a.article_id = l.article_id
         LEFT JOIN supplies s ON s.studio_id = l.studio_id AND s.article_id = l.article_id
         JOIN LATERAL (SELECT number FROM stock_pieces p WHERE p.studio_id = $studio AND p.lot_id = l.lot_id ORDER BY p.number LIMIT 1) AS p ON true
        WHERE l.studio_id = $studio AND l.delivery_id = $deliveryId ORDER BY l.delivery_line`,
});

/** TODO stock/history.ts */
export const lotOfStockSql = statement({
  takes: { stockPieceId: uuid() },
  gives: {
    boughtOn: text(),
    supplier: maybe(text()),
    label: maybe(text()),
    price: maybe(big<MinorUnits>()),
    quantity: big(),
    note: maybe(text()),
    paid: maybe(big<MinorUnits>()),
    paidCurrency: text(),
    costIs: text<CostIs>(),
    delivery: maybe(int()),
    extras: maybe(big<MinorUnits>()),
  },
  text: `SELECT l.bought_on::text AS "boughtOn", u.name AS supplier, l.gauge_number || ' ' || l.gauge_system AS label, l.price, l.quantity,
            l.note, l.paid, l.paid_currency AS "paidCurrency", l.cost_is AS "costIs", d.number AS delivery,
            l.postage_share + l.tax_share AS extras
       FROM stock_pieces p JOIN lots l ON l.studio_id = p.studio_id AND l.lot_id = p.lot_id
       LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id
       LEFT JOIN deliveries d ON d.studio_id = l.studio_id AND d.delivery_id = l.delivery_id
      WHERE p.studio_id = $studio AND p.stock_piece_id = $stockPieceId`,
});

/** Articles with a minimum, or of some ids, what there is of each, what 90 days took, and where it was bought last. */
export const levelsOfSql = statement({
  takes: { now: instant(), useDays: float(), articleId: maybe(uuid()), besides: many(uuid()) },
  gives: {
    articleId: uuid(),
    ware: text<Ware>(),
    name: text(),
    unit: maybe(text<SupplyUnit>()),
    minimumBy: text<'none' | 'typed' | 'use'>(),
    minimum: big(),
    soldBy: big(),
    quantity: big(),
    used: big(),
    lastBought: big(),
    supplier: maybe(text()),
  },
  text: `SELECT a.article_id AS "articleId", a.ware, a.name, y.unit, a.minimum_by AS "minimumBy", a.minimum, a.sold_by AS "soldBy",
            COALESCE((SELECT sum(quantity) FROM stock_pieces p WHERE p.studio_id = $studio AND p.article_id = a.article_id AND p.quantity > 0), 0)::bigint AS quantity,
            COALESCE((SELECT -sum(quantity) FROM movements m WHERE m.studio_id = $studio AND m.article_id = a.article_id
                        AND m.happened_at > $now::timestamptz - $useDays * INTERVAL '1 day'
                        AND m.kind IN ('cut', 'returned', 'used', 'scrapped', 'spoiled')), 0)::bigint AS used,
            COALESCE(l.quantity, 0) AS "lastBought", u.name AS supplier
       FROM articles a
       LEFT JOIN supplies y ON y.studio_id = a.studio_id AND y.article_id = a.article_id
       LEFT JOIN LATERAL (SELECT quantity, supplier_id FROM lots WHERE studio_id = $studio AND article_id = a.article_id
                           ORDER BY bought_on DESC, created_at DESC LIMIT 1) AS l ON true
       LEFT JOIN suppliers u ON u.studio_id = a.studio_id AND u.supplier_id = l.supplier_id
      WHERE a.studio_id = $studio AND (a.article_id = $articleId OR ($articleId::uuid IS NULL AND (a.minimum_by <> 'none' OR a.article_id = ANY ($besides)))) AND a.ware <> 'scrap'
      ORDER BY u.name NULLS LAST, a.ware, a.sort_key LIMIT 2000`,
});
