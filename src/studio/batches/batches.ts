import type { Id } from '@/core/id';
import type { Day } from '@/core/calendar/day';
import type { Ware } from '@/core/stock/ware';
import { BatchLineRow, Reservation } from '@/data/models/batches';
import { costAt, type PriceFor } from '@/core/costing/unitPrice';
import {
  countWires,
  linesToMake,
  minutesOfBatch,
  piecesReady,
  partsOfBatch,
  stepsOfBatch,
  type BatchLine,
  type BatchStep,
} from '@/core/batch/batch';
import { partKey } from '@/core/part/partKey';
import { enoughFor, type Enough, type PartNeed, type WireNeed } from '@/core/batch/enough';
import { substitutesFor } from '@/core/batch/substitutes';
import type { PatternBody } from '@/core/pattern/pattern';
import { toBuy } from '@/core/stock/toBuy';
import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import { batchList } from '@/data/sql/lists';
import { readPage, readSums } from '@/data/pages';
import type { Tx } from '@/data/inStudio';
import { soldByOfSql } from '@/data/sql/purchases';
import { linesOfBatchesInBriefSql, batchOfNumberSql } from '@/data/sql/batches';
import { calledAs } from '../kernel/called';
import { look, type StudioSession } from '../kernel/useCase';
import { bodyShownTo } from '../patterns/patterns';
import { replacementPrices } from '../prices/replacement';
import { specsOfStudio, type KnownSpec } from '../catalogue/wireSpecs';
import type { CuttingPlanKept } from '@/core/batch/cuttingPlan';
import { countParts, partsInDrawers, type FreePart } from '../drawers/partsInDrawers';
import { freeWires } from '../reservations/freeWires';
import type { Planning } from '@/core/batch/batchState';
import { plansKept } from './plansKept';
import { madeCounts, NOTHING_DONE, progressOf } from './tray';
import type { WantedLine } from '@/core/batch/batchState';
import type { BatchQuery } from './batches.input';
import type { BatchState } from '@/core/batch/batchState';

/** A batch in the list. */
export interface BatchSummary {
  readonly number: number;
  readonly name: string;
  /** Like "2026-12-05". */
  readonly dueOn: Day | null;
  readonly state: BatchState;
  readonly planning: Planning;
  readonly pieces: number;
  /** How many of them are made. */
  readonly made: number;
  /** Of what is to be made still. */
  readonly minutes: number;
}

type BatchRow = RowOf<typeof batchOfNumberSql>;

/** A batch of a number. */
export const batchNumbered = (tx: Tx, number: number): Promise<BatchRow | undefined> =>
  tx.row(batchOfNumberSql, { number });

/** A line of a batch as it is kept. */
export interface KeptLine extends BatchLine {
  readonly patternId: Id<'pattern'>;
  readonly patternNumber: number;
  readonly revision: number;
  readonly wanted: WantedLine;
  readonly body: PatternBody;
}

/** The lines of some batches. */
export async function linesOf(
  tx: Tx,
  batchIds: readonly Id<'batch'>[],
): Promise<(KeptLine & { batchId: Id<'batch'> })[]> {
  const rows = await tx.allWith(
    BatchLineRow,
    ['batchId', 'line', 'count', 'patternId', 'revision', 'wanted', 'body'],
    { pattern: ['number'] },
    { where: { batchId: [...batchIds] }, order: ['batchId', 'line'] },
  );
  return rows.map(({ pattern, ...line }) => ({ ...line, patternNumber: pattern.number }));
}

/** The lines of some batches without what their bodies were composed of, which is most of them and read by nobody who reckons. */
export const linesInBrief = (
  tx: Tx,
  batchIds: readonly Id<'batch'>[],
): Promise<(BatchLine & { batchId: Id<'batch'> })[]> => tx.rows(linesOfBatchesInBriefSql, { batchIds });

/** The ways of sorting them. */
export const BATCH_SORTINGS = batchList.orders;

/** Batches that are listed at once. */
const PAGE = 60;

/** A page of the batches. */
export interface BatchPage {
  readonly batches: readonly BatchSummary[];
  /** Of what was asked for. */
  readonly total: number;
  readonly open: number;
  /** The day that the next open one is due; null when none is. */
  readonly nextDue: Day | null;
  readonly next: string | null;
}

/** Batches as they are asked for, a page at a time. */
export function listBatches(session: StudioSession, query: BatchQuery = {}): Promise<BatchPage> {
  return look(session, async (tx) => {
    const asked = { ...calledAs('batch', query.words), state: query.state };
    const [sums] = await readSums(tx, batchList, {}, asked);
    const { rows, next } = await readPage(tx, batchList, {}, asked, { ...query, size: PAGE });
    const ids = rows.map(({ id }) => id);
    const [lines, progress] = [await linesInBrief(tx, ids), await progressOf(tx, ids)];
    const batches = rows.map(({ id, number, name, dueOn, state, planning }): BatchSummary => {
      const own = lines.filter(({ batchId }) => batchId === id);
      const made = madeCounts(progress.get(id) ?? NOTHING_DONE);
      return {
        number,
        name,
        dueOn,
        state,
        planning,
        pieces: own.reduce((sum, { count }) => sum + count, 0),
        made: [...made.values()].reduce((sum, count) => sum + count, 0),
        minutes: minutesOfBatch(linesToMake(own, made)),
      };
    });
    const { total = 0, open = 0, nextDue = null } = sums ?? {};
    return { batches, total, open, nextDue, next };
  });
}

