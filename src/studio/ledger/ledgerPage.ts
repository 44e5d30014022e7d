import type { Id } from '@/core/id';
import { type AskedOf } from '@/data/sql/list';
import { ledgerList } from '@/data/sql/lists';
import { readPage } from '@/data/pages';
import { User } from '@/data/models/studio';
import type { MovementKind } from '@/core/stock/movement';
import type { SupplyUnit } from '@/core/stock/amount';
import { WARES, type Ware } from '@/core/stock/ware';
import { numberOnTag } from '@/core/tag';
import type { CostUnits } from '@/core/units/money';
import { look, type StudioSession } from '../kernel/useCase';
import type { LedgerQuery } from './ledger.input';

/** One line of the ledger. Costs are null for helpers. */
export interface LedgerLine {
  readonly id: number;
  readonly at: Date;
  readonly who: string;
  readonly kind: MovementKind;
  readonly ware: Ware;
  readonly number: number;
  readonly article: string;
  readonly unit: SupplyUnit | null;
  readonly quantity: number;
  readonly cost: CostUnits | null;
  readonly reason: string;
  readonly pieceNumber: number | null;
  readonly pieceName: string | null;
  readonly reverses: number | null;
  readonly reversedBy: number | null;
  readonly postKey: Id<'post'>;
}

export interface LedgerPage {
  readonly lines: readonly LedgerLine[];
  readonly next: string | null;
  readonly people: readonly { readonly id: Id<'user'>; readonly name: string }[];
}

const PAGE = 60;

/** The whole ledger, newest first, a page at a time: the keys narrow it before any name is looked up. */
export function showLedger(session: StudioSession, query: LedgerQuery): Promise<LedgerPage> {
  return look(session, async (tx) => {
    const { rows, next } = await readPage(tx, ledgerList, {}, askedOf(query), {
      after: query.before,
      size: PAGE,
    });
    const people = await tx.all(User, ['userId', 'name'], { where: {}, order: ['name'], limit: 100 });
    const sees = session.role === 'owner';
    return {
      lines: sees ? rows : rows.map((line) => ({ ...line, cost: null })),
      next,
      people: people.map(({ userId, name }) => ({ id: userId, name })),
    };
  });
}

/** What is asked of the ledger. */
function askedOf(query: LedgerQuery): AskedOf<(typeof ledgerList)['filters']> {
  const { kind, ware, person, from, to, posting } = query;
  return {
    kind: kind || undefined,
    ware: ware || undefined,
    person: person || undefined,
    posting: posting || undefined,
    from: from || undefined,
    to: to || undefined,
    ...itemAsked(query.item?.trim() ?? ''),
  };
}

/** What is asked by a tag, or by words of what something is called. */
function itemAsked(item: string): AskedOf<(typeof ledgerList)['filters']> {
  if (item === '') return {};
  const [piece, batch] = [numberOnTag('piece', item), numberOnTag('batch', item)];
  if (piece !== undefined) return { piece };
  if (batch !== undefined) return { batch };
  const stockWare = WARES.find((each) => numberOnTag(each, item) !== undefined);
  if (stockWare) return { stockWare, stock: numberOnTag(stockWare, item) };
  return { words: item.toLowerCase().split(/\s+/).slice(0, 8) };
}
