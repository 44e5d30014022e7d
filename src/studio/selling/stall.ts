import type { Id } from '@/core/id';
import { IN_STOCK, type PieceState } from '@/core/selling/life';
import type { Fate, ToldSale } from '@/core/selling/stall';
import type { PatternKind } from '@/core/pattern/pattern';
import { formatMoney, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { UnsettledSale } from '@/data/models/selling';
import { Refused } from '../kernel/outcome';
import { acts, type Posted } from '../kernel/posts';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { look, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { channelsIn, type KnownChannel } from './channels';
import { keptFor } from './keptFor';
import { withoutCosts } from './sales';
import { enterReady, readySale, type ReadySale } from './sell';
import { SellInput } from './sell.input';

/** The most pieces that are taken to a stall, the youngest first. */
export const MOST_AT_STALL = 2000;
/** The most sales that are told at once. */
export const MOST_TOLD = 200;

/** A piece that can be sold at a stall. */
export interface StallPiece {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  readonly size: string;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  /** On its tag; null where it has no price yet. */
  readonly price: MinorUnits | null;
  /** Whom it is kept for; null where it is kept for nobody. */
  readonly keptFor: string | null;
  /** The place that it lies in; empty where nobody said. */
  readonly place: string;
  readonly photo: Id<'photo'> | null;
}

/** What a stall knows before it is without a connection. What things cost the studio is no part of it: buyers look on. */
export interface StallView {
  readonly pieces: readonly StallPiece[];
  /** Where something is sold now; fairs first. */
  readonly channels: readonly KnownChannel[];
}

/** Pieces that are to be had at a stall: what lies at a shop is not. */
const AT_HAND: readonly PieceState[] = IN_STOCK.filter((state) => state !== 'at a shop');
const atHand = () => ({ state: [...AT_HAND], struckAt: null, drawerStockId: null });

/** All that can be sold at a stall, the youngest first. */
export function showStall(session: StudioSession): Promise<StallView> {
  return look(session, async (tx) => {
    const rows = await tx.allWith(
      Piece,
      ['pieceId', 'number', 'name', 'size', 'flaw', 'kind', 'price', 'state', 'frontPhotoId', 'backPhotoId'],
      { place: ['name'] },
      { where: atHand(), order: [['number', 'DESC']], limit: MOST_AT_STALL },
    );
    const kept = await keptFor(tx, rows);
    const open = (await channelsIn(tx)).filter(({ isOpen }) => isOpen).map(withoutCosts);
    const isFair = ({ kind }: KnownChannel): boolean => kind === 'fair';
    return {
      pieces: rows.map((row) => {
        const { number, name, size, flaw, kind, price, place, frontPhotoId, backPhotoId } = row;
        const photo = frontPhotoId ?? backPhotoId;
        return { number, name, size, flaw, kind, price, keptFor: kept(row), place: place?.name ?? '', photo };
      }),
      channels: [...open.filter(isFair), ...open.filter((each) => !isFair(each))],
    };
  });
}

/** A sale that can be entered as it was told, or why it cannot. */
type Looked = { readonly input: ValuesOf<SellInput>; readonly ready: ReadySale } | { readonly why: string };

async function looked(tx: Tx, { typed, gross }: ToldSale): Promise<Looked> {
  try {
    const input = await readInput(SellInput, typed);
    const ready = await readySale(tx, input);
    const total = ready.sold.total.gross;
    if (total === gross) return { input, ready };
    const { currency } = await settingsIn(tx);
    const money = (amount: MinorUnits): string => formatMoney(amount, currency);
    return {
      why: `${money(gross)} was taken; as prices and tax are now, it comes to ${money(total)}.`,
    };
  } catch (fault) {
    if (fault instanceof Refused) return { why: fault.problem.message };
    throw fault;
  }
}

/** Hears of one sale: it is entered as it was told, or kept until somebody settles it. Nothing of it is written before it is known which. */
const hearSale = acts('hearSale', async (posted: Posted, told: ToldSale): Promise<Fate> => {
  const { tx, session } = posted;
  const found = await looked(tx, told);
  if ('ready' in found) {
    const { number } = await enterReady(posted, found.input, found.ready);
    return { is: 'sold', number };
  }
  const { id: stallSaleId, at, typed } = told;
  await tx.add(UnsettledSale, [
    {
      ...{ stallSaleId, typed, why: found.why, userId: session.userId },
      ...{ madeAt: new Date(at), heardAt: session.now },
    },
  ]);
  return { is: 'unsettled', why: found.why };
});

/** What became of sales that could not be entered as they were told. */
async function settledSince(
  tx: Tx,
  stallSaleId: readonly Id<'stall sale'>[],
): Promise<Readonly<Record<string, Fate>>> {
  const rows = await tx.allWith(
    UnsettledSale,
    ['stallSaleId', 'settledAt'],
    { sale: ['number'] },
    { where: { stallSaleId: [...stallSaleId] } },
  );
  const fates = rows
    .filter(({ settledAt }) => settledAt !== null)
    .map((row): [string, Fate] => [
      row.stallSaleId,
      row.sale ? { is: 'sold', number: row.sale.number } : { is: 'no sale' },
    ]);
  return Object.fromEntries(fates);
}

/** What the studio answers to a stall. */
export interface StallHeard {
  /** Of each sale by its id; what is not in it is to be told again. */
  readonly fates: Readonly<Record<string, Fate>>;
  /** Numbers of all that can be sold now. */
  readonly pieces: readonly number[];
}

/**
 * Hears what was sold at a stall, in its order, each by itself: one that cannot be entered holds up no other. A sale that was heard before is not
 * entered again, and is answered with what became of it since.
 * @param asked ids of sales that could not be entered, and whose fate is asked for
 */
export async function hearStall(
  session: StudioSession,
  sales: readonly ToldSale[],
  asked: readonly Id<'stall sale'>[],
): Promise<StallHeard> {
  const fates: Record<string, Fate> = {};
  for (const told of sales) {
    const answer = await hearSale(session, told.id, told);
    if (answer.ok) fates[told.id] = answer.value;
  }
  return look(session, async (tx) => {
    const open = Object.entries(fates).flatMap(([id, { is }]) => (is === 'unsettled' ? [id] : []));
    const settled = await settledSince(tx, [...open, ...asked]);
    const rows = await tx.all(Piece, ['number'], {
      where: atHand(),
      order: [['number', 'DESC']],
      limit: MOST_AT_STALL,
    });
    return { fates: { ...fates, ...settled }, pieces: rows.map(({ number }) => number) };
  });
}
