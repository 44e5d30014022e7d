import type { Ware } from '@/core/stock/ware';
import type { Tagged } from '@/core/tag';
import { big, int, many, maybe, text } from '../columns';
import { statement } from './statement';

/** Stock by the number on its tag or by words of its name, what has that number first. */
export const findStockSql = statement({
  takes: { kind: text(), number: int(), words: many(text()), wireWords: many(text()), most: big() },
  gives: { kind: text<Ware>(), number: int(), name: text() },
  text: `SELECT p.ware AS kind, p.number, a.name
         FROM stock_pieces p JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
        WHERE p.studio_id = $studio AND ((p.ware = $kind AND p.number = $number) OR (p.quantity > 0 AND (a.said LIKE ALL ($words) OR (p.ware = 'wire' AND a.said LIKE ALL ($wireWords)))))
        ORDER BY (p.ware = $kind AND p.number = $number) DESC, p.ware DESC, p.sort_key, p.is_off_cut, p.number LIMIT $most`,
});

/** Kinds of stock by words of their name, with how many pieces of each there are. */
export const findKindsSql = statement({
  takes: { words: many(text()), wireWords: many(text()), most: big() },
  gives: {
    ware: text<Ware>(),
    name: text(),
    pieces: int(),
    metal: maybe(text()),
    profile: maybe(text()),
    temper: maybe(text()),
    gauge: maybe(text()),
  },
  text: `SELECT a.ware, a.name, n.pieces, s.metal, s.profile, s.temper, s.gauge_number || ' ' || s.gauge_system AS gauge
         FROM articles a LEFT JOIN wire_specs s ON s.studio_id = a.studio_id AND s.spec_id = a.article_id
         CROSS JOIN LATERAL (SELECT count(*)::int AS pieces FROM stock_pieces p
                              WHERE p.studio_id = $studio AND p.article_id = a.article_id AND p.quantity > 0) AS n
        WHERE a.studio_id = $studio AND a.ware IN ('wire', 'bead', 'finding') AND n.pieces > 1
          AND (a.said LIKE ALL ($words) OR (a.ware = 'wire' AND a.said LIKE ALL ($wireWords)))
        ORDER BY a.ware DESC, a.sort_key LIMIT $most`,
});

/** Labels of the stock and the finished pieces whose tags are named, in the order they are named; tags of nothing are left out. */
export const labelsOfSql = statement({
  takes: { kinds: many(text()), numbers: many(int()) },
  gives: { kind: text<Tagged>(), number: int(), name: text(), form: text(), place: maybe(text()) },
  text: `WITH wanted AS (SELECT * FROM unnest($kinds::text[], $numbers::int[]) WITH ORDINALITY AS w(kind, number, position))
       SELECT kind, number, name, form, place FROM (
         SELECT w.*, a.name, p.form, l.name AS place FROM wanted w
           JOIN stock_pieces p ON p.studio_id = $studio AND p.ware = w.kind AND p.number = w.number
           JOIN articles a ON a.studio_id = $studio AND a.article_id = p.article_id
           LEFT JOIN places l ON l.studio_id = $studio AND l.place_id = p.place_id
          UNION ALL
         SELECT w.*, f.name, f.kind, NULLIF(f.size, '') FROM wanted w
           JOIN pieces f ON w.kind = 'piece' AND f.studio_id = $studio AND f.number = w.number AND f.struck_at IS NULL
       ) AS found ORDER BY position`,
});

/** Patterns, finished pieces or batches by their number, or by all of the words in their name. */
const named = (table: string) =>
  statement({
    takes: { number: int(), words: many(text()), most: big() },
    gives: { number: int(), name: text() },
    text: `SELECT number, name FROM ${table} WHERE studio_id = $studio AND (number = $number OR name_lower LIKE ALL ($words))
            ORDER BY (number = $number) DESC, number DESC LIMIT $most`,
  });

/** Receipts, or orders, by their number, or by all of the words in the name of their buyer. */
const ofBuyer = (table: string) =>
  statement({
    takes: { number: int(), words: many(text()), most: big() },
    gives: { number: int(), name: text() },
    text: `SELECT number, CASE WHEN buyer = '' THEN 'a buyer without a name' ELSE buyer END AS name FROM ${table}
            WHERE studio_id = $studio AND (number = $number OR (buyer <> '' AND lower(buyer) LIKE ALL ($words)))
            ORDER BY (number = $number) DESC, number DESC LIMIT $most`,
  });

export const findNamedSql = {
  pattern: named('patterns'),
  piece: named('pieces'),
  batch: named('batches'),
  sale: ofBuyer('sales'),
  order: ofBuyer('orders'),
} as const;

/** Lets one first visit set a studio up at a time. */
export const oneSetUpAtATimeSql = statement({
  takes: {},
  gives: { lock: text() },
  text: 'SELECT pg_advisory_xact_lock(764513)::text AS lock',
});
