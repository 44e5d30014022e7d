import type { Id } from '@/core/id';
import type { PlanningState } from '@/core/batch/batchState';
import { cost, type CostUnits } from '@/core/units/money';
import { bearWasteSql } from '@/data/sql/batches';
import { type RowIn } from '@/data/table';
import { rightNow } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Batch, BatchPiece, BatchCutRow } from '@/data/models/batches';

type BatchValues = Partial<
  Pick<
    RowIn<typeof Batch>,
    'name' | 'dueOn' | 'notes' | 'state' | 'version' | 'planning' | 'planningKey' | 'planningSaid'
  >
>;

/** A batch whose cuts are not planned. */
export const NOT_PLANNED = { planning: 'none', planningKey: null, planningSaid: '' } as const;

/** Changes a batch. Its version says whether what people see of it changed, so that who has it open is told. */
export async function setBatch(tx: Tx, batchId: Id<'batch'>, values: BatchValues): Promise<void> {
  await tx.change(Batch, { batchId }, values);
}

/** The batch that is being planned, by its number, or by the key under which it is. */
type BeingPlanned = { readonly number: number } | { readonly planningKey: Id<'post'> };

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
export async function planningBegins(tx: Tx, batchId: Id<'batch'>, planningKey: Id<'post'>): Promise<void> {
  await tx.change(
    Batch,
    { batchId },
    { planning: 'working', planningKey, planningSaid: 'reading the rack', planningBeat: rightNow() },
  );
}

/** Which piece of a batch. */
interface PieceOfBatch {
  readonly batchId: Id<'batch'>;
  readonly line: number;
  readonly piece: number;
}

/** Writes down that a piece of a batch is made. */
export const notePieceMade = (
  tx: Tx,
  { batchId, line, piece }: PieceOfBatch,
  pieceId: Id<'piece'>,
): Promise<void> => tx.add(BatchPiece, [{ batchId, line, piece, pieceId }]);

/** Forgets that a piece of a batch is made; its wires bear no waste then. */
export async function forgetPieceMade(tx: Tx, { batchId, line, piece }: PieceOfBatch): Promise<void> {
  await tx.remove(BatchPiece, { batchId, line, piece });
  await tx.change(BatchCutRow, { batchId, line, piece }, { scrapShare: cost(0), spoilageShare: cost(0) });
}

/** What a wire that was cut bears of the scrap and the spoilage of its batch. */
export interface WasteBorne {
  readonly act: number;
  readonly scrap: CostUnits;
  readonly spoilage: CostUnits;
}

/** Writes down what wires of a batch bear of its waste. */
export const noteWaste = (tx: Tx, batchId: Id<'batch'>, borne: readonly WasteBorne[]): Promise<void> =>
  tx.execute(bearWasteSql, {
    batchId,
    acts: borne.map(({ act }) => act),
    scraps: borne.map(({ scrap }) => scrap),
    spoilages: borne.map(({ spoilage }) => spoilage),
  });