/** How much of something to buy, rounded to how it is sold; its cost is null for helpers and where no price is known. */
export interface Buying {
  readonly packs: number;
  readonly packOf: number;
  readonly quantity: number;
  readonly cost: CostUnits | null;
}

export interface WireStanding extends WireNeed {
  readonly spec: KnownSpec;
  readonly buy: Buying | null;
  /** What lies on the rack and would do. */
  readonly substitutes: readonly {
    readonly spec: KnownSpec;
    readonly free: Micrometres;
    readonly consequence: string;
  }[];
}

export interface PartStanding extends PartNeed {
  /** What it is said to be in the drawers, or is called the same. */
  readonly article: string | null;
  /** What lies in the drawers and fits what its name asks for, the best fit first; none when it is said what it is. */
  readonly fitting: readonly Pick<FreePart, 'article' | 'ware'>[];
  /** Whether anything of the studio is it or fits it, be it used up; otherwise it is not counted. */
  readonly isKnown: boolean;
  readonly buy: Buying | null;
}

/** A plan for one spec, with its price so that what was saved can be told in money. */
export interface PlanView {
  readonly spec: KnownSpec;
  readonly plan: CuttingPlanKept;
  /** What a plan by eye would have lost more, at today’s price; null for helpers and where no price is known. */
  readonly saved: CostUnits | null;
}

/** Something that is set aside for a batch in the drawers. */
export interface PickedPart {
  readonly ware: Ware;
  readonly number: number;
  readonly name: string;
  readonly place: string | null;
  readonly quantity: number;
}

/** What is picked for a batch, as the drawers are ordered. */
async function picksOf(tx: Tx, batchId: Id<'batch'>): Promise<PickedPart[]> {
  const rows = await tx.allWith(
    Reservation,
    ['quantity'],
    { stockPiece: { columns: ['ware', 'number'], with: { article: ['name'], place: ['name'] } } },
    {
      where: { batchId, purpose: 'picked' },
      order: [
        ['stockPiece', 'ware', 'ASC'],
        ['stockPiece', 'sortKey', 'ASC'],
        ['stockPiece', 'number', 'ASC'],
      ],
    },
  );
  return rows.map(({ quantity, stockPiece: { ware, number, article, place } }) => ({
    ware,
    number,
    name: article.name,
    place: place?.name ?? null,
    quantity,
  }));
}

/** Everything about a batch. */
export interface BatchView extends Omit<BatchRow, 'id'> {
  readonly lines: readonly KeptLine[];
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly wires: readonly WireStanding[];
  readonly parts: readonly PartStanding[];
  readonly complete: Enough['complete'];
  readonly bottleneck: Enough['bottleneck'];
  /** Of what is to be made still. */
  readonly minutes: number;
  readonly steps: readonly BatchStep[];
  /** How many of its wires are cut, and how many there are. */
  readonly cuts: { readonly done: number; readonly all: number };
  /** Of each line, how many pieces are made, and which can be made now since all their wires are cut; the first is 0. */
  readonly made: ReadonlyMap<number, number>;
  readonly ready: ReadonlyMap<number, readonly number[]>;
  readonly plans: readonly PlanView[];
  /** What is set aside for it besides wire. */
  readonly picks: readonly PickedPart[];
}

