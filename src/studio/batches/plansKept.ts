import type { CuttingPlanKept } from '@/core/batch/cuttingPlan';
import type { Tx } from '@/data/inStudio';

/** How the wires of one spec are to be cut for a batch. */
export interface PlanOfSpec {
  readonly specId: string;
  readonly plan: CuttingPlanKept;
}

/** The cutting plans of a batch, in the order that they are cut: by metal, size and temper. */
export const plansKept = (tx: Tx, batchId: string): Promise<PlanOfSpec[]> =>
  tx.select<PlanOfSpec>(
    `SELECT c.spec_id AS "specId", c.plan FROM cutting_plans c JOIN articles a ON a.studio_id = c.studio_id AND a.article_id = c.spec_id
      WHERE c.studio_id = $1 AND c.batch_id = $2 ORDER BY a.sort_key, c.spec_id`,
    [tx.session.studioId, batchId],
  );

/** Writes down how the wires of a spec are to be cut now. */
export async function keepPlan(tx: Tx, batchId: string, { specId, plan }: PlanOfSpec): Promise<void> {
  await tx.run(
    `INSERT INTO cutting_plans (studio_id, batch_id, spec_id, plan, made_at) VALUES ($1, $2, $3, $4::jsonb, $5)
     ON CONFLICT (studio_id, batch_id, spec_id) DO UPDATE SET plan = excluded.plan`,
    [tx.session.studioId, batchId, specId, JSON.stringify(plan), tx.session.now],
  );
}
