import type { Day } from '@/core/calendar/day';
import type { MinorUnits } from '@/core/units/money';
import type { SharedBy } from '@/core/stock/delivery';
import type { Ware } from '@/core/stock/ware';
import type { SupplyUnit } from '@/core/stock/amount';
import type { CostIs } from '@/core/stock/costIs';
import { big, bool, float, instant, int, json, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';
import { type ShadeGroup } from '@/core/bead/symmetricalSet';

/** How much of articles is sold at a time, and was bought last. */
export const soldByOfSql = statement({
  takes: { articleIds: many(uuid<'article'>()) },
  gives: { id: uuid<'article'>(), soldBy: big(), lastBought: big() },
  text: `SELECT a.article_id AS id, a.sold_by AS "soldBy", COALESCE((SELECT quantity FROM lots l WHERE l.studio_id = $studio AND l.article_id = a.article_id
              ORDER BY bought_on DESC, created_at DESC LIMIT 1), 0)::bigint AS "lastBought"
       FROM articles a WHERE a.studio_id = $studio AND a.article_id = ANY ($articleIds)`,
});

export const LISTED_DELIVERY = `d.number, d.bought_on::text AS "boughtOn", u.name AS supplier, d.note, d.currency,
  (SELECT COALESCE(sum(l.paid), 0)::bigint FROM lots l WHERE l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id) AS total,
  EXISTS (SELECT FROM movements m JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id
           WHERE m.studio_id = d.studio_id AND m.post_key = d.post_key) AS "isTakenBack"`;

export const LISTED_DELIVERY_GIVES = {
  number: int(),
  boughtOn: text<Day>(),
  supplier: maybe(text()),
  note: text(),
  currency: text(),
  total: big<MinorUnits>(),
  isTakenBack: bool(),
} as const;

/** A delivery by its number. */
export const deliveryOfNumberSql = statement({
  takes: { number: int() },
  gives: {
    ...LISTED_DELIVERY_GIVES,
    deliveryId: uuid<'delivery'>(),
    receivedAt: instant(),
    receivedBy: text(),
    postage: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    sharedBy: text<SharedBy>(),
  },
  text: `SELECT ${LISTED_DELIVERY}, d.delivery_id AS "deliveryId", d.received_at AS "receivedAt", w.name AS "receivedBy", d.postage, d.tax,
            d.shared_by AS "sharedBy"
       FROM deliveries d JOIN users w ON w.studio_id = d.studio_id AND w.user_id = d.user_id
       LEFT JOIN suppliers u ON u.studio_id = d.studio_id AND u.supplier_id = d.supplier_id
      WHERE d.studio_id = $studio AND d.number = $number`,
});

/** The lines of a delivery, each with its share of the postage and the tax. */
export const linesOfDeliverySql = statement({
  takes: { deliveryId: uuid<'delivery'>() },
  gives: {
    ware: text<Exclude<Ware, 'scrap'>>(),
    number: int(),
    name: text(),
    unit: maybe(text<SupplyUnit>()),
    quantity: big(),
    costIs: text<CostIs>(),
    /** Before postage and tax, in the invoice's currency. */
    goods: big<MinorUnits>(),
    postage: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    /** What the stock carries, in the studio's currency. */
    cost: big<MinorUnits>(),
  },
  text: `SELECT a.ware, p.number, a.name, s.unit, l.quantity, l.cost_is AS "costIs", l.paid - l.postage_share - l.tax_share AS goods,
              l.postage_share AS postage, l.tax_share AS tax, l.price AS cost
         FROM lots l JOIN articles a ON a.studio_id = l.studio_id AND a.article_id = l.article_id
         LEFT JOIN supplies s ON s.studio_id = l.studio_id AND s.article_id = l.article_id
         JOIN LATERAL (SELECT number FROM stock_pieces p WHERE p.studio_id = $studio AND p.lot_id = l.lot_id ORDER BY p.number LIMIT 1) AS p ON true
        WHERE l.studio_id = $studio AND l.delivery_id = $deliveryId ORDER BY l.delivery_line`,
});

/** Articles with a minimum, or of some ids, what there is of each, what 90 days took, and where it was bought last. */
export const levelsOfSql = statement({
  takes: {
    now: instant(),
    useDays: float(),
    articleId: maybe(uuid<'article'>()),
    besides: many(uuid<'article'>()),
  },
  gives: {
    articleId: uuid<'article'>(),
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

/** Lots, with all that is known of what they were of; scrap is never bought. What is of a ware's own is null for the other wares. */
const lotsBy = (column: 'lot_id' | 'delivery_id') =>
  statement({
    takes: { id: uuid(), wares: many(text()) },
    gives: {
      ware: text<Exclude<Ware, 'scrap'>>(),
      quantity: big(),
      mass: maybe(big()),
      price: big<MinorUnits>(),
      currency: text(),
      costIs: text<CostIs>(),
      supplier: maybe(text()),
      form: text(),
      place: maybe(text()),
      shades: json<readonly ShadeGroup[]>(),
      label: json<{ readonly system: string | null; readonly number: string | null }>(),
      wire: json<
        Readonly<Record<'metal' | 'profile' | 'temper' | 'finish' | 'finish_name', string>> & {
          readonly height_um: number;
        }
      >(),
      bead: json<{ material: string; shape: string; min_um: number; max_um: number; hole_um: number }>(),
      stone: json<
        Readonly<Record<'material' | 'outline' | 'hole_axis', string>> &
          Readonly<Record<'length_um' | 'width_um' | 'depth_um' | 'edge_um' | 'hole_um', number>>
      >(),
      finding: json<Readonly<Record<'finding' | 'material' | 'size', string>>>(),
      supply: json<{ name: string; unit: SupplyUnit; per_piece: number }>(),
    },
    text: `SELECT a.ware, l.quantity, l.mass_ug AS mass, l.paid - l.postage_share - l.tax_share AS price, l.paid_currency AS currency,
            l.cost_is AS "costIs", u.name AS supplier, p.form, c.name AS place, p.shades,
            jsonb_build_object('system', l.gauge_system, 'number', l.gauge_number) AS label,
            to_jsonb(w) AS wire, to_jsonb(b) AS bead, to_jsonb(t) AS stone, to_jsonb(f) AS finding,
            jsonb_build_object('name', a.name, 'unit', s.unit, 'per_piece', s.per_piece) AS supply
       FROM lots l JOIN articles a ON a.studio_id = l.studio_id AND a.article_id = l.article_id AND a.ware = ANY ($wares)
       JOIN LATERAL (SELECT * FROM stock_pieces p WHERE p.studio_id = $studio AND p.lot_id = l.lot_id ORDER BY p.number LIMIT 1) AS p ON true
       LEFT JOIN places c ON c.studio_id = l.studio_id AND c.place_id = p.place_id
       LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id
       LEFT JOIN wire_specs w ON w.studio_id = l.studio_id AND w.spec_id = l.article_id
       LEFT JOIN beads b ON b.studio_id = l.studio_id AND b.article_id = l.article_id
       LEFT JOIN stones t ON t.studio_id = l.studio_id AND t.article_id = l.article_id
       LEFT JOIN findings f ON f.studio_id = l.studio_id AND f.article_id = l.article_id
       LEFT JOIN supplies s ON s.studio_id = l.studio_id AND s.article_id = l.article_id
      WHERE l.studio_id = $studio AND l.${column} = $id ORDER BY l.delivery_line, l.created_at`,
  });

export const lotAgainSql = lotsBy('lot_id');
export const linesAgainSql = lotsBy('delivery_id');