/** A batch as it stands against what is free now; null when there is none of that number. */
export function showBatch(session: StudioSession, number: number): Promise<BatchView | null> {
  return look(session, async (tx) => {
    const batch = await batchNumbered(tx, number);
    if (!batch) return null;
    const { id, ...row } = batch;
    const lines = await linesOf(tx, [id]);
    const progress = (await progressOf(tx, [id])).get(id) ?? NOTHING_DONE;
    const made = madeCounts(progress);
    const toMake = linesToMake(lines, made);
    const specs = Object.fromEntries((await specsOfStudio(tx)).map((spec) => [spec.id, spec]));
    const parts = partsOfBatch(lines);
    const drawers = await partsInDrawers(
      tx,
      parts.map(({ name }) => name),
      id,
    );
    const needed = [...new Set(lines.flatMap(({ body }) => body.cuts.map(({ specId }) => specId)))];
    const substitutes = new Map(
      needed.map((specId) => [specId, specs[specId] ? substitutesFor(specs[specId], specs) : []]),
    );
    const others = [...substitutes.values()].flat().map(({ specId }) => specId);
    const wires = await freeWires(tx, [...needed, ...others], id);
    const enough = enoughFor(lines, {
      wires: wires.filter(({ specId }) => needed.includes(specId)),
      parts: countParts(drawers),
      cut: progress.cut,
      made,
    });
    const buying = await buyingOf(tx, enough, drawers);
    const freeOf = (specId: Id<'article'>) =>
      wires
        .filter((wire) => wire.specId === specId)
        .reduce((sum, { length }) => sum + length, 0) as Micrometres;
    return {
      ...row,
      lines: lines.map(({ batchId: _, ...line }) => ({ ...line, body: bodyShownTo(session, line.body) })),
      specs,
      wires: enough.wires.flatMap((need) => {
        const spec = specs[need.specId];
        if (!spec) return [];
        const instead = (substitutes.get(need.specId) ?? []).flatMap(({ specId, consequence }) => {
          const other = specs[specId];
          const free = freeOf(specId);
          return other && free > 0 && need.short > 0 ? [{ spec: other, free, consequence }] : [];
        });
        return [{ ...need, spec, buy: buying.get(need.specId) ?? null, substitutes: instead }];
      }),
      parts: enough.parts.map((need) => {
        const own = drawers.filter(({ key }) => key === partKey(need.name));
        const [first] = own;
        return {
          ...need,
          article: first?.isNamed ? first.article : null,
          fitting: first?.isNamed
            ? []
            : own.filter(({ free }) => free > 0).map(({ article, ware }) => ({ article, ware })),
          isKnown: own.length > 0,
          buy: (first && buying.get(first.articleId)) ?? null,
        };
      }),
      complete: enough.complete,
      bottleneck: enough.bottleneck,
      minutes: minutesOfBatch(toMake),
      steps: stepsOfBatch(toMake),
      cuts: { done: progress.cut.size, all: countWires(lines) },
      made,
      ready: new Map(
        lines.map((each) => [
          each.line,
          piecesReady(each, progress.cut, progress.made.get(each.line) ?? new Set()),
        ]),
      ),
      plans: await plansOf(tx, id, specs),
      picks: await picksOf(tx, id),
    };
  });
}

/** How far the planning of a batch’s cuts is. */
export interface PlanningStanding {
  readonly planning: Planning;
  readonly said: string;
  /** Nobody works on it any more: the copy that did was stopped. */
  readonly stalled: boolean;
}

/** How the planning of a batch’s cuts stands; null when there is no such batch. */
export function watchPlanning(session: StudioSession, number: number): Promise<PlanningStanding | null> {
  return look(session, async (tx) => {
    const batch = await batchNumbered(tx, number);
    return batch ? { planning: batch.planning, said: batch.said, stalled: batch.stalled } : null;
  });
}

/** What to buy of everything that is short, by article. */
async function buyingOf(
  tx: Tx,
  { wires, parts }: Enough,
  drawers: readonly FreePart[],
): Promise<Map<string, Buying>> {
  const short = new Map([
    ...wires.map(({ specId, short: missing }) => [specId, missing as number] as const),
    ...parts.flatMap(({ name, short: missing }) => {
      // Stones are bought one by one, by eye.
      const articleId = drawers.find(
        ({ key, ware, isNamed }) => key === partKey(name) && (isNamed || ware !== 'stone'),
      )?.articleId;
      return articleId ? [[articleId, missing] as const] : [];
    }),
  ]);
  const ids = [...short].filter(([, missing]) => missing > 0).map(([id]) => id);
  if (ids.length === 0) return new Map();
  const sold = await tx.rows(soldByOfSql, { articleIds: ids });
  const prices: ReadonlyMap<string, PriceFor> =
    tx.session.role === 'owner' ? await replacementPrices(tx, ids) : new Map();
  return new Map(
    sold.flatMap(({ id, ...how }): [string, Buying][] => {
      const rule = { minimumBy: 'typed' as const, minimum: short.get(id) ?? 0, quantity: 0, used: 0 };
      const buy = toBuy({ ...rule, ...how });
      const price = prices.get(id);
      if (!buy) return [];
      const { packs, packOf, quantity } = buy;
      return [[id, { packs, packOf, quantity, cost: price ? costAt(price, quantity) : null }]];
    }),
  );
}

async function plansOf(
  tx: Tx,
  batchId: Id<'batch'>,
  specs: Readonly<Record<string, KnownSpec>>,
): Promise<PlanView[]> {
  const rows = await plansKept(tx, batchId);
  const prices: ReadonlyMap<string, PriceFor> =
    tx.session.role === 'owner'
      ? await replacementPrices(
          tx,
          rows.map(({ specId }) => specId),
        )
      : new Map();
  return rows.flatMap(({ specId, plan }) => {
    const [spec, price] = [specs[specId], prices.get(specId)];
    const better = Math.max(0, Math.round(plan.byEye.objective - plan.objective));
    return spec ? [{ spec, plan, saved: price ? costAt(price, better) : null }] : [];
  });
}
