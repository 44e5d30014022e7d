import { randomUUID } from 'node:crypto';
import { cost } from '../../src/core/units/money';
import { inStudio, type StudioSession } from '../../src/data/inStudio';
import { Piece } from '../../src/data/models/making';
import { takeNumbers } from '../../src/studio/kernel/numbers';

const COST_NOTHING = {
  wireCost: cost(0),
  scrapCost: cost(0),
  spoilageCost: cost(0),
  partsTaken: cost(0),
  suppliesCost: cost(0),
};

/** So many rows are written at once. */
const AT_ONCE = 500;

/**
 * Finished pieces like one that was made, in the shape that use leaves, with the numbers that come next. Nothing is taken for them, and they
 * cost nothing, so that the books agree.
 * @param number of the piece that was made
 */
export function addCopies(session: StudioSession, number: number, count: number): Promise<void> {
  return inStudio(session, async (tx) => {
    const made = await Piece.findOne({ where: { number }, rejectOnEmpty: true });
    const plain = made.get({ plain: true });
    const first = await takeNumbers(tx, 'piece', count);
    const copies = Array.from({ length: count }, (_, n) => ({
      ...plain,
      ...COST_NOTHING,
      pieceId: randomUUID(),
      number: first + n,
    }));
    for (let from = 0; from < count; from += AT_ONCE) await tx.add(Piece, copies.slice(from, from + AT_ONCE));
  });
}
