import type { MovementKind } from '@/core/stock/movement';
import type { Ware } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import { cost, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { readInput } from '../kernel/readInput';
import { refused, type Outcome } from '../kernel/outcome';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { lockStock, Posting } from './posting';
import { ReverseInput } from './reverse.input';

interface Undone {
  readonly id: number;
  readonly postKey: string;
  readonly kind: MovementKind;
  readonly stockPieceId: string;
  readonly articleId: string;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly lotId: string | null;
  readonly pieceId: string | null;
  readonly reverses: number | null;
  readonly reversed: boolean;
}

/**
 * Takes back the posting that a movement belongs to: every movement of it is met by its exact opposite, so that what moves
 * together is undone together. It is refused when what the posting brought in has been used since, or has become another
 * wire: then the later movement has to be taken back first.
 */
export function reverseMovement(
  session: StudioSession,
  postKey: string,
  movementId: number,
  plain: unknown,
): Promise<Outcome<{ readonly movements: number }>> {
  const prepare = () => {
    ownerOnly(session);
    return readInput(ReverseInput, plain);
  };
  return post(session, 'reverseMovement', postKey, prepare, async (tx, input) => {
    const movements = await postingOf(tx, movementId);
    if (movements.length === 0) throw refused('There is no such movement.');
    if (movements.some(({ reverses }) => reverses !== null))
      throw refused('This takes something back itself; post the thing anew instead.');
    if (movements.some(({ reversed }) => reversed))
      throw refused('This was taken back already. Nothing was posted.');
    await refuseUsedSince(tx, movements);
    const stock = await lockStock(
      tx,
      movements.map(({ stockPieceId }) => stockPieceId),
    );
    const pieceId = movements.find((each) => each.pieceId !== null)?.pieceId ?? null;
    const posting = new Posting(tx, postKey, pieceId).hold(...stock.values());
    // Last first, so that a relabelled wire goes back through what it was.
    for (const {
      id,
      kind,
      stockPieceId,
      articleId,
      quantity,
      cost: amount,
      lotId,
    } of movements.toReversed()) {
      posting.enter(stockPieceId, kind, -quantity, cost(0 - amount), {
        reason: input.reason.trim(),
        lotId,
        reverses: id,
        articleId,
      });
    }
    await posting.commit();
    if (pieceId !== null) {
      await Piece.update(
        { struckAt: session.now },
        { where: { studioId: session.studioId, pieceId }, ...tx.within },
      );
    }
    return { movements: movements.length };
  });
}

function postingOf(tx: Tx, movementId: number): Promise<Undone[]> {
  return tx.select<Undone>(
    `SELECT m.movement_id AS id, m.post_key AS "postKey", m.kind, m.stock_piece_id AS "stockPieceId", m.article_id AS "articleId",
            m.quantity, m.cost_units AS cost, m.lot_id AS "lotId", m.piece_id AS "pieceId", m.reverses,
            EXISTS (SELECT FROM movements r WHERE r.studio_id = m.studio_id AND r.reverses = m.movement_id) AS reversed
       FROM movements m
      WHERE m.studio_id = $1 AND m.post_key = (SELECT post_key FROM movements WHERE studio_id = $1 AND movement_id = $2)
      ORDER BY m.movement_id`,
    [tx.session.studioId, movementId],
  );
}

interface Later {
  readonly ware: Ware;
  readonly number: number;
  readonly kind: MovementKind;
  readonly day: string;
  readonly pieceNumber: number | null;
}

/**
 * What the posting took may always be put back; what it brought must still be there whole. Movements that were taken back
 * themselves do not count, nor what fell into the same jar later.
 */
async function refuseUsedSince(tx: Tx, movements: readonly Undone[]): Promise<void> {
  const last = movements.at(-1)?.id ?? 0;
  const touched = (pick: (each: Undone) => boolean) => [
    ...new Set(movements.filter(pick).map(({ stockPieceId }) => stockPieceId)),
  ];
  const later = await tx.first<Later>(
    `SELECT p.ware, p.number, m.kind, m.happened_at::date::text AS day, f.number AS "pieceNumber"
       FROM movements m
       JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
       LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id
      WHERE m.studio_id = $1 AND m.movement_id > $2 AND m.reverses IS NULL
        AND NOT EXISTS (SELECT FROM movements r WHERE r.studio_id = m.studio_id AND r.reverses = m.movement_id)
        AND ((m.stock_piece_id = ANY ($3) AND (p.ware <> 'scrap' OR m.kind = 'refined'))
          OR (m.stock_piece_id = ANY ($4) AND m.kind = 'relabelled'))
      ORDER BY m.movement_id LIMIT 1`,
    [
      tx.session.studioId,
      last,
      touched(({ quantity }) => quantity > 0),
      touched(({ quantity }) => quantity < 0),
    ],
  );
  if (!later) return;
  const became =
    later.pieceNumber === null ? later.kind : `${later.kind} for ${tag('piece', later.pieceNumber)}`;
  throw refused(
    `${tag(later.ware, later.number)} has been used since (${became} on ${later.day}). Take that back first. Nothing was posted.`,
  );
}
