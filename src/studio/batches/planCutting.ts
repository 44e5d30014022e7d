import { cutsOfBatch, partKey, partsOfBatch, type BatchCut } from '@/core/batch/batch';
import { USUAL_WORTH, type CuttingProblem } from '@/core/cutting/problem';
import { usefulMinimumFor } from '@/core/cutting/settle';
import type { CuttingAnswer } from '@/core/cutting/solve';
import { CONTENT, spotCost } from '@/core/metalPrice/metalPrice';
import { tag } from '@/core/tag';
import { um, UM_PER_METRE, type Micrometres } from '@/core/units/length';
import { minor } from '@/core/units/money';
import { describeSpec } from '@/core/wire/spec';
import { inStudio, type Tx } from '@/data/inStudio';
import { aside } from '../aside/aside';
import { log } from '../kernel/log';
import { refused, type Outcome } from '../kernel/outcome';
import { look, post, type StudioSession } from '../kernel/useCase';
import { lockStock } from '../ledger/posting';
import { lastMetalPrices, type KnownPrice } from '../prices/metalPrices';
import { costAt, replacementPrices, type PriceFor } from '../prices/replacement';
import { minimumsOf, settingsIn } from '../settings/settings';
import { specsById, type KnownSpec } from '../wire/specs';
import { batchNumbered, linesOf } from './batches';
import type { CuttingPlanKept, PlannedBatchCut } from './cuttingPlan';
import { freeParts, freeWires, type FreeWire } from './freeStock';
import { releaseAll, SET_ASIDE_FOR_OTHERS, setAsideFor, type SetAsideStock } from './setAsides';

/** How long the plan of one spec may take. */
const LIMIT_MS = 6_000;
/** How often it is looked whether the planning was called off. */
const LOOK_MS = 400;

const BROKEN = 'Something broke on our side and nothing was set aside. Try it once more.';

/** Plans the cuts of a batch off the request; what it set aside before is set free. */
export async function planCutting(
  session: StudioSession,
  postKey: string,
  number: number,
): Promise<Outcome<null>> {
  const begun = await beginPlanning(session, postKey, number);
  if (begun.ok)
    workOutCutting(session, number, postKey).catch(async (fault: unknown) => {
      log.error({ err: fault, batch: number }, 'planning the cuts broke');
      await note(session, postKey, BROKEN, 'failed').catch(() => undefined);
    });
  return begun;
}

/** Says that the cuts of a batch are being planned, and sets its stock free meanwhile. */
export function beginPlanning(
  session: StudioSession,
  postKey: string,
  number: number,
): Promise<Outcome<null>> {
  return post(
    session,
    'planCutting',
    postKey,
    () => number,
    async (tx) => {
      const batch = await batchNumbered(tx, number);
      if (batch?.state !== 'open') throw refused('This batch is not open any more.');
      await releaseAll(tx, batch.id, { but: 'stones' });
      await tx.run(
        `UPDATE batches SET planning = 'working', planning_key = $3, planning_said = 'reading the rack', planning_beat = clock_timestamp()
          WHERE studio_id = $1 AND batch_id = $2`,
        [session.studioId, batch.id, postKey],
      );
      return null;
    },
  );
}

/** Calls the planning off; nothing is set aside then. */
export function stopPlanning(
  session: StudioSession,
  postKey: string,
  number: number,
): Promise<Outcome<null>> {
  return post(
    session,
    'stopPlanning',
    postKey,
    () => number,
    async (tx) => {
      await tx.run(
        `UPDATE batches SET planning = 'none', planning_key = NULL, planning_said = ''
          WHERE studio_id = $1 AND number = $2 AND planning = 'working'`,
        [session.studioId, number],
      );
      return null;
    },
  );
}

/** Writes how far the planning is. @returns whether it is still wanted */
async function note(
  session: StudioSession,
  key: string,
  said: string,
  planning: 'working' | 'failed' = 'working',
): Promise<boolean> {
  const row = await inStudio(session, (tx) =>
    tx.first<{ number: number }>(
      `UPDATE batches SET planning = $4, planning_said = $3, planning_beat = clock_timestamp()
        WHERE studio_id = $1 AND planning_key = $2 AND planning = 'working' RETURNING number`,
      [session.studioId, key, said, planning],
    ),
  );
  return row !== undefined;
}

interface SpecProblem {
  readonly spec: KnownSpec;
  readonly cuts: readonly BatchCut[];
  readonly stock: readonly FreeWire[];
  readonly problem: CuttingProblem;
}

/** Works out the cuts of a batch whose planning has begun under a key, and sets their stock aside, unless it was called off. */
export async function workOutCutting(session: StudioSession, number: number, key: string): Promise<void> {
  const problems = await look(session, (tx) => problemsOf(tx, number));
  const plans = new Map<string, CuttingPlanKept>();
  for (const [index, { spec, cuts, stock, problem }] of problems.entries()) {
    const said = `${index + 1} of ${problems.length}: ${cuts.length} cuts of ${describeSpec(spec)}`;
    if (!(await note(session, key, said))) return;
    const answer = await watched(session, key, said, (signal) =>
      aside('planCuts', { problem, limitMs: LIMIT_MS }, signal),
    );
    plans.set(spec.id, kept(answer, cuts, stock));
  }
  await inStudio(session, (tx) => keep(tx, number, key, plans));
}

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

