import type { Id } from '@/core/id';
import type { BeadKind } from '@/core/bead/bead';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { StoneMeasures } from '@/core/stone/stone';
import type { CostUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import { type AskedOf } from '@/data/sql/list';
import { drawerList, drawerPieceOfNumberSql } from '@/data/sql/lists';
import { readPage, readSums } from '@/data/pages';
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
  readonly id: Id<'stock piece'>;
  readonly articleId: Id<'article'>;
  readonly number: number;
  readonly form: StockForm;
  readonly name: string;
  readonly quantity: number;
  readonly initialQuantity: number;
  readonly cost: CostUnits | null;
  readonly place: string | null;
  readonly photoId: Id<'photo'> | null;
  readonly shades: readonly ShadeGroup[];
  readonly note: string;
  readonly version: number;
  readonly detail: DrawerDetail;
}

export interface DrawerPage {
  readonly pieces: readonly DrawerPiece[];
  /** Over everything the filter lets through. */
  readonly count: number;
  readonly quantity: number;
  readonly cost: CostUnits | null;
  readonly next: string | null;
}

/** The ways of sorting them. */
export const DRAWER_SORTINGS = drawerList.orders;

const PAGE = 48;

type Row = RowOf<typeof drawerPieceOfNumberSql>;

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
    const asked = askedOf(query);
    const [sums] = await readSums(tx, drawerList, { ware }, asked);
    const { rows, next } = await readPage(tx, drawerList, { ware }, asked, { ...query, size: PAGE });
    return {
      pieces: rows.map((row) => pieceFrom(row, sees)),
      count: sums?.count ?? 0,
      quantity: sums?.quantity ?? 0,
      cost: sees ? (sums?.cost ?? null) : null,
      next,
    };
  });
}

/** What is asked of a drawer; what is used up shows only among used stones. */
function askedOf({ words = '', state = '' }: DrawerQuery): AskedOf<(typeof drawerList)['filters']> {
  const parts = words.toLowerCase().trim().split(/\s+/).filter(Boolean).slice(0, 8);
  return {
    ...(parts.length > 0 && { words: parts }),
    ...(state === 'used' ? { isUsedUp: true } : { isThere: true }),
    ...(state === 'free' && { isFree: true }),
    ...(state === 'set aside' && { isSetAside: true }),
  };
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
    const row = await tx.row(drawerPieceOfNumberSql, { ware, number });
    if (!row) return null;
    return {
      ...pieceFrom(row, session.role === 'owner'),
      history: await historyOf(tx, row.id),
      lot: await lotOf(tx, row.id),
    };
  });
}
