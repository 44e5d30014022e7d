import type { PartKind } from '@/core/part/wantedPart';
import { RESERVED_FOR_OTHERS } from './fragments';
import { big, bool, int, many, maybe, text, type Columns, uuid } from '../columns';
import { statement } from './statement';
import { type BeadShape } from '@/core/bead/bead';
import { type FindingKind } from '@/core/stock/finding';
import { type OutlineKind } from '@/core/stone/stone';
import { type Micrometres } from '@/core/units/length';

const FREE = `COALESCE((SELECT sum(p.quantity - ${RESERVED_FOR_OTHERS}) FROM stock_pieces p
   WHERE p.studio_id = $studio AND p.article_id = a.article_id AND p.quantity > 0), 0)::bigint`;

/** What the parts of patterns are in the drawers: as it was said once, or what is called the same. */
export const partsByNameSql = statement({
  takes: { batchId: maybe(uuid<'batch'>()), keys: many(text()) },
  gives: {
    /** Of the name that the part goes by. */
    key: text(),
    articleId: uuid<'article'>(),
    article: text(),
    ware: text<PartKind['ware']>(),
    free: big(),
    /** Whether it was said once, or is called the same; otherwise it was looked for by what is wanted. */
    isNamed: bool(),
  },
  text: `SELECT known.key, a.article_id AS "articleId", a.name AS article, a.ware, ${FREE} AS free, true AS "isNamed"
       FROM (SELECT n.key, COALESCE(k.article_id, s.article_id) AS article_id FROM unnest($keys::text[]) AS n(key)
               LEFT JOIN part_names k ON k.studio_id = $studio AND k.name = n.key
               LEFT JOIN LATERAL (SELECT article_id FROM articles s
                                   WHERE s.studio_id = $studio AND s.name_lower = n.key AND s.ware IN ('bead', 'finding', 'stone')
                                   ORDER BY article_id LIMIT 1) AS s ON k.article_id IS NULL) AS known
       JOIN articles a ON a.studio_id = $studio AND a.article_id = known.article_id`,
});

/** How many of each article are free. */
export const freeOfArticlesSql = statement({
  takes: { batchId: maybe(uuid<'batch'>()), articleIds: many(uuid<'article'>()) },
  gives: { id: uuid<'article'>(), free: big() },
  text: `SELECT a.article_id AS id, ${FREE} AS free FROM articles a WHERE a.studio_id = $studio AND a.article_id = ANY ($articleIds)`,
});

const COLUMNS = `p.stock_piece_id AS id, p.ware, p.number, p.article_id AS "articleId", a.name, l.name AS place,
  p.quantity - ${RESERVED_FOR_OTHERS} AS free`;

const FROM = `stock_pieces p JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
  LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id`;

const OWN = `EXISTS (SELECT FROM reservations s WHERE s.studio_id = $studio AND s.batch_id = $batchId AND s.stock_piece_id = p.stock_piece_id)`;

/** What there is of some articles with what is free of it, first what is set aside for a batch. */
export const packsToChooseFromSql = statement({
  takes: { batchId: maybe(uuid<'batch'>()), articleIds: many(uuid<'article'>()) },
  gives: {
    id: uuid<'stock piece'>(),
    ware: text<PartKind['ware']>(),
    number: int(),
    articleId: uuid<'article'>(),
    name: text(),
    place: maybe(text()),
    /** What of it is free for this piece. */
    free: big(),
  },
  text: `SELECT ${COLUMNS} FROM ${FROM} 
      WHERE p.studio_id = $studio AND p.article_id = ANY ($articleIds) AND p.quantity > 0
      ORDER BY ${OWN} DESC, p.number LIMIT 1000`,
});

/** What names of parts are said to be which article. */
export const namesOfPartsSql = statement({
  takes: {},
  gives: { id: uuid<'article'>(), names: many(text()) },
  text: `SELECT article_id AS id, array_agg(name) AS names FROM part_names WHERE studio_id = $studio GROUP BY article_id`,
});

/** Every kind of a ware that a part may be, with its measures. */
const kindsOf = <const Takes extends Columns, const Measures extends Columns>(
  table: string,
  columns: string,
  measures: Measures,
  takes: Takes,
  only = 'true',
) =>
  statement({
    takes: { ...takes, most: big() },
    gives: { articleId: uuid<'article'>(), article: text(), ...measures },
    text: `SELECT a.article_id AS "articleId", a.name AS article, ${columns}
             FROM ${table} k JOIN articles a ON a.studio_id = k.studio_id AND a.article_id = k.article_id
            WHERE k.studio_id = $studio AND ${only} ORDER BY k.article_id LIMIT $most`,
  });

export const kindsOfBeadsSql = kindsOf(
  'beads',
  'k.material, k.shape, k.min_um AS min, k.max_um AS max, k.hole_um AS hole',
  {
    material: text(),
    shape: text<BeadShape>(),
    min: int<Micrometres>(),
    max: int<Micrometres>(),
    hole: int<Micrometres>(),
  },
  {},
);

export const kindsOfFindingsSql = kindsOf(
  'findings',
  'k.finding, k.material, k.size',
  { finding: text<FindingKind>(), material: text(), size: text() },
  {},
);

/** Stones of which one is free. */
export const kindsOfStonesSql = kindsOf(
  'stones',
  'k.material, k.outline, k.length_um AS length, k.width_um AS width, k.hole_um AS hole',
  {
    material: text(),
    outline: text<OutlineKind>(),
    length: int<Micrometres>(),
    width: int<Micrometres>(),
    hole: int<Micrometres>(),
  },
  { batchId: maybe(uuid<'batch'>()) },
  `EXISTS (SELECT FROM stock_pieces p WHERE p.studio_id = $studio AND p.article_id = k.article_id AND p.quantity > ${RESERVED_FOR_OTHERS})`,
);
