import type { Id } from '@/core/id';
import type { Estimate } from '@/core/learning/estimate';
import { learnDrift } from '@/core/learning/ringSizes';
import { stillCounts } from '@/core/learning/ruling';
import { otherThanNone } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { ofPattern, rulingsOn } from './rulings';

/** So many of the latest rings tell how the next one comes out. */
const LATEST = 60;
const DAY_MS = 86_400_000;

/** How rings of a pattern come out, in US sizes against what they were made for; null while none was read on the mandrel. */
export async function driftOfPattern(
  tx: Tx,
  { id: patternId, number }: { readonly id: Id<'pattern'>; readonly number: number },
): Promise<Estimate | null> {
  const rings = await tx.all(Piece, ['wantedInside', 'finishedInside', 'madeAt'], {
    where: { patternId, struckAt: null, wantedInside: otherThanNone, finishedInside: otherThanNone },
    order: [['number', 'DESC']],
    limit: LATEST,
  });
  const ruling = (await rulingsOn(tx, 'ring', [ofPattern(number)]))(ofPattern(number));
  const now = tx.session.now.getTime();
  const read = stillCounts(rings, ruling).flatMap(
    ({ wantedInside: wanted, finishedInside: finished, madeAt }) =>
      wanted === null || finished === null
        ? []
        : [{ wanted, finished, age: (now - madeAt.getTime()) / DAY_MS }],
  );
  return learnDrift(read, ruling.fixed) ?? null;
}
