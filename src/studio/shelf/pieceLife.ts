import type { Id } from '@/core/id';
import {
  booked,
  broughtBy,
  holding,
  lastOf,
  stateOf,
  turned,
  TURNS,
  type LifeEvent,
  type PieceTurn,
} from '@/core/selling/life';
import { tag } from '@/core/tag';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { PieceEvent } from '@/data/models/selling';
import type { RowIn } from '@/data/table';
import { refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { ownerOnly, type StudioSession } from '../kernel/useCase';
import { movementsOf, takeBack } from '../ledger/takeBack';
import { ensurePlace } from '../stock/places';
import { BY_HELPERS, OF_SOMEBODY, TurnPiecesInput } from './turnPieces.input';

/** The most pieces that something happens to at once. */
export const MOST_TURNED = 500;

/** What of a piece it stands in the books at. */
export const BOOKED = ['wireCost', 'partsTaken', 'suppliesCost'] as const;

/**
 * What a piece stands in the books at: what was paid for the wire, the parts and the supplies that are in it. What was scrapped and spoiled for it
 * lies in the jars; labour is the studio’s own.
 */
export const bookedCost = (piece: Pick<RowIn<typeof Piece>, (typeof BOOKED)[number]>): CostUnits =>
  sumCosts([piece.wireCost, piece.partsTaken, piece.suppliesCost]);

/** Something that happened to a piece, as it is shown. */
export interface LifeShown extends LifeEvent {
  readonly at: Date;
  readonly by: string;
  /** The place that it was put in; empty for none. */
  readonly place: string;
  /** Number of the sale that it was sold by, or came back by; null for what happened otherwise. */
  readonly sale: number | null;
  /** For whom, to whom, or which shop; may be empty. */
  readonly who: string;
  readonly note: string;
}

/** All that happened to a piece, in its order. */
export async function lifeOf(tx: Tx, pieceId: Id<'piece'>): Promise<readonly LifeShown[]> {
  const rows = await tx.allWith(
    PieceEvent,
    ['eventId', 'turn', 'undoes', 'who', 'note', 'happenedAt'],
    { place: ['name'], user: ['name'], sale: ['number'] },
    { where: { pieceId }, order: ['eventId'] },
  );
  return rows.map(({ eventId: id, happenedAt: at, user, place, sale, ...event }) => ({
    ...event,
    id,
    at,
    by: user.name,
    place: place?.name ?? '',
    sale: sale?.number ?? null,
  }));
}

/** Something that happens to some pieces, all of them or none. */
export const turnPieces = posts(
  'turnPieces',
  { input: TurnPiecesInput },
  async ({ tx, session, postKey }, { turn, to, note }, numbers: readonly number[]) => {
    if (numbers.length === 0) throw refused('Choose a piece first.');
    if (numbers.length > MOST_TURNED)
      throw refused(`${numbers.length} pieces were chosen; ${MOST_TURNED} at once are allowed.`);
    mayTurn(session, turn);
    const pieces = await tx.all(Piece, ['pieceId', 'number', 'state', 'placeId', ...BOOKED], {
      where: { number: [...new Set(numbers)], struckAt: null, drawerStockId: null },
      order: ['number'],
      lock: true,
    });
    const missing = numbers.find((number) => !pieces.some((piece) => piece.number === number));
    if (missing !== undefined) throw refused(`${tag('piece', missing)} does not stand on the shelf.`);
    const placeId = turn === 'put' ? await ensurePlace(tx, to) : null;
    const next = pieces.map((piece) => {
      const state = turned(piece.state, turn, tag('piece', piece.number));
      if (!state.ok) throw refused(state.error);
      return { ...piece, next: state.value };
    });
    await tx.add(
      PieceEvent,
      next.map((piece) => ({
        pieceId: piece.pieceId,
        turn,
        placeId,
        // What was typed for another turn before this one was chosen is not of this one.
        who: OF_SOMEBODY.includes(turn) ? to : '',
        note,
        costUnits: cost(bookedCost(piece) * booked(piece.state, piece.next)),
        postKey,
        userId: session.userId,
        happenedAt: session.now,
      })),
    );
    const pieceId = next.map((piece) => piece.pieceId);
    // What is laid elsewhere stands on the shelf as long as before.
    if (turn === 'put') await tx.change(Piece, { pieceId }, { placeId });
    else await tx.change(Piece, { pieceId }, { state: TURNS[turn].to, stateSince: session.now });
    return { pieces: next.length };
  },
);

function mayTurn(session: StudioSession, turn: PieceTurn): void {
  if (!BY_HELPERS.includes(turn)) ownerOnly(session);
}

/**
 * Takes back what happened to a piece last: it is again where it was before.
 * @throws Refused when something else happened to it meanwhile
 */
export const undoTurn = acts(
  'undoTurn',
  async ({ tx, session, postKey }, number: number, eventId: number) => {
    const piece = await tx.one(Piece, ['pieceId', 'state', ...BOOKED], {
      where: { number, struckAt: null },
      lock: true,
    });
    if (!piece) throw refused(`${tag('piece', number)} does not stand on the shelf.`);
    const { pieceId, state } = piece;
    const events = await tx.all(
      PieceEvent,
      ['eventId', 'turn', 'undoes', 'placeId', 'postKey', 'happenedAt'],
      {
        where: { pieceId },
        order: ['eventId'],
      },
    );
    const life = events.map(({ eventId: id, ...event }) => ({ ...event, id }));
    const last = lastOf(life);
    if (last?.id !== eventId)
      throw refused(`Something else happened to ${tag('piece', number)} meanwhile; reload the page.`);
    if (last.turn === 'sold' || last.turn === 'returned')
      throw refused(
        `${tag('piece', number)} was ${last.turn} with a receipt, which stays as it is; what comes back of a sale is entered there.`,
      );
    mayTurn(session, last.turn);
    // What came out of it goes back into it: it must still lie where it was put.
    if (last.turn === 'broken up')
      await takeBack(tx, postKey, await movementsOf(tx, last.postKey), `back into ${tag('piece', number)}`);
    const held = holding(life).slice(0, -1);
    const before = stateOf(held);
    await tx.add(PieceEvent, [
      {
        pieceId,
        turn: last.turn,
        undoes: last.id,
        costUnits: cost(bookedCost(piece) * booked(state, before)),
        postKey,
        userId: session.userId,
        happenedAt: session.now,
      },
    ]);
    const put = held.findLast(({ turn }) => turn === 'put');
    await tx.change(
      Piece,
      { pieceId },
      { state: before, placeId: put?.placeId ?? null, stateSince: broughtBy(held)?.happenedAt ?? null },
    );
    return null;
  },
);
