import type { Id } from '@/core/id';
import { cutsOfBatch, linesToMake, partsOfBatch, type BatchCut } from '@/core/batch/batch';
import { partKey } from '@/core/part/partKey';
import { USUAL_WORTH, type CuttingProblem } from '@/core/cuttingStock/problem';
import { usefulMinimumFor } from '@/core/making/settle';
import type { CuttingAnswer } from '@/core/cuttingStock/solve';
import { tag } from '@/core/tag';
import { type Micrometres } from '@/core/units/length';
import { describeSpec } from '@/core/wire/spec';
import { NOT_PLANNED, notePlanning, planningBegins, setBatch } from '../batches/batchRecord';
import { inStudio, type Tx } from '@/data/inStudio';
import { Batch } from '@/data/models/batches';
import { packsOfSql, freeOfStockSql } from '@/data/sql/reservations';
import { runJob } from '../jobs/runJob';
import { PLAN_CUTS } from './jobs';
import { log } from '../kernel/log';
import { Refused, type Outcome } from '../kernel/outcome';
import { acts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { lockStock } from '../ledger/posting';
import { lastMetalPrices } from '../prices/metalPrices';
import { replacementPrices } from '../prices/replacement';
import { scrapWorth } from '../prices/scrapWorth';
import { minimumsOf, settingsIn } from '../settings/settings';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { batchNumbered, linesOf } from '../batches/batches';
import { takenOf, type CuttingPlanKept, type PlannedBatchCut } from '@/core/batch/cuttingPlan';
import { partsInDrawers } from '../drawers/partsInDrawers';
import { freeWires, type FreeWire } from '../reservations/freeWires';
import { dropPlans, keepPlan, plansKept } from '../batches/plansKept';
import { forgetLoss, reserve, type ReservedStock } from '../reservations/reservations';
import { lockOpenBatch, madeCounts, progressOf, reserveTray } from '../batches/tray';

/** How long the plan of one spec may take. */
const LIMIT_MS = 6_000;
/** How often it is looked whether the planning was called off. */
const LOOK_MS = 400;

const BROKEN = 'Something broke on our side and nothing was set aside. Try it once more.';

/** Plans the cuts of a batch off the request; what it set aside before is set free. */
export async function planCutting(
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
): Promise<Outcome<null>> {
  const begun = await beginPlanning(session, postKey, number);
  if (begun.ok) planInBackground(session, number, postKey);
  return begun;
}

/** Works out, beside everything else, the cuts of a batch whose planning has begun under a key. */
export function planInBackground(session: StudioSession, number: number, key: string): void {
  workOutCutting(session, number, key).catch(async (fault: unknown) => {
    const isRefused = fault instanceof Refused;
    if (!isRefused) log.error({ err: fault, batch: number }, 'planning the cuts broke');
    await note(session, key, isRefused ? fault.message : BROKEN, 'failed').catch(() => undefined);
  });
}

/** Says that the cuts of a batch are being planned, and sets its stock free meanwhile. */
export const beginPlanning = acts('planCutting', async ({ tx, postKey }, number: number) => {
  const batch = await lockOpenBatch(tx, number);
  await planAnew(tx, batch.id, postKey);
  return null;
});

/**
 * Sets the wire free that is to be cut for a batch, and says that its cuts are being planned under a key. Wires that are cut but not
 * there any more are to be cut again.
 * @param specIds only of these, while the plans of the others stand; a batch that has lost some of its stock is planned whole
 */
export async function planAnew(
  tx: Tx,
  batchId: Id<'batch'>,
  key: string,
  specIds?: readonly Id<'article'>[],
): Promise<void> {
  await reserveTray(tx, batchId);
  const hasLost = await forgetLoss(tx, batchId);
  await dropPlans(tx, batchId, hasLost ? undefined : specIds);
  await planningBegins(tx, batchId, key);
}

/** Calls the planning off; nothing is set aside then. */
export const stopPlanning = acts('stopPlanning', async ({ tx }, number: number) => {
  await notePlanning(tx, { number }, 'none', { planningKey: null, planningSaid: '' });
  return null;
});

/** Writes how far the planning is. @returns whether it is still wanted */
async function note(
  session: StudioSession,
  key: string,
  said: string,
  planning: 'working' | 'failed' = 'working',
): Promise<boolean> {
  return inStudio(session, (tx) => notePlanning(tx, { planningKey: key }, planning, { planningSaid: said }));
}

interface SpecProblem {
  readonly spec: KnownSpec;
  readonly cuts: readonly BatchCut[];
  readonly stock: readonly FreeWire[];
  readonly problem: CuttingProblem;
}

/** Works out the cuts of a batch whose planning has begun under a key, and sets their stock aside, unless it was called off. */
export async function workOutCutting(session: StudioSession, number: number, key: string): Promise<void> {
  const plans = await reckonCuts(session, number, key);
  if (plans) await keepCuts(session, number, key, plans);
}

/** How wires are to be cut, by spec. */
export type PlansOfSpecs = ReadonlyMap<string, CuttingPlanKept>;

/** Works the plans of a batch out and keeps nothing; undefined when it was called off meanwhile. */
export async function reckonCuts(
  session: StudioSession,
  number: number,
  key: string,
): Promise<PlansOfSpecs | undefined> {
  const problems = await look(session, (tx) => problemsOf(tx, number));
  const plans = new Map<string, CuttingPlanKept>();
  for (const [index, { spec, cuts, stock, problem }] of problems.entries()) {
    const said = `${index + 1} of ${problems.length}: ${cuts.length} cuts of ${describeSpec(spec)}`;
    if (!(await note(session, key, said))) return undefined;
    const answer = await watched(session, key, said, (signal) =>
      runJob(PLAN_CUTS, { problem, limitMs: LIMIT_MS }, { studioId: session.studioId, signal }),
    );
    plans.set(spec.id, kept(answer, cuts, stock));
  }
  return plans;
}

/**
 * Keeps plans that were worked out under a key and sets their stock aside, beads and findings with it. When stock has moved or become
 * another wire meanwhile, it says so and keeps nothing; when the planning was called off, it does nothing.
 */
export const keepCuts = (
  session: StudioSession,
  number: number,
  key: string,
  plans: PlansOfSpecs,
): Promise<void> => inStudio(session, (tx) => keep(tx, number, key, plans));

/** Does long work while it is looked whether it was called off. */
async function watched<T>(
  session: StudioSession,
  key: string,
  said: string,
  run: (signal: AbortSignal) => Promise<T>,
): Promise<T> {
  const off = new AbortController();
  const timer = setInterval(() => {
    note(session, key, said)
      .then((wanted) => wanted || off.abort())
      .catch(() => undefined);
  }, LOOK_MS);
  try {
    return await run(off.signal);
  } finally {
    clearInterval(timer);
  }
}

/** The wires of a batch that are neither cut nor planned to be, by spec, each with what is free of it. */
async function problemsOf(tx: Tx, number: number): Promise<SpecProblem[]> {
  const batch = await batchNumbered(tx, number);
  if (!batch) return [];
  const done = (await progressOf(tx, [batch.id])).get(batch.id)?.cut;
  const planned = new Set((await plansKept(tx, batch.id)).map(({ specId }) => specId));
  const cuts = cutsOfBatch(await linesOf(tx, [batch.id]), done).filter(({ specId }) => !planned.has(specId));
  const ids = [...new Set(cuts.map(({ specId }) => specId))];
  const [specs, wires, settings] = [
    await specsById(tx, ids),
    await freeWires(tx, ids, batch.id),
    await settingsIn(tx),
  ];
  const [prices, metals] = [await replacementPrices(tx, ids), await lastMetalPrices(tx)];
  const minimums = minimumsOf(settings);
  return ids.flatMap((specId): SpecProblem[] => {
    const spec = specs.get(specId);
    if (!spec) return [];
    const own = cuts.filter((cut) => cut.specId === specId);
    const stock = wires.filter((wire) => wire.specId === specId);
    const problem: CuttingProblem = {
      cuts: own.map(({ length }) => ({ length, count: 1 })),
      stock,
      usefulMinimum: usefulMinimumFor(spec, minimums),
      worth: { ...USUAL_WORTH, scrap: scrapWorth(spec, prices.get(specId), metals) },
    };
    return [{ spec, cuts: own, stock, problem }];
  });
}

/** A plan with the names of its cuts: equal lengths are taken in the order of the batch. */
function kept(
  { plan, waste, objective, gap, optimal, method, byEye }: CuttingAnswer,
  cuts: readonly BatchCut[],
  stock: readonly FreeWire[],
): CuttingPlanKept {
  const open = new Map<Micrometres, PlannedBatchCut[]>();
  for (const { line, piece, cutIndex, copy, name, length } of cuts) {
    const known = open.get(length);
    const cut = { line, piece, cutIndex, copy, name, length };
    if (known) known.push(cut);
    else open.set(length, [cut]);
  }
  const next = (length: Micrometres): PlannedBatchCut[] => {
    const cut = open.get(length)?.shift();
    return cut ? [cut] : [];
  };
  return {
    pieces: plan.pieces.flatMap(({ id, cuts: lengths, left, leftIs }) => {
      const wire = stock.find((each) => each.id === id);
      if (!wire) return [];
      const { number, form, place, length } = wire;
      return [{ id, number, form, place, length, cuts: lengths.flatMap(next), left, leftIs }];
    }),
    unmet: plan.unmet.flatMap(({ length, count }) =>
      Array.from({ length: count }, () => next(length)).flat(),
    ),
    waste,
    objective,
    gap,
    optimal,
    method,
    byEye: { waste: byEye.waste, objective: byEye.objective, pieces: byEye.plan.pieces.length },
  };
}

async function keep(tx: Tx, number: number, key: string, plans: PlansOfSpecs): Promise<void> {
  const batch = await tx.one(Batch, ['batchId'], {
    where: { number, planningKey: key, planning: 'working' },
    lock: true,
  });
  if (!batch) return;
  const taken = [...plans].flatMap(([specId, { pieces }]) =>
    pieces.map((stock) => ({ id: stock.id, specId, number: stock.number, quantity: takenOf(stock) })),
  );
  const held = await lockStock(
    tx,
    taken.map(({ id }) => id),
  );
  const free = await tx.rows(freeOfStockSql, { ids: taken.map(({ id }) => id), batchId: batch.batchId });
  const turned = taken.find(({ id, specId }) => held.get(id)?.articleId !== specId);
  const moved =
    turned ?? taken.find(({ id, quantity }) => (free.find((each) => each.id === id)?.free ?? 0) < quantity);
  if (moved) {
    await setBatch(tx, batch.batchId, {
      planning: 'failed',
      planningKey: null,
      planningSaid: `${tag('wire', moved.number)} ${turned ? 'became another wire' : 'was cut from'} while the plan was made. Nothing was set aside; plan it once more.`,
    });
    return;
  }
  await reserve(tx, batch.batchId, 'planned', taken);
  await reserve(tx, batch.batchId, 'picked', await partsFor(tx, batch.batchId));
  for (const [specId, plan] of plans) await keepPlan(tx, batch.batchId, { specId, plan });
  await setBatch(tx, batch.batchId, { ...NOT_PLANNED, planning: 'planned' });
}

/** Beads and findings that a batch asks for and that are not set aside for it yet, as far as they are free: from the oldest packs. */
async function partsFor(tx: Tx, batchId: Id<'batch'>): Promise<ReservedStock[]> {
  const progress = (await progressOf(tx, [batchId])).get(batchId);
  const lines = await linesOf(tx, [batchId]);
  const parts = partsOfBatch(linesToMake(lines, progress && madeCounts(progress)));
  const drawers = await partsInDrawers(
    tx,
    parts.map(({ name }) => name),
    batchId,
  );
  const [taken, used] = [new Map<string, number>(), new Map<string, number>()];
  for (const { name, count } of parts) {
    // Stones that only fit are chosen one by one for a line; what is said to be a stone is taken as said.
    const articles = drawers
      .filter(({ key, ware, isNamed }) => key === partKey(name) && (isNamed || ware !== 'stone'))
      .map(({ articleId }) => articleId);
    const packs = await tx.rows(packsOfSql, { articleIds: articles, batchId });
    // Two names may be one thing in the drawers: what lies aside counts for the first.
    let open = count;
    for (const { id, own } of packs) {
      const counted = Math.min(open, own - (used.get(id) ?? 0));
      used.set(id, (used.get(id) ?? 0) + counted);
      open -= counted;
    }
    for (const { id, free } of packs) {
      const before = taken.get(id) ?? 0;
      const quantity = Math.max(0, Math.min(open, free - before));
      taken.set(id, before + quantity);
      open -= quantity;
    }
  }
  return [...taken].map(([id, quantity]) => ({ id, quantity }));
}
