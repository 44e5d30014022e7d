import type { Day } from '@/core/calendar/day';
import type { BeadShape } from '@/core/bead/bead';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { BatchState } from '@/core/batch/batchState';
import type { Vec } from '@/core/geometry/vector';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { MovementKind } from '@/core/stock/movement';
import type { StockForm, Ware, WireForm } from '@/core/stock/ware';
import type { HoleAxis, OutlineKind } from '@/core/stone/stone';
import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import { BATCH_COLUMNS, BATCH_GIVES } from './batches';
import { SET_ASIDE_FOR, SPEC_COLUMNS, SPEC_GIVES } from './fragments';
import { called, list, number, tagged, words } from './list';
import { LISTED_DELIVERY, LISTED_DELIVERY_GIVES } from './purchases';
import { big, date, float, instant, int, json, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Open batches by the day they are due, then those that are made, then those that are cancelled, each the latest first. */
const BY_DUE = `CASE b.state WHEN 'open' THEN '0' || COALESCE(b.due_on::text, '9999-12-31') WHEN 'made' THEN '1' ELSE '2' END
  || lpad((99999999 - b.number)::text, 8, '0')`;

export const batchList = list({
  from: 'batches b',
  where: 'b.studio_id = $studio',
  takes: {},
  filters: {
    called: called('b'),
    tagged: tagged('b'),
    state: { takes: text<BatchState>(), sql: 'b.state = $state' },
  },
  orders: {
    due: { keys: words(BY_DUE) },
    newest: { keys: number('b.number'), isDown: true },
    name: { keys: words('b.name_lower') },
  },
  number: 'b.number',
  columns: BATCH_COLUMNS,
  gives: BATCH_GIVES,
  sums: `count(*)::int AS total, count(*) FILTER (WHERE state = 'open')::int AS open,
         min(due_on) FILTER (WHERE state = 'open')::text AS "nextDue"`,
  sumsGive: { total: int(), open: int(), nextDue: maybe(text<Day>()) },
});

const MADE =
  '(SELECT count(*) FROM pieces f WHERE f.studio_id = p.studio_id AND f.pattern_id = p.pattern_id)';

export const patternList = list({
  from: `patterns p JOIN pattern_revisions r
    ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision`,
  where: 'p.studio_id = $studio',
  takes: {},
  filters: {
    called: called('p'),
    tagged: tagged('p'),
    kind: { takes: text<PatternKind>(), sql: 'p.kind = $kind' },
  },
  orders: {
    written: { keys: number('p.number') },
    newest: { keys: number('p.number'), isDown: true },
    name: { keys: words('p.name_lower') },
    'most made': { keys: number(MADE), isDown: true },
  },
  number: 'p.number',
  columns: `p.number, p.name, p.kind, p.revision, r.body, ${MADE}::int AS "madeCount"`,
  gives: {
    number: int(),
    name: text(),
    kind: text<PatternKind>(),
    revision: int(),
    body: json<PatternBody>(),
    madeCount: int(),
  },
  sums: 'count(*)::int AS total',
  sumsGive: { total: int() },
});

const SPOILED = `(SELECT string_agg(DISTINCT m.reason, '; ') FROM movements m
   WHERE m.studio_id = f.studio_id AND m.piece_id = f.piece_id AND m.kind = 'spoiled')`;

/** Pieces of the logbook are counted up to so many. */
export const MOST_LOGGED = 1000;

/** Everything that was made, with what was planned of it. */
export const logList = list({
  from: 'pieces f',
  joins: `JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
    JOIN users u ON u.studio_id = f.studio_id AND u.user_id = f.user_id`,
  where: 'f.studio_id = $studio AND f.struck_at IS NULL',
  takes: {},
  filters: {
    // Words of its name, or of what was noted of it.
    called: {
      takes: many(text()),
      sql: `(f.name_lower LIKE ALL ($called) OR (f.note <> '' AND lower(f.note) LIKE ALL ($called)))`,
    },
    tagged: tagged('f'),
    kind: { takes: text<PatternKind>(), sql: 'f.kind = $kind' },
    maker: { takes: uuid<'user'>(), sql: 'f.user_id = $maker' },
    pattern: {
      takes: int(),
      sql: 'f.pattern_id = (SELECT p.pattern_id FROM patterns p WHERE p.studio_id = $studio AND p.number = $pattern)',
    },
    isSpoiled: { sql: `${SPOILED} IS NOT NULL` },
    isMeasured: {
      sql: `EXISTS (SELECT FROM wire_log w WHERE w.studio_id = f.studio_id AND w.piece_id = f.piece_id AND w.is_measured)`,
    },
  },
  orders: {
    newest: { keys: number('f.number'), isDown: true },
    oldest: { keys: number('f.number') },
    name: { keys: words('f.name_lower') },
  },
  number: 'f.number',
  columns: `f.piece_id AS "pieceId", f.number, f.name, f.kind, f.size, f.made_at AS "madeAt", f.user_id AS "userId", u.name AS maker,
    p.number AS "patternNumber", f.minutes, f.planned_minutes AS "plannedMinutes", f.drawer_stock_id AS "drawerStockId", f.note, f.flaw,
    COALESCE(f.front_photo_id, f.back_photo_id) AS photo, ${SPOILED} AS spoiled`,
  gives: {
    pieceId: uuid<'piece'>(),
    number: int(),
    name: text(),
    kind: text<PatternKind>(),
    size: text(),
    madeAt: instant(),
    userId: uuid<'user'>(),
    maker: text(),
    patternNumber: int(),
    minutes: float(),
    plannedMinutes: maybe(float()),
    drawerStockId: maybe(uuid<'stock piece'>()),
    note: text(),
    flaw: text(),
    photo: maybe(uuid<'photo'>()),
    spoiled: maybe(text()),
  },
  sumsOfMost: MOST_LOGGED + 1,
  sums: 'count(*)::int AS total',
  sumsGive: { total: int() },
});

const DRAWER_COLUMNS = `p.stock_piece_id AS id, p.article_id AS "articleId", p.ware, p.number, p.form, a.name, p.quantity,
  p.initial_quantity AS "initialQuantity", p.cost_units AS cost, l.name AS place, a.photo_id AS "photoId", p.shades, p.note, p.version,
  COALESCE(b.material, s.material, f.material) AS material, b.shape, b.min_um AS "min", b.max_um AS "max",
  COALESCE(b.hole_um, s.hole_um) AS hole, s.outline, s.length_um AS length, s.width_um AS width, s.depth_um AS depth, s.edge_um AS edge,
  s.hole_axis AS "holeAxis", ${SET_ASIDE_FOR} AS "setAsideFor", s.traced, f.finding, f.size, y.unit, y.per_piece AS "perPiece"`;

const DRAWER_FROM = `stock_pieces p
  JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
  LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
  LEFT JOIN beads b ON b.studio_id = p.studio_id AND b.article_id = p.article_id
  LEFT JOIN stones s ON s.studio_id = p.studio_id AND s.article_id = p.article_id
  LEFT JOIN findings f ON f.studio_id = p.studio_id AND f.article_id = p.article_id
  LEFT JOIN supplies y ON y.studio_id = p.studio_id AND y.article_id = p.article_id`;

/** Columns of a ware's own are null for the other wares. */
const DRAWER_GIVES = {
  id: uuid<'stock piece'>(),
  articleId: uuid<'article'>(),
  ware: text<Exclude<Ware, 'wire' | 'scrap'>>(),
  number: int(),
  form: text<StockForm>(),
  name: text(),
  quantity: big(),
  initialQuantity: big(),
  cost: big<CostUnits>(),
  place: maybe(text()),
  photoId: maybe(uuid<'photo'>()),
  shades: json<readonly ShadeGroup[]>(),
  note: text(),
  version: int(),
  material: text(),
  shape: text<BeadShape>(),
  min: int<Micrometres>(),
  max: int<Micrometres>(),
  hole: int<Micrometres>(),
  outline: text<OutlineKind>(),
  length: int<Micrometres>(),
  width: int<Micrometres>(),
  depth: int<Micrometres>(),
  edge: int<Micrometres>(),
  holeAxis: text<HoleAxis>(),
  setAsideFor: text(),
  traced: json<readonly Vec[]>(),
  finding: text<FindingKind>(),
  size: text(),
  unit: text<SupplyUnit>(),
  perPiece: big(),
} as const;

const IS_SET_ASIDE =
  'EXISTS (SELECT FROM reservations o WHERE o.studio_id = p.studio_id AND o.stock_piece_id = p.stock_piece_id)';

/** What lies in the drawers of one ware. */
export const drawerList = list({
  from: DRAWER_FROM,
  where: 'p.studio_id = $studio AND p.ware = $ware',
  takes: { ware: text() },
  filters: {
    words: {
      takes: many(text()),
      sql: `NOT EXISTS (SELECT FROM unnest($words::text[]) AS w(word)
                         WHERE strpos(a.said, word) = 0 AND strpos(lower(COALESCE(l.name, '')), word) = 0)`,
    },
    isThere: { sql: 'p.quantity > 0' },
    isUsedUp: { sql: 'p.quantity = 0' },
    isSetAside: { sql: IS_SET_ASIDE },
    isFree: { sql: `NOT ${IS_SET_ASIDE}` },
  },
  orders: {
    kept: { keys: words('p.sort_key') },
    newest: { keys: number('p.number'), isDown: true },
    largest: {
      keys: number('COALESCE(s.length_um::bigint * s.width_um, b.max_um::bigint, 0)'),
      isDown: true,
    },
    'most left': { keys: number('p.quantity'), isDown: true },
  },
  number: 'p.number',
  columns: DRAWER_COLUMNS,
  gives: DRAWER_GIVES,
  sums: `count(*)::int AS count, COALESCE(sum(p.quantity), 0)::bigint AS quantity, COALESCE(sum(p.cost_units), 0)::bigint AS cost`,
  sumsGive: { count: int(), quantity: big(), cost: big<CostUnits>() },
});

/** What lies in a drawer by the number on its tag. */
export const drawerPieceOfNumberSql = statement({
  takes: { ware: text(), number: int() },
  gives: DRAWER_GIVES,
  text: `SELECT ${DRAWER_COLUMNS} FROM ${DRAWER_FROM} WHERE p.studio_id = $studio AND p.ware = $ware AND p.number = $number`,
});

/** Wire on the rack. Its sums are by spec. */
export const rackList = list({
  from: `stock_pieces p JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
    JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id`,
  where: `p.studio_id = $studio AND p.ware = 'wire' AND p.quantity > 0`,
  takes: {},
  filters: {
    metal: { takes: text(), sql: 's.metal = $metal' },
    profile: { takes: text(), sql: 's.profile = $profile' },
    gauge: { takes: text(), sql: `s.gauge_number || ' ' || s.gauge_system = $gauge` },
    temper: { takes: text(), sql: 's.temper = $temper' },
    // Each word is in what the wire is called, or is the number on its tag; where it is none, the number is −1.
    words: {
      takes: many(text()),
      sql: `NOT EXISTS (SELECT FROM unnest($words::text[], $numbers::int[]) AS w(word, number)
                         WHERE a.said NOT LIKE word AND p.number <> w.number)`,
    },
    numbers: { takes: many(int()), sql: 'true' },
  },
  orders: {
    kept: {
      keys: [
        { by: 'p.sort_key', as: 'text' },
        { by: 'p.is_off_cut', as: 'bool' },
      ],
    },
  },
  number: 'p.number',
  columns: `p.stock_piece_id AS id, p.number, p.form, p.quantity AS length, p.initial_quantity AS "initialLength",
    p.cost_units AS cost, ${SPEC_COLUMNS}`,
  gives: {
    id: uuid<'stock piece'>(),
    number: int(),
    form: text<WireForm>(),
    length: big<Micrometres>(),
    initialLength: big<Micrometres>(),
    cost: big<CostUnits>(),
    ...SPEC_GIVES,
  },
  sums: `p.article_id AS "specId", count(*)::int AS pieces, sum(p.quantity)::bigint AS length, sum(p.cost_units)::bigint AS cost`,
  sumsBy: 'p.article_id',
  sumsGive: { specId: uuid<'article'>(), pieces: int(), length: big<Micrometres>(), cost: big<CostUnits>() },
});

const IN_ARTICLES = (condition: string) =>
  `m.article_id IN (SELECT article_id FROM articles WHERE studio_id = $studio AND ${condition})`;

/** The whole ledger: its keys narrow it before any name is looked up. */
export const ledgerList = list({
  from: 'movements m',
  joins: `JOIN users u ON u.studio_id = m.studio_id AND u.user_id = m.user_id
    JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
    JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
    LEFT JOIN supplies s ON s.studio_id = m.studio_id AND s.article_id = m.article_id
    LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id
    LEFT JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id`,
  where: 'm.studio_id = $studio',
  takes: {},
  filters: {
    kind: { takes: text<MovementKind>(), sql: 'm.kind = $kind' },
    person: { takes: uuid<'user'>(), sql: 'm.user_id = $person' },
    posting: { takes: uuid<'post'>(), sql: 'm.post_key = $posting' },
    from: { takes: date(), sql: 'm.happened_at >= $from::date' },
    to: { takes: date(), sql: 'm.happened_at < $to::date + 1' },
    ware: { takes: text<Ware>(), sql: IN_ARTICLES('ware = $ware') },
    piece: {
      takes: int(),
      sql: 'm.piece_id = (SELECT piece_id FROM pieces WHERE studio_id = $studio AND number = $piece)',
    },
    batch: {
      takes: int(),
      sql: 'm.batch_id = (SELECT batch_id FROM batches WHERE studio_id = $studio AND number = $batch)',
    },
    stockWare: { takes: text<Ware>(), sql: 'true' },
    stock: {
      takes: int(),
      sql: `m.stock_piece_id = (SELECT stock_piece_id FROM stock_pieces
                                 WHERE studio_id = $studio AND ware = $stockWare AND number = $stock)`,
    },
    words: {
      takes: many(text()),
      sql: IN_ARTICLES(
        'NOT EXISTS (SELECT FROM unnest($words::text[]) AS w(word) WHERE strpos(said, word) = 0)',
      ),
    },
  },
  orders: { newest: { keys: [{ by: 'm.happened_at', as: 'timestamptz' }], isDown: true } },
  number: 'm.movement_id',
  columns: `m.movement_id AS id, m.happened_at AS at, u.name AS who, m.kind, a.ware, p.number, a.name AS article, s.unit, m.quantity,
    m.cost_units AS cost, m.reason, f.number AS "pieceNumber", f.name AS "pieceName", m.reverses, r.movement_id AS "reversedBy",
    m.post_key AS "postKey"`,
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
    pieceNumber: maybe(int()),
    pieceName: maybe(text()),
    reverses: maybe(big()),
    reversedBy: maybe(big()),
    postKey: uuid<'post'>(),
  },
  sums: 'count(*)::int AS movements',
  sumsGive: { movements: int() },
});

/** What came in together, the latest first. */
export const deliveryList = list({
  from: 'deliveries d LEFT JOIN suppliers u ON u.studio_id = d.studio_id AND u.supplier_id = d.supplier_id',
  where: 'd.studio_id = $studio',
  takes: {},
  filters: {},
  orders: { newest: { keys: number('d.number'), isDown: true } },
  number: 'd.number',
  columns: `${LISTED_DELIVERY}, (SELECT count(*)::int FROM lots l WHERE l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id) AS lines`,
  gives: { ...LISTED_DELIVERY_GIVES, lines: int() },
  sums: 'count(*)::int AS deliveries',
  sumsGive: { deliveries: int() },
});
