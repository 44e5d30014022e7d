import type { Id } from '@/core/id';
import { cutsOfBatch, type BatchCut } from '@/core/batch/batch';
import { usefulMinimumFor } from '@/core/making/settle';
import { tag } from '@/core/tag';
import { formatLength, um } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { invalid } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { Posting } from '../ledger/posting';
import { throwAway, TOO_SHORT } from '../ledger/throwAway';
import { minimumsOf, settingsIn } from '../settings/settings';
import { lockWire } from '../wire/taggedWire';
import { linesOf } from '../batches/batches';
import { MiscutInput } from './cutWire.input';
import { planAnew } from '../cuttingPlan/planCutting';
import { reservedOf } from '../reservations/reservations';
import { dropPlans } from '../batches/plansKept';
import { lockOpenBatch, noteActs, NOTHING_DONE, progressOf, reserveTray } from '../batches/tray';
import { thenPlanned } from './thenPlanned';

/**
 * Logs a length that was cut wrongly for a batch, with its reason: what is lost falls into its metal’s jar, what is still wire becomes
 * an off-cut. The wires of the same kind that are not cut yet are planned again at once, from what is truly left.
 */
export const logMiscut = thenPlanned(
  posts('logMiscut', { input: MiscutInput }, async ({ tx, postKey }, input, number: number) => {
    const batch = await lockOpenBatch(tx, number);
    const settings = await settingsIn(tx);
    const say = (quantity: number) => formatLength(um(quantity), settings.lengthSystem);
    const { wire: stock, spec } = await lockWire(tx, input.from);
    const { length, reason } = input;
    const others = (await reservedOf(tx, [stock.id], batch.id)).get(stock.id) ?? 0;
    const free = Math.max(0, stock.quantity - others);
    if (length > free)
      throw invalid('length', `${tag('wire', stock.number)} has ${say(free)} free; ${say(length)} is more.`);
    const minimum = usefulMinimumFor(spec, minimumsOf(settings));
    if (input.then === 'kept' && length < minimum)
      throw invalid(
        'then',
        `${say(length)} is shorter than what is kept, ${say(minimum)}: say that it is lost.`,
      );

    const posting = new Posting(tx, postKey, { batchId: batch.id }).hold(stock);
    let cutId: Id<'stock piece'> | null = null;
    if (input.then === 'kept') {
      const { articleId, sortKey, lotId, placeId } = stock;
      const share = posting.take(stock.id, 'split', length, { reason });
      const part = { ware: 'wire', articleId, sortKey, lotId, placeId, form: 'off-cut' } as const;
      cutId = posting.open(part, 'split', length, share, { reason });
    } else {
      await throwAway(posting, { id: stock.id, spec }, 'spoiled', length, reason);
    }
    // What was set aside of it is let go before it is taken, since the plan that wanted it is made anew.
    await dropPlans(tx, batch.id, [spec.id]);
    const toCut = await openCuts(tx, batch.id, spec.id);
    // A rest that is too short to keep is scrap, unless it does for one of the wires that are still to be cut.
    const rest = stock.quantity - length;
    if (rest > 0 && rest < minimum && others === 0 && toCut.every((cut) => cut.length > rest))
      await throwAway(posting, { id: stock.id, spec }, 'scrapped', rest, TOO_SHORT);
    await posting.commit();
    await noteActs(tx, batch.id, postKey, [
      { specId: spec.id, cut: null, sourceId: stock.id, cutId, length, reason },
    ]);
    // It may have been a wire of the tray, which is to be cut again then.
    await reserveTray(tx, batch.id);
    const replanned = batch.planning !== 'none' && (await openCuts(tx, batch.id, spec.id)).length > 0;
    if (replanned) await planAnew(tx, batch.id, postKey, [spec.id]);
    return { replanned };
  }),
);

/** The wires of a spec that are not cut yet. */
async function openCuts(tx: Tx, batchId: Id<'batch'>, specId: Id<'article'>): Promise<BatchCut[]> {
  const { cut } = (await progressOf(tx, [batchId])).get(batchId) ?? NOTHING_DONE;
  return cutsOfBatch(await linesOf(tx, [batchId]), cut).filter((each) => each.specId === specId);
}
