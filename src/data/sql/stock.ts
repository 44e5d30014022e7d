import type { Day } from '@/core/calendar/day';
import type { MinorUnits, CostUnits } from '@/core/units/money';
import type { Micrometres } from '@/core/units/length';
import type { Ware } from '@/core/stock/ware';
import type { Micrograms } from '@/core/units/mass';
import { RESERVED_FOR_OTHERS, SET_ASIDE_FOR, IN_TRAY, SPEC_COLUMNS, SPEC_GIVES } from './fragments';
import { big, bool, int, json, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';
import { type HoleAxis, type OutlineKind } from '@/core/stone/stone';
import { type Vec } from '@/core/geometry/vector';

/** Lengths of some wires that lie in no tray. */
export const wiresOutOfTraysSql = statement({
  takes: { specIds: many(uuid<'article'>()) },
  gives: {
    id: uuid<'stock piece'>(),
    specId: uuid<'article'>(),
    length: big<Micrometres>(),
    isOffCut: bool(),
  },
  text: `SELECT p.stock_piece_id AS id, p.article_id AS "specId", p.quantity AS length, p.is_off_cut AS "isOffCut" FROM stock_pieces p
      WHERE p.studio_id = $studio AND p.article_id = ANY ($specIds) AND p.quantity > 0
        AND NOT EXISTS (SELECT FROM reservations s WHERE s.studio_id = $studio AND s.stock_piece_id = p.stock_piece_id AND ${IN_TRAY})
      ORDER BY p.number LIMIT 20000`,
});

/** What there is of some articles, what the longest of it is, and what all of it carries; articles of which there is nothing are left out. */
export const onHandOfSql = statement({
  takes: { articleIds: many(uuid<'article'>()) },
  gives: { articleId: uuid<'article'>(), quantity: big(), longest: big(), cost: big<CostUnits>() },
  text: `SELECT article_id AS "articleId", sum(quantity)::bigint AS quantity, max(quantity) AS longest, sum(cost_units)::bigint AS cost
      FROM stock_pieces WHERE studio_id = $studio AND article_id = ANY ($articleIds) AND quantity > 0 GROUP BY 1`,
});

/** The wires in stock that pass a hole, thickest first: round wire only, since a hole is round. */
export const wiresThroughSql = statement({
  takes: { widest: int() },
  gives: { length: big<Micrometres>(), ...SPEC_GIVES },
  text: `SELECT ${SPEC_COLUMNS}, (SELECT sum(quantity)::bigint FROM stock_pieces p
                                 WHERE p.studio_id = $studio AND p.article_id = s.spec_id AND p.quantity > 0) AS length
         FROM wire_specs s
        WHERE s.studio_id = $studio AND s.profile = 'round' AND s.width_um <= $widest
          AND EXISTS (SELECT FROM stock_pieces p WHERE p.studio_id = $studio AND p.article_id = s.spec_id AND p.quantity > 0)
        ORDER BY s.width_um DESC, s.metal, s.temper LIMIT 40`,
});

/** The beads and drilled stones in stock that a wire of a width passes, tightest hole first. */
export const beadsOverSql = statement({
  takes: { leastDoubled: int(), least: int() },
  gives: { number: int(), name: text(), hole: int<Micrometres>(), count: big(), doubled: bool() },
  text: `SELECT p.number, a.name, b.hole_um AS hole, p.quantity AS count, b.hole_um >= $leastDoubled AS doubled
         FROM beads b
         JOIN stock_pieces p ON p.studio_id = b.studio_id AND p.article_id = b.article_id AND p.quantity > 0
         JOIN articles a ON a.studio_id = b.studio_id AND a.article_id = b.article_id
        WHERE b.studio_id = $studio AND b.hole_um >= $least ORDER BY b.hole_um, a.sort_key, p.number LIMIT 100`,
});

/** What every finished piece uses up, with the oldest pack of each that is not empty. */
export const suppliesOfEveryPieceSql = statement({
  takes: {},
  gives: { articleId: uuid<'article'>(), perPiece: big(), stockPieceId: uuid<'stock piece'>() },
  text: `SELECT y.article_id AS "articleId", y.per_piece AS "perPiece", p.stock_piece_id AS "stockPieceId"
       FROM supplies y CROSS JOIN LATERAL (
         SELECT stock_piece_id FROM stock_pieces WHERE studio_id = $studio AND article_id = y.article_id AND quantity > 0
          ORDER BY number LIMIT 1) AS p
      WHERE y.studio_id = $studio AND y.per_piece > 0 ORDER BY y.article_id`,
});

/** What was sent off of a jar, the latest first; what was taken back does not count. */
export const refiningsOfSql = statement({
  takes: { stockPieceId: uuid<'stock piece'>() },
  gives: { sentOn: text<Day>(), refiner: text(), mass: big<Micrograms>(), proceeds: big<MinorUnits>() },
  text: `SELECT r.sent_on::text AS "sentOn", r.refiner, r.mass_ug AS mass, r.proceeds FROM refinings r
        WHERE r.studio_id = $studio AND r.stock_piece_id = $stockPieceId
          AND NOT EXISTS (SELECT FROM movements m JOIN movements b ON b.studio_id = m.studio_id AND b.reverses = m.movement_id
                           WHERE m.studio_id = $studio AND m.post_key = r.post_key)
        ORDER BY r.sent_on DESC LIMIT 100`,
});

/** How many pieces of each ware lie in each place, and what they carry; scrap is left out, since it is paid for with its wire. */
export const stockByPlaceSql = statement({
  takes: {},
  gives: { name: maybe(text()), ware: text<Ware>(), pieces: int(), cost: big<CostUnits>() },
  text: `SELECT l.name, p.ware, count(*)::int AS pieces, sum(p.cost_units)::bigint AS cost
         FROM stock_pieces p LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
        WHERE p.studio_id = $studio AND p.quantity > 0 AND p.ware <> 'scrap'
        GROUP BY l.name, l.position, p.ware ORDER BY l.position NULLS LAST, l.name, p.ware`,
});

/** The places in the order one goes round them. */
export const placesInOrderSql = statement({
  takes: {},
  gives: { id: uuid<'place'>(), name: text(), pieces: int() },
  text: `SELECT place_id AS id, name, (SELECT count(*)::int FROM stock_pieces p WHERE p.studio_id = l.studio_id AND p.place_id = l.place_id
                                        AND p.quantity > 0) AS pieces
         FROM places l WHERE studio_id = $studio ORDER BY position, name LIMIT 500`,
});

/** Puts the places into the order one goes round them; every place is named once. */
export const orderPlacesSql = statement({
  takes: { ids: many(uuid<'place'>()) },
  gives: {},
  text: `UPDATE places p SET position = o.position FROM unnest($ids::uuid[]) WITH ORDINALITY AS o(id, position)
        WHERE p.studio_id = $studio AND p.place_id = o.id`,
});

const stonesOfNumbers = (end: string) =>
  statement({
    takes: { numbers: many(int()), batchId: maybe(uuid<'batch'>()) },
    gives: {
      id: uuid<'stock piece'>(),
      number: int(),
      material: text(),
      outline: text<OutlineKind>(),
      length: int<Micrometres>(),
      width: int<Micrometres>(),
      depth: int<Micrometres>(),
      edge: int<Micrometres>(),
      holeAxis: text<HoleAxis>(),
      hole: int<Micrometres>(),
      setAsideFor: text(),
      traced: json<readonly Vec[]>(),
      taken: big(),
    },
    text: `SELECT p.stock_piece_id AS id, p.number, t.material, t.outline, t.length_um AS length, t.width_um AS width,
                  t.depth_um AS depth, t.edge_um AS edge, t.hole_axis AS "holeAxis", t.hole_um AS hole, ${SET_ASIDE_FOR} AS "setAsideFor", t.traced,
                  ${RESERVED_FOR_OTHERS} AS taken
             FROM stock_pieces p JOIN stones t ON t.studio_id = p.studio_id AND t.article_id = p.article_id
            WHERE p.studio_id = $studio AND p.ware = 'stone' AND p.quantity > 0 AND p.number = ANY ($numbers) ORDER BY p.stock_piece_id ${end}`,
  });

/** Stones by the numbers on their tags, with what of them is set aside by hand or for other batches than one. */
export const stonesOfNumbersSql = stonesOfNumbers('');
/** The same, locked. */
export const lockedStonesSql = stonesOfNumbers('FOR UPDATE OF p');
