import type { Id } from '@/core/id';
import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { Movement } from '@/data/models/books';
import { batchForgets, batchRemembers } from './takenBack';
import { refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { ReverseInput } from './reverseMovement.input';
import { movementsOf, takeBack } from '../ledger/takeBack';

/** A making is taken back while its piece is where it was made: what happened to that later is taken back first. */
async function refuseGone(tx: Tx, pieceId: Id<'piece'>): Promise<void> {
  const piece = await tx.one(Piece, ['number', 'state'], { where: { pieceId }, lock: true });
  if (piece && piece.state !== 'on the shelf')
    throw refused(`${tag('piece', piece.number)} is ${piece.state}; take that back on its page first.`);
}

/**
 * Takes back the posting that a movement belongs to: every movement of it is met by its exact opposite, so that what moves
 * together is undone together. It is refused when what the posting brought in has been used since, or has become another
 * wire: then the later movement has to be taken back first.
 */
export const reverseMovement = posts(
  'reverseMovement',
  { input: ReverseInput, by: 'owner' },
  async ({ tx, session, postKey }, input, movementId: number) => {
    const { now } = session;
    const key = await tx.one(Movement, ['postKey'], { where: { movementId } });
    if (!key) throw refused('There is no such movement.');
    const movements = await movementsOf(tx, key.postKey);
    const pieceId = movements.find((each) => each.pieceId !== null)?.pieceId ?? null;
    if (movements.some(({ kind }) => kind === 'salvaged'))
      throw refused('This came out of a piece that was broken up; take that back on its page.');
    await batchForgets(tx, key.postKey);
    await takeBack(tx, postKey, movements, input.reason);
    if (pieceId !== null) {
      await refuseGone(tx, pieceId);
      await tx.change(Piece, { pieceId }, { struckAt: now });
      await batchRemembers(tx, pieceId);
    }
    return { movements: movements.length };
  },
);
