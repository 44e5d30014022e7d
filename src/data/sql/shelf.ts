import type { PatternKind } from '@/core/pattern/pattern';
import { IN_STOCK, type PieceState } from '@/core/selling/life';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, float, instant, int, maybe, text, uuid } from '../columns';
import { called, list, number, tagged, words } from './list';
import { statement } from './statement';

/** Finished pieces, wherever they are; those that became findings lie in their drawer. */
export const shelfList = list({
  from: 'pieces f',
  joins: `JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
    LEFT JOIN places l ON l.studio_id = f.studio_id AND l.place_id = f.place_id`,
  where: 'f.studio_id = $studio AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL',
  takes: {},
  filters: {
    called: called('f'),
    tagged: tagged('f'),
    kind: { takes: text<PatternKind>(), sql: 'f.kind = $kind' },
    isUnpriced: { sql: 'f.price IS NULL' },
    isInStock: { sql: `f.state IN (${IN_STOCK.map((state) => `'${state}'`).join(', ')})` },
    state: { takes: text<PieceState>(), sql: 'f.state = $state' },
    place: { takes: uuid<'place'>(), sql: 'f.place_id = $place' },
  },
  orders: {
    newest: { keys: number('f.number'), isDown: true },
    oldest: { keys: number('f.number') },
    name: { keys: words('f.name_lower') },
    dearest: { keys: number('COALESCE(f.price, -1)'), isDown: true },
    cheapest: { keys: number('COALESCE(f.price, -1)') },
    'longest there': { keys: [{ by: 'COALESCE(f.state_since, f.made_at)', as: 'timestamptz' }] },
  },
  number: 'f.number',
  columns: `f.number, f.name, f.kind, f.size, f.flaw, f.made_at AS "madeAt", p.number AS "patternNumber", f.price, f.minutes,
    f.set_up_minutes AS "setUpMinutes", f.shared_by AS "sharedBy", f.wire_cost AS "wireCost",
    f.wire_replacement AS "wireReplacement", f.scrap_cost AS "scrapCost", f.scrap_replacement AS "scrapReplacement",
    f.spoilage_cost AS "spoilageCost", f.spoilage_replacement AS "spoilageReplacement", f.parts_cost AS "partsCost",
    f.supplies_cost AS "suppliesCost", f.supplies_replacement AS "suppliesReplacement",
    f.hourly_rate AS "hourlyRate", f.overhead_per_hour AS "overheadPerHour", f.state, COALESCE(f.state_since, f.made_at) AS since, l.name AS place,
    COALESCE(f.front_photo_id, f.back_photo_id) AS photo`,
  gives: {
    state: text<PieceState>(),
    since: instant(),
    place: maybe(text()),
    /** Its photograph from the front, or from the back when there is only that. */
    photo: maybe(uuid<'photo'>()),
    number: int(),
    name: text(),
    kind: text<PatternKind>(),
    size: text(),
    flaw: text(),
    madeAt: instant(),
    patternNumber: int(),
    price: maybe(big<MinorUnits>()),
    minutes: float(),
    setUpMinutes: float(),
    sharedBy: int(),
    wireCost: big<CostUnits>(),
    wireReplacement: big<CostUnits>(),
    scrapCost: big<CostUnits>(),
    scrapReplacement: big<CostUnits>(),
    spoilageCost: big<CostUnits>(),
    spoilageReplacement: big<CostUnits>(),
    partsCost: big<CostUnits>(),
    suppliesCost: big<CostUnits>(),
    suppliesReplacement: big<CostUnits>(),
    hourlyRate: big<MinorUnits>(),
    overheadPerHour: big<MinorUnits>(),
  },
  sums: `count(*)::int AS total, count(*) FILTER (WHERE f.price IS NULL)::int AS unpriced, sum(f.price)::bigint AS price`,
  sumsGive: { total: int(), unpriced: int(), price: maybe(big<MinorUnits>()) },
});

/** Places that finished pieces lie in, by name. */
export const shelfPlacesSql = statement({
  takes: {},
  gives: { id: uuid<'place'>(), name: text() },
  text: `SELECT l.place_id AS id, l.name FROM places l
          WHERE l.studio_id = $studio AND EXISTS (SELECT FROM pieces f WHERE f.studio_id = l.studio_id AND f.place_id = l.place_id AND f.struck_at IS NULL)
          ORDER BY lower(l.name)`,
});