/** The cuts of a batch by spec, each with what is free of it. */
async function problemsOf(tx: Tx, number: number): Promise<SpecProblem[]> {
  const batch = await batchNumbered(tx, number);
  if (!batch) return [];
  const cuts = cutsOfBatch(await linesOf(tx, [batch.id]));
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

/** Scrap that were worth more than this would be kept rather than scrapped. */
const MOST_SCRAP_WORTH = 0.75;

/** What a metre of scrap of a wire is worth against a metre of it: its melt value, nought where the metal has no price of the day. */
function scrapWorth(spec: KnownSpec, price: PriceFor | undefined, metals: readonly KnownPrice[]): number {
  const spot = metals.find(({ metal }) => metal === CONTENT[spec.metal]?.metal);
  const melt = spot && spotCost(spec, um(UM_PER_METRE), spot.perKilogram, NO_PREMIUM);
  const today = price ? costAt(price, UM_PER_METRE) : 0;
  if (melt === undefined || today <= 0) return 0;
  return Math.min(MOST_SCRAP_WORTH, melt / today);
}

const NO_PREMIUM = { premium: 0, fabricationPerMetre: minor(0) };

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

/** Keeps the plans and sets their stock aside, beads and findings with it; when stock has moved meanwhile, says so and keeps nothing. */
async function keep(
  tx: Tx,
  number: number,
  key: string,
  plans: ReadonlyMap<string, CuttingPlanKept>,
): Promise<void> {
  const { studioId, now } = tx.session;
  const batch = await tx.first<{ id: string }>(
    `SELECT batch_id AS id FROM batches WHERE studio_id = $1 AND number = $2 AND planning_key = $3 AND planning = 'working' FOR UPDATE`,
    [studioId, number, key],
  );
  if (!batch) return;
  // What a plan takes from a stock piece: its cuts, and what is left when that is scrap.
  const taken = [...plans.values()].flatMap(({ pieces }) =>
    pieces.map(({ id, number: on, length, left, leftIs }) => ({
      id,
      number: on,
      quantity: leftIs === 'scrap' ? length : length - left,
    })),
  );
  await lockStock(
    tx,
    taken.map(({ id }) => id),
  );
  const free = await tx.select<{ id: string; free: number }>(
    `SELECT p.stock_piece_id AS id, p.quantity - ${SET_ASIDE_FOR_OTHERS} AS free FROM stock_pieces p
      WHERE p.studio_id = $1 AND p.stock_piece_id = ANY ($2)`,
    [studioId, taken.map(({ id }) => id), batch.id],
  );
  const moved = taken.find(({ id, quantity }) => (free.find((each) => each.id === id)?.free ?? 0) < quantity);
  if (moved) {
    await tx.run(
      `UPDATE batches SET planning = 'failed', planning_key = NULL, planning_said = $3 WHERE studio_id = $1 AND batch_id = $2`,
      [
        studioId,
        batch.id,
        `${tag('wire', moved.number)} was cut from while the plan was made. Nothing was set aside; plan it once more.`,
      ],
    );
    return;
  }
  await setAsideFor(tx, batch.id, [...taken, ...(await partsFor(tx, batch.id))]);
  for (const [specId, plan] of plans)
    await tx.run(
      `INSERT INTO cutting_plans (studio_id, batch_id, spec_id, plan, made_at) VALUES ($1, $2, $3, $4::jsonb, $5)`,
      [studioId, batch.id, specId, JSON.stringify(plan), now],
    );
  await tx.run(
    `UPDATE batches SET planning = 'planned', planning_key = NULL, planning_said = '' WHERE studio_id = $1 AND batch_id = $2`,
    [studioId, batch.id],
  );
}

/** Beads and findings that a batch asks for, as far as they are free: from the oldest packs. */
async function partsFor(tx: Tx, batchId: string): Promise<SetAsideStock[]> {
  const parts = partsOfBatch(await linesOf(tx, [batchId]));
  const drawers = await freeParts(
    tx,
    parts.map(({ name }) => name),
    batchId,
  );
  const taken = new Map<string, number>();
  for (const { name, count } of parts) {
    const articleId = drawers.find(({ key }) => key === partKey(name))?.articleId;
    const packs = await tx.select<{ id: string; free: number }>(
      `SELECT p.stock_piece_id AS id, p.quantity - COALESCE((SELECT sum(o.quantity) FROM set_asides o WHERE o.studio_id = p.studio_id
                AND o.stock_piece_id = p.stock_piece_id), 0)::bigint AS free
         FROM stock_pieces p WHERE p.studio_id = $1 AND p.article_id = $2 AND p.quantity > 0 ORDER BY p.number FOR UPDATE`,
      [tx.session.studioId, articleId ?? null],
    );
    let open = count;
    for (const { id, free } of packs) {
      // Two names may be one thing in the drawers.
      const before = taken.get(id) ?? 0;
      const quantity = Math.max(0, Math.min(open, free - before));
      taken.set(id, before + quantity);
      open -= quantity;
    }
  }
  return [...taken].map(([id, quantity]) => ({ id, quantity }));
}
