import type { Id } from '@/core/id';
import type { Estimate } from '@/core/learning/estimate';
import { learnDrift } from '@/core/learning/ringSizes';
import { otherThanNone } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';

/** So many of the latest rings tell how the next one comes out. */
const LATEST = 60;
const DAY_MS = 86_400_000;

/** How rings of a pattern come out, in US sizes against what they were made for; null while none was read on the mandrel. */
export async function driftOfPattern(tx: Tx, patternId: Id<'pattern'>): Promise<Estimate | null> {
  const rings = await tx.all(Piece, ['wantedInside', 'finishedInside', 'madeAt'], {
    where: { patternId, struckAt: null, wantedInside: otherThanNone, finishedInside: otherThanNone },
    order: [['number', 'DESC']],
    limit: LATEST,
  });
  const now = tx.session.now.getTime();
  const read = rings.flatMap(({ wantedInside: wanted, finishedInside: finished, madeAt }) =>
    wanted === null || finished === null
      ? []
      : [{ wanted, finished, age: (now - madeAt.getTime()) / DAY_MS }],
  );
  return learnDrift(read) ?? null;
}
