import type { Id } from '@/core/id';
import type { RowIn } from '@/data/table';
import type { Tx } from '@/data/inStudio';
import { CuttingPlanRow } from '@/data/models/batches';
import { releaseAll, releaseUncut } from '../reservations/reservations';

/** How the wires of one spec are to be cut for a batch. */
export type PlanOfSpec = Pick<RowIn<typeof CuttingPlanRow>, 'specId' | 'plan'>;

/** The cutting plans of a batch, in the order that they are cut: by metal, size and temper. */
export const plansKept = (tx: Tx, batchId: Id<'batch'>): Promise<PlanOfSpec[]> =>
  tx.allWith(
    CuttingPlanRow,
    ['specId', 'plan'],
    { spec: { columns: [], with: { article: [] } } },
    { where: { batchId }, order: [['spec', 'article', 'sortKey', 'ASC'], 'specId'] },
  );

/** Writes down how the wires of a spec are to be cut now. */
export async function keepPlan(tx: Tx, batchId: Id<'batch'>, { specId, plan }: PlanOfSpec): Promise<void> {
  await tx.put(CuttingPlanRow, [{ batchId, specId, plan, madeAt: tx.session.now }], ['plan']);
}

/** Forgets how the wires of a batch were to be cut. @param specIds only of these; of all when left out */
const forgetPlans = (tx: Tx, batchId: Id<'batch'>, specIds?: readonly Id<'article'>[]): Promise<unknown> =>
  tx.remove(CuttingPlanRow, { batchId, ...(specIds && { specId: [...specIds] }) });

/**
 * Gives up how the wires of a batch were to be cut, and what was set aside for that; what is cut already and what is picked stays.
 * @param specIds only of these; of all when left out
 */
export async function dropPlans(
  tx: Tx,
  batchId: Id<'batch'>,
  specIds?: readonly Id<'article'>[],
): Promise<void> {
  await releaseUncut(tx, batchId, specIds);
  await forgetPlans(tx, batchId, specIds);
}

/** Gives up everything that a batch counted on: all that was set aside for it, and how its wires were to be cut. */
export async function dropEverything(tx: Tx, batchId: Id<'batch'>): Promise<void> {
  await releaseAll(tx, batchId);
  await forgetPlans(tx, batchId);
}
