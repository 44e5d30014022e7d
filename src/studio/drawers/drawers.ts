import type { Vec } from '@/core/geometry/vector';
import type { BeadKind, BeadShape } from '@/core/bead/bead';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { HoleAxis, OutlineKind, StoneMeasures } from '@/core/stone/stone';
import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { pageOf, pageSql, sortingOf, type SortedRow, type Sorting } from '../kernel/sorting';
import { SET_ASIDE_FOR } from '../reservations/reservations';
import { look, type StudioSession } from '../kernel/useCase';
import { historyOf, lotOf, type HistoryLine, type LotView } from '../stock/history';
import type { DrawerQuery } from './drawers.input';

/** The wares that lie in drawers. */
export type DrawerWare = Exclude<Ware, 'wire' | 'scrap'>;

export type DrawerDetail =
  | ({ readonly ware: 'bead' } & BeadKind)
  | ({ readonly ware: 'stone'; readonly setAsideFor: string } & StoneMeasures)
  | {
      readonly ware: 'finding';
      readonly finding: FindingKind;
      readonly material: string;
      readonly size: string;
    }
  | { readonly ware: 'supply'; readonly unit: SupplyUnit; readonly perPiece: number };

/** One thing in a drawer. Costs are null for helpers. */
export interface DrawerPiece {
  readonly id: string;
  readonly articleId: string;
  readonly number: number;
  readonly form: StockForm;
  readonly name: string;
  readonly quantity: number;
  readonly initialQuantity: number;
  readonly cost: CostUnits | null;
  readonly place: string | null;
  readonly photoId: string | null;
  readonly shades: readonly ShadeGroup[];
  readonly note: string;
  readonly version: number;
  readonly detail: DrawerDetail;
}

/** Ways of sorting a drawer: as it is kept when nothing is said. */
export const DRAWER_SORTINGS = {
  kept: { by: 'p.sort_key', as: 'text' },
  newest: { by: 'p.number', as: 'bigint', isDown: true },
  largest: {
    by: 'COALESCE(s.length_um::bigint * s.width_um, b.max_um::bigint, 0)',
    as: 'bigint',
    isDown: true,
  },
  'most left': { by: 'p.quantity', as: 'bigint', isDown: true },
} as const satisfies Readonly<Record<string, Sorting>>;

export interface DrawerPage {
  readonly pieces: readonly DrawerPiece[];
  /** Over everything the filter lets through. */
  readonly count: number;
  readonly quantity: number;
  readonly cost: CostUnits | null;
  readonly next: string | null;
}

const PAGE = 48;

const COLUMNS = `p.stock_piece_id AS id, p.article_id AS "articleId", p.ware, p.number, p.form, a.name, p.quantity,
  p.initial_quantity AS "initialQuantity", p.cost_units AS cost, l.name AS place, a.photo_id AS "photoId", p.shades, p.note, p.version,
  COALESCE(b.material, s.material, f.material) AS material, b.shape, b.min_um AS "min", b.max_um AS "max",
  COALESCE(b.hole_um, s.hole_um) AS hole, s.outline, s.length_um AS length, s.width_um AS width, s.depth_um AS depth, s.edge_um AS edge,
  s.hole_axis AS "holeAxis", ${SET_ASIDE_FOR} AS "setAsideFor", s.traced, f.finding, f.size, y.unit, y.per_piece AS "perPiece"`;

const FROM = `stock_pieces p
  JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
  LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
  LEFT JOIN beads b ON b.studio_id = p.studio_id AND b.article_id = p.article_id
  LEFT JOIN stones s ON s.studio_id = p.studio_id AND s.article_id = p.article_id
  LEFT JOIN findings f ON f.studio_id = p.studio_id AND f.article_id = p.article_id
  LEFT JOIN supplies y ON y.studio_id = p.studio_id AND y.article_id = p.article_id`;

interface Row extends Omit<DrawerPiece, 'detail' | 'cost'> {
  readonly ware: DrawerWare;
  readonly cost: CostUnits;
  readonly material: string;
  readonly shape: BeadShape;
  readonly min: Micrometres;
  readonly max: Micrometres;
  readonly hole: Micrometres;
  readonly outline: OutlineKind;
  readonly length: Micrometres;
  readonly width: Micrometres;
  readonly depth: Micrometres;
  readonly edge: Micrometres;
  readonly holeAxis: HoleAxis;
  readonly setAsideFor: string;
  readonly traced: readonly Vec[];
  readonly finding: FindingKind;
  readonly size: string;
  readonly unit: SupplyUnit;
  readonly perPiece: number;
}

