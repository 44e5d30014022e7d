import type { Id } from '@/core/id';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { freeWiresOfSql } from '@/data/sql/reservations';

/** A length on the rack as far as it is free for a batch. */
export type FreeWire = RowOf<typeof freeWiresOfSql>;

/** Off-cuts and spools of a spec that are looked at: the shortest off-cuts first, since the tin is to be emptied. */
const MOST_PER_SPEC = 400;

/** Wires of some specs that are free for a batch: all but what is set aside for others, or cut already. @param batchId null for no batch */
export const freeWires = (
  tx: Tx,
  specIds: readonly Id<'article'>[],
  batchId: Id<'batch'> | null,
): Promise<FreeWire[]> =>
  tx.rows(freeWiresOfSql, { specIds: [...new Set(specIds)], batchId, most: MOST_PER_SPEC });
