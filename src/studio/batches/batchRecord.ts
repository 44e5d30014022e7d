import type { PlanningState } from '@/core/batch/batchState';
import { type RowIn } from '@/data/table';
import { rightNow } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Batch } from '@/data/models/batches';

type BatchValues = Partial<
  Pick<
    RowIn<typeof Batch>,
    'name' | 'dueOn' | 'notes' | 'state' | 'version' | 'planning' | 'planningKey' | 'planningSaid'
  >
>;

/** A batch whose cuts are not planned. */
export const NOT_PLANNED = { planning: 'none', planningKey: null, planningSaid: '' } as const;

/** Changes a batch. Its version says whether what people see of it changed, so that who has it open is told. */
export async function setBatch(tx: Tx, batchId: string, values: BatchValues): Promise<void> {
  await tx.change(Batch, { batchId }, values);
}

/** The batch that is being planned, by its number, or by the key under which it is. */
type BeingPlanned = { readonly number: number } | { readonly planningKey: string };

/** Writes how the planning of a batch goes that is being planned. @returns whether it is, still */
export async function notePlanning(
  tx: Tx,
  which: BeingPlanned,
  planning: PlanningState,
  values: { readonly planningKey?: null; readonly planningSaid: string },
): Promise<boolean> {
  const changed = await tx.change(
    Batch,
    { ...which, planning: 'working' },
    { ...values, planning, planningBeat: rightNow() },
  );
  return changed > 0;
}

/** Says that the cuts of a batch are being planned under a key. */
export async function planningBegins(tx: Tx, batchId: string, planningKey: string): Promise<void> {
  await tx.change(
    Batch,
    { batchId },
    { planning: 'working', planningKey, planningSaid: 'reading the rack', planningBeat: rightNow() },
  );
}
