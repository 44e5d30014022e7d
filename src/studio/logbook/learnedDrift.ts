import type { Id } from '@/core/id';
import type { Estimate } from '@/core/learning/estimate';
import { learnDrift } from '@/core/learning/ringSizes';
import { stillCounts } from '@/core/learning/ruling';
import type { PatternKind } from '@/core/pattern/pattern';
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

/** How rings of a pattern come out, as the bench tells it. */
export interface RingsComeOut {
  /** In US sizes against what they were made for. */
  readonly value: number;
  /** From how many that were read on the mandrel; none where the owner said it. */
  readonly count: number;
}

/** How rings of a pattern come out; null for what is no ring, and while none was read. */
export async function ringsComeOut(
  tx: Tx,
  pattern: { readonly id: Id<'pattern'>; readonly number: number },
  { kind }: { readonly kind: PatternKind },
): Promise<RingsComeOut | null> {
  const drift = kind === 'ring' ? await driftOfPattern(tx, pattern) : null;
  return drift && { value: drift.value, count: drift.count };
}
