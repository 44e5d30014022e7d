import type { Day } from '@/core/calendar/day';
import type { BeadShape } from '@/core/bead/bead';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { Vec } from '@/core/geometry/vector';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { HoleAxis, OutlineKind } from '@/core/stone/stone';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { MetalId } from '@/core/wire/metal';
import type { Ware } from '@/core/stock/ware';
import { SET_ASIDE_FOR, SPEC_COLUMNS, SPEC_GIVES } from './fragments';
import { big, int, json, maybe, text, type Columns } from '../columns';
import { statement } from './statement';

/** What is told of stock of every ware that goes out as a list. */
const COMMON = {
  number: int(),
  form: text(),
  quantity: big(),
  cost: big<CostUnits>(),
  place: text(),
  note: text(),
  supplier: text(),
  boughtOn: maybe(text<Day>()),
  price: maybe(big<MinorUnits>()),
  bought: maybe(big()),
  invoice: text(),
} as const;

/** Stock of one ware that there is, by its number, so many after a number. */
const stockOf = <const Own extends Columns>(ware: Ware, columns: string, joins: string, own: Own) =>
  statement({
    takes: { after: int(), most: big() },
    gives: { ...COMMON, ...own },
    text: `SELECT p.number, p.form, p.quantity, p.cost_units AS cost, COALESCE(pl.name, '') AS place, p.note,
                  COALESCE(u.name, '') AS supplier, l.bought_on::text AS "boughtOn", l.price, l.quantity AS bought,
                  COALESCE(l.note, '') AS invoice, ${columns}
             FROM stock_pieces p
             LEFT JOIN places pl ON pl.studio_id = p.studio_id AND pl.place_id = p.place_id
             LEFT JOIN lots l ON l.studio_id = p.studio_id AND l.lot_id = p.lot_id
             LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id ${joins}
            WHERE p.studio_id = $studio AND p.ware = '${ware}' AND p.number > $after AND p.quantity > 0 ORDER BY p.number LIMIT $most`,
  });

const own = (table: string) => `JOIN ${table} s ON s.studio_id = p.studio_id AND s.article_id = p.article_id`;
const ARTICLES = 'JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id';

export const wireToExportSql = stockOf(
  'wire',
  `${SPEC_COLUMNS}, l.gauge_system AS "labelSystem", l.gauge_number AS "labelNumber", COALESCE(t.name, '') AS "spoolType", p.empty_mass_ug AS empty`,
  `JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
   LEFT JOIN spool_types t ON t.studio_id = p.studio_id AND t.spool_type_id = p.spool_type_id`,
  {
    ...SPEC_GIVES,
    labelSystem: maybe(text<GaugeSystem>()),
    labelNumber: text(),
    spoolType: text(),
    empty: maybe(big<Micrograms>()),
  },
);

export const beadsToExportSql = stockOf(
  'bead',
  's.material, s.shape, s.min_um AS min, s.max_um AS max, s.hole_um AS hole, p.shades',
  own('beads'),
  {
    material: text(),
    shape: text<BeadShape>(),
    min: int<Micrometres>(),
    max: int<Micrometres>(),
    hole: int<Micrometres>(),
    shades: json<readonly ShadeGroup[]>(),
  },
);

export const stonesToExportSql = stockOf(
  'stone',
  `s.material, s.outline, s.length_um AS length, s.width_um AS width, s.depth_um AS depth, s.edge_um AS edge, s.hole_axis AS "holeAxis",
   s.hole_um AS hole, ${SET_ASIDE_FOR} AS "setAside", s.traced`,
  own('stones'),
  {
    material: text(),
    outline: text<OutlineKind>(),
    length: int<Micrometres>(),
    width: int<Micrometres>(),
    depth: int<Micrometres>(),
    edge: int<Micrometres>(),
    holeAxis: text<HoleAxis>(),
    hole: int<Micrometres>(),
    setAside: text(),
    traced: json<readonly Vec[]>(),
  },
);

export const findingsToExportSql = stockOf('finding', 's.finding, s.material, s.size', own('findings'), {
  finding: text<FindingKind>(),
  material: text(),
  size: text(),
});

export const suppliesToExportSql = stockOf(
  'supply',
  'a.name, s.unit, s.per_piece AS "perPiece"',
  `${own('supplies')} ${ARTICLES}`,
  { name: text(), unit: text<SupplyUnit>(), perPiece: big() },
);

export const scrapToExportSql = stockOf('scrap', 'a.identity AS metal', ARTICLES, {
  metal: text<MetalId>(),
});
