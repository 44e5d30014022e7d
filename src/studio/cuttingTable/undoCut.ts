import type { Id } from '@/core/id';
import type { WireForm } from '@/core/stock/ware';
import { StockPiece } from '@/data/models/stock';
import { cutsOfBatch } from '@/core/batch/batch';
import { afterUndo, takenOf } from '@/core/batch/cuttingPlan';
import { usefulMinimumFor } from '@/core/making/settle';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { refused } from '../kernel/outcome';
import { acts } from '../kernel/posts';
import { movementsOf, takeBack } from '../ledger/takeBack';
import { minimumsOf, settingsIn } from '../settings/settings';
import { specsById } from '../catalogue/wireSpecs';
import { linesOf } from '../batches/batches';
import { planAnew } from '../cuttingPlan/planCutting';
import { keepPlan, plansKept } from '../batches/plansKept';
import { reserveExactly, reservedOf } from '../reservations/reservations';
import {
  forgetAct,
  lastActs,
  lockOpenBatch,
  NOTHING_DONE,
  progressOf,
  type Act,
  numberMade,
} from '../batches/tray';
import { thenPlanned } from './thenPlanned';

/** What was taken back: wires that are to be cut again, or a mis-cut that was none. */
export interface CutUndone {
  readonly cuts: number;
  readonly replanned: boolean;
}

/**
 * Takes back what was done last at the cutting table, a cut or a mis-cut: its wire is whole with its stock piece again and, where the
 * plan still stands, is the next to be cut.
 */
export const undoCut = thenPlanned(
  acts('undoCut', async ({ tx, postKey }, number: number) => {
    const batch = await lockOpenBatch(tx, number);
    const acts = await lastActs(tx, batch.id);
    const [last] = acts;
    if (!last) throw refused('Nothing was cut for this batch yet; there is nothing to undo.');
    await refuseMade(tx, batch.id, acts);
    for (const act of acts) await forgetAct(tx, batch.id, act);
    await takeBack(
      tx,
      postKey,
      await movementsOf(tx, last.postKey),
      `undone for ${tag('batch', batch.number)}`,
    );
    const anew = new Set<string>();
    for (const act of acts) if (!(await putBack(tx, batch.id, act))) anew.add(act.specId);
    const done = ((await progressOf(tx, [batch.id])).get(batch.id) ?? NOTHING_DONE).cut;
    const open = new Set(
      cutsOfBatch(await linesOf(tx, [batch.id]), done).map(({ specId }) => specId as string),
    );
    const wanted = [...anew].filter((specId) => open.has(specId));
    if (wanted.length > 0) await planAnew(tx, batch.id, postKey, wanted);
    return { cuts: acts.filter(({ cut }) => cut !== null).length, replanned: wanted.length > 0 };
  }),
);

/** A wire that a piece was made of cannot be put back. @throws Refused */
async function refuseMade(tx: Tx, batchId: Id<'batch'>, acts: readonly Act[]): Promise<void> {
  for (const { cut } of acts) {
    if (!cut) continue;
    const made = await numberMade(tx, { batchId, line: cut.line, piece: cut.piece });
    if (made !== undefined)
      throw refused(
        `${tag('piece', made)} is made of the last wire that was cut. Take the making back first, in the ledger.`,
      );
  }
}

/** Puts a wire that was cut back into the plan. @returns whether the plan still holds */
async function putBack(tx: Tx, batchId: Id<'batch'>, { specId, cut, sourceId }: Act): Promise<boolean> {
  const kept = (await plansKept(tx, batchId)).find((each) => each.specId === specId);
  if (!kept || !cut) return false;
  const spec = (await specsById(tx, [specId])).get(specId);
  const source = await tx.oneWith(
    StockPiece,
    ['number', 'form', 'quantity'],
    { place: ['name'] },
    { where: { stockPieceId: sourceId } },
  );
  if (!spec || !source) return false;
  const { number, form, place, quantity } = source;
  const free = quantity - ((await reservedOf(tx, [sourceId], batchId)).get(sourceId) ?? 0);
  if (free <= 0) return false;
  const { planned, ...rest } = cut;
  const minimum = usefulMinimumFor(spec, minimumsOf(await settingsIn(tx)));
  const stock = {
    id: sourceId,
    number,
    form: form as WireForm,
    place: place?.name ?? null,
    length: um(free),
  };
  const back = afterUndo(kept.plan, { ...rest, length: planned }, stock, minimum);
  if (!back.fits || !back.stock) return false;
  await keepPlan(tx, batchId, { specId, plan: back.plan });
  await reserveExactly(tx, batchId, { id: sourceId, quantity: takenOf(back.stock) });
  return true;
}
