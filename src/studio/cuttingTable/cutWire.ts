import type { Id } from '@/core/id';
import { BatchCutRow } from '@/data/models/batches';
import { cutKey, type CutOfBatch } from '@/core/batch/batch';
import {
  afterCut,
  plannedFrom,
  takenOf,
  type CuttingPlanKept,
  type PlannedBatchCut,
  type PlannedStock,
} from '@/core/batch/cuttingPlan';
import { isScrap, usefulMinimumFor } from '@/core/making/settle';
import { tag } from '@/core/tag';
import { formatLength, um, type Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { invalid, refused, type Refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { lockStock, Posting, type HeldStock } from '../ledger/posting';
import { throwAway, TOO_SHORT } from '../ledger/throwAway';
import { minimumsOf, settingsIn, type Settings } from '../settings/settings';
import { specsById } from '../catalogue/wireSpecs';
import { linesOf, type KeptLine } from '../batches/batches';
import { CutWireInput } from './cutWire.input';
import { planAnew } from '../cuttingPlan/planCutting';
import { keepPlan, plansKept, type PlanOfSpec } from '../batches/plansKept';
import { reserveExactly, reserve, reservedOf } from '../reservations/reservations';
import { lockOpenBatch, noteActs, type LockedBatch } from '../batches/tray';
import { thenPlanned } from './thenPlanned';

/** What came of a cut. */
export interface WiresCut {
  /** How many wires went into the tray. */
  readonly cut: number;
  /** Whether the rest is planned anew, since more was taken than planned. */
  readonly replanned: boolean;
}

/** Cuts one wire of a batch from the stock piece that it is planned from, and lays it into the tray. */
export const cutWire = thenPlanned(
  posts('cutWire', { input: CutWireInput }, async ({ tx, postKey }, input, number: number) => {
    const batch = await lockOpenBatch(tx, number);
    await refuseCutTwice(tx, batch, input);
    const plans = await plansKept(tx, batch.id);
    const planned = plans.find(({ plan }) => plannedFrom(plan, input));
    const stock = planned && plannedFrom(planned.plan, input);
    const cut = stock?.cuts.find((each) => cutKey(each) === cutKey(input));
    if (!planned || !stock || !cut)
      throw refused(
        'The cuts are being planned again; this wire is not in the plan now. Nothing was posted.',
      );
    if (stock.id !== input.from)
      throw refused(
        `The plan has changed: it is cut from ${tag('wire', stock.number)} now. Nothing was posted.`,
      );
    const { length } = input;
    const lines = await linesOf(tx, [batch.id]);
    const least = lines.find(({ line }) => line === input.line)?.body.cuts[input.cutIndex]?.net ?? um(0);
    if (length < least) {
      const { lengthSystem } = await settingsIn(tx);
      throw invalid(
        'length',
        `${formatLength(length, lengthSystem)} is too short: the piece itself takes ${formatLength(least, lengthSystem)}. Log it as a mis-cut.`,
      );
    }
    return cutThese(tx, postKey, batch, lines, plans, [{ specId: planned.specId, cut, length }]);
  }),
);

/** Enters every wire that is still to be cut as it is planned: for who cut by the sheet. */
export const cutAsPlanned = thenPlanned(
  acts('cutAsPlanned', async ({ tx, postKey }, number: number) => {
    const batch = await lockOpenBatch(tx, number);
    const plans = await plansKept(tx, batch.id);
    const wires = plans.flatMap(({ specId, plan }) =>
      plan.pieces.flatMap(({ cuts }) => cuts.map((cut) => ({ specId, cut, length: cut.length }))),
    );
    if (wires.length === 0) throw refused('There is nothing to cut in the plan. Nothing was posted.');
    return cutThese(tx, postKey, batch, await linesOf(tx, [batch.id]), plans, wires);
  }),
);

/** No wire is cut twice: who comes second is told who was first. @throws Refused */
async function refuseCutTwice(
  tx: Tx,
  { id }: LockedBatch,
  { line, piece, cutIndex, copy }: CutOfBatch,
): Promise<void> {
  const before = await tx.oneWith(
    BatchCutRow,
    [],
    { user: ['name'], cut: ['number'] },
    { where: { batchId: id, line, piece, cutIndex, copy } },
  );
  if (!before?.cut) return;
  throw refused(
    `${before.user.name} cut this one already: it is ${tag('wire', before.cut.number)} in the tray. If you cut it too, log yours as a mis-cut.`,
  );
}

/** A wire of the batch, and how long it was really cut. */
interface WireCut {
  readonly specId: Id<'article'>;
  readonly cut: PlannedBatchCut;
  readonly length: Micrometres;
}

/** Posts cuts: each wire becomes a length of its own in the tray, with its share of the cost; a rest that is too short is scrap. */
async function cutThese(
  tx: Tx,
  postKey: Id<'post'>,
  batch: LockedBatch,
  lines: readonly KeptLine[],
  planned: readonly PlanOfSpec[],
  wires: readonly WireCut[],
): Promise<WiresCut> {
  const plans = new Map<string, CuttingPlanKept>(planned.map(({ specId, plan }) => [specId, plan]));
  const settings = await settingsIn(tx);
  const specs = await specsById(tx, [...plans.keys()]);
  const sources = [...plans.values()].flatMap(({ pieces }) => pieces);
  const held = await lockStock(
    tx,
    wires.flatMap(({ cut }) => sourceOf(sources, cut)?.id ?? []),
  );
  const others = await reservedOf(tx, [...held.keys()], batch.id);
  const posting = new Posting(tx, postKey, { batchId: batch.id }).hold(...held.values());
  const anew = new Set<string>();
  const reserved = new Map<string, number>();
  const tray: { readonly wire: WireCut; readonly sourceId: Id<'stock piece'>; readonly id: string }[] = [];

  for (const wire of wires) {
    const { specId, cut, length } = wire;
    const [plan, spec, source] = [plans.get(specId), specs.get(specId), sourceOf(sources, cut)];
    const stock = source && held.get(source.id);
    // What was turned into another wire since the plan was made is not cut for it.
    if (!plan || !spec || stock?.articleId !== specId)
      throw refused('The wire that it is planned from is no longer on the rack; plan the cuts again.');
    const forOthers = others.get(stock.id) ?? 0;
    const free = posting.balance(stock.id).quantity - forOthers;
    if (length > free) throw tooLong(stock.number, length, free, settings);
    const name = lines.find(({ line }) => line === cut.line)?.body.name ?? '';
    const id = intoTray(posting, stock, wire, { number: batch.number, name });
    tray.push({ wire, sourceId: stock.id, id });

    const minimum = usefulMinimumFor(spec, minimumsOf(settings));
    const after = afterCut(plan, cut, um(free - length), minimum);
    plans.set(specId, after.plan);
    reserved.set(stock.id, after.stock ? takenOf(after.stock) : 0);
    if (!after.fits) anew.add(specId);
    else if (!after.stock && forOthers === 0 && isScrap(um(free - length), minimum)) {
      await throwAway(posting, { id: stock.id, spec }, 'scrapped', free - length, TOO_SHORT);
    }
  }

  for (const [id, quantity] of reserved) await reserveExactly(tx, batch.id, { id, quantity });
  await posting.commit();
  await reserve(
    tx,
    batch.id,
    'tray',
    tray.map(({ id, wire }) => ({ id, quantity: wire.length })),
  );
  await noteActs(
    tx,
    batch.id,
    postKey,
    tray.map(({ wire: { specId, length, cut }, sourceId, id }) => ({
      specId,
      cut: { ...cut, planned: cut.length },
      sourceId,
      cutId: id,
      length,
      reason: '',
    })),
  );
  for (const specId of new Set(wires.map((wire) => wire.specId))) {
    const plan = plans.get(specId);
    if (plan && !anew.has(specId)) await keepPlan(tx, batch.id, { specId, plan });
  }
  if (anew.size > 0) await planAnew(tx, batch.id, postKey, [...anew]);
  return { cut: tray.length, replanned: anew.size > 0 };
}

const tooLong = (number: number, length: Micrometres, free: number, { lengthSystem }: Settings): Refused => {
  const say = (of: number) => formatLength(um(Math.max(0, of)), lengthSystem);
  return invalid('length', `${tag('wire', number)} has ${say(free)} free; ${say(length)} is more.`);
};

/** Makes a wire a length of its own, with its share of the cost. @returns its id */
function intoTray(
  posting: Posting,
  { id, articleId, sortKey, lotId }: HeldStock,
  { cut, length }: WireCut,
  { number, name }: { readonly number: number; readonly name: string },
): string {
  const reason = `cut for ${tag('batch', number)}`;
  const note = `${cut.name} for ${name}, piece ${cut.piece + 1}`;
  const share = posting.take(id, 'split', length, { reason });
  const wire = { ware: 'wire', articleId, sortKey, lotId, form: 'off-cut', note } as const;
  return posting.open(wire, 'split', length, share, { reason });
}

const sourceOf = (stock: readonly PlannedStock[], cut: CutOfBatch): PlannedStock | undefined =>
  stock.find(({ cuts }) => cuts.some((each) => cutKey(each) === cutKey(cut)));