function detailOf(row: Row): DrawerDetail {
  const { ware, material, hole, finding, size, unit, perPiece } = row;
  switch (ware) {
    case 'bead':
      return { ware, material, shape: row.shape, min: row.min, max: row.max, hole };
    case 'stone': {
      const { outline, length, width, depth, edge, holeAxis, setAsideFor, traced } = row;
      return { ware, material, outline, length, width, depth, edge, holeAxis, hole, setAsideFor, traced };
    }
    case 'finding':
      return { ware, finding, material, size };
    case 'supply':
      return { ware, unit, perPiece };
  }
}

function pieceFrom(row: Row, sees: boolean): DrawerPiece {
  const {
    id,
    articleId,
    number,
    form,
    name,
    quantity,
    initialQuantity,
    place,
    photoId,
    shades,
    note,
    version,
  } = row;
  return {
    id,
    articleId,
    number,
    form,
    name,
    quantity,
    initialQuantity,
    cost: sees ? row.cost : null,
    place,
    photoId,
    shades,
    note,
    version,
    detail: detailOf(row),
  };
}

/** What lies in the drawers of one ware, a page at a time, in the order it is kept. */
export function showDrawer(
  session: StudioSession,
  ware: DrawerWare,
  query: DrawerQuery,
): Promise<DrawerPage> {
  return look(session, async (tx) => {
    const sees = session.role === 'owner';
    const bind: unknown[] = [session.studioId, ware];
    const where = conditions(query, bind);
    const sums = await tx.first<{ count: number; quantity: number; cost: CostUnits }>(
      `SELECT count(*)::int AS count, COALESCE(sum(p.quantity), 0)::bigint AS quantity, COALESCE(sum(p.cost_units), 0)::bigint AS cost
         FROM ${FROM} WHERE p.studio_id = $1 AND p.ware = $2${where}`,
      bind,
    );
    const page = pageSql(sortingOf(DRAWER_SORTINGS, query.sort), 'p.number', query.after, bind);
    const rows = await tx.select<Row & SortedRow>(
      `SELECT ${COLUMNS}, ${page.column} FROM ${FROM} WHERE p.studio_id = $1 AND p.ware = $2${where}${page.where}
       ${page.orderBy} LIMIT ${PAGE + 1}`,
      bind,
    );
    const { shown, next } = pageOf(rows, PAGE);
    return {
      pieces: shown.map((row) => pieceFrom(row, sees)),
      count: sums?.count ?? 0,
      quantity: sums?.quantity ?? 0,
      cost: sees ? (sums?.cost ?? null) : null,
      next,
    };
  });
}

const IS_SET_ASIDE = `EXISTS (SELECT FROM reservations o WHERE o.studio_id = p.studio_id AND o.stock_piece_id = p.stock_piece_id)`;

/** SQL for what is asked; what is used up shows only among used stones. */
function conditions({ words = '', state = '' }: DrawerQuery, bind: unknown[]): string {
  const parts: string[] = [];
  for (const word of words.toLowerCase().trim().split(/\s+/).filter(Boolean).slice(0, 8)) {
    const slot = `$${bind.push(word)}`;
    parts.push(` AND (strpos(a.said, ${slot}) > 0 OR strpos(lower(COALESCE(l.name, '')), ${slot}) > 0)`);
  }
  if (state === 'used') return `${parts.join('')} AND p.quantity = 0`;
  if (state === 'free') parts.push(` AND NOT ${IS_SET_ASIDE}`);
  if (state === 'set aside') parts.push(` AND ${IS_SET_ASIDE}`);
  return `${parts.join('')} AND p.quantity > 0`;
}

/** One thing in a drawer with where it came from and all that happened to it. */
export interface DrawerPieceView extends DrawerPiece {
  readonly history: readonly HistoryLine[];
  readonly lot: LotView | null;
}

/** Opens a thing by the number on its tag; null when there is none. */
export function showDrawerPiece(
  session: StudioSession,
  ware: DrawerWare,
  number: number,
): Promise<DrawerPieceView | null> {
  return look(session, async (tx) => {
    const row = await drawerRow(tx, ware, number);
    if (!row) return null;
    return {
      ...pieceFrom(row, session.role === 'owner'),
      history: await historyOf(tx, row.id),
      lot: await lotOf(tx, row.id),
    };
  });
}

const drawerRow = (tx: Tx, ware: DrawerWare, number: number): Promise<Row | undefined> =>
  tx.first<Row>(`SELECT ${COLUMNS} FROM ${FROM} WHERE p.studio_id = $1 AND p.ware = $2 AND p.number = $3`, [
    tx.session.studioId,
    ware,
    number,
  ]);
