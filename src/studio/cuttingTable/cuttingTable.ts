import type { Id } from '@/core/id';
import type { Tx } from '@/data/inStudio';
import type { Micrometres } from '@/core/units/length';
import { BatchCutRow } from '@/data/models/batches';
import { markOfBatchSql, markOfNumberSql } from '@/data/sql/batches';
import { calledInFull } from '@/core/pattern/ringSizeOf';
import { cutKey, countWires, type CutOfBatch } from '@/core/batch/batch';
import type { PlannedBatchCut, PlannedStock } from '@/core/batch/cuttingPlan';
import type { PatternCut } from '@/core/pattern/pattern';
import { look, type StudioSession } from '../kernel/useCase';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { batchNumbered, linesOf, type PlanningStanding } from '../batches/batches';
import type { BatchState, CutKind } from '@/core/batch/batchState';
import { plansKept } from '../batches/plansKept';
import { NOTHING_DONE, progressOf } from '../batches/tray';

/** The next wire at the cutting table. */
export interface NextCut {
  readonly cut: PlannedBatchCut;
  /** What it is for: the name of its line. */
  readonly piece: string;
  readonly spec: KnownSpec;
  readonly stock: PlannedStock;
  readonly marks: NonNullable<PatternCut['marks']>;
}

/** Something that was done at the table. */
export interface TableAct {
  readonly act: number;
  readonly kind: CutKind;
  readonly name: string;
  readonly length: Micrometres;
  readonly reason: string;
  /** The stock piece that it was cut from, and what it is now. */
  readonly from: number;
  readonly became: number | null;
  readonly who: string;
  readonly at: Date;
}

/** What was done last at the table of a batch. */
async function actsAt(tx: Tx, batchId: Id<'batch'>): Promise<TableAct[]> {
  const rows = await tx.allWith(
    BatchCutRow,
    ['act', 'kind', 'name', 'lengthUm', 'reason', 'doneAt'],
    { source: ['number'], cut: ['number'], user: ['name'] },
    { where: { batchId }, order: [['act', 'DESC']], limit: SHOWN },
  );
  return rows.map(({ lengthUm: length, doneAt: at, source, cut, user, ...act }) => ({
    ...act,
    length,
    from: source.number,
    became: cut?.number ?? null,
    who: user.name,
    at,
  }));
}

/** The cutting table of a batch. */
export interface CuttingTable extends PlanningStanding {
  readonly number: number;
  readonly name: string;
  readonly state: BatchState;
  readonly done: number;
  readonly all: number;
  /** Changes with everything that is done at the table, by whomever: when it has changed, there is something new to see. */
  readonly mark: string;
  /** Undefined when nothing is left to cut, or nothing is planned. */
  readonly next: NextCut | undefined;
  /** Everything that is to be cut still, stock piece by stock piece. */
  readonly rest: readonly { readonly spec: KnownSpec; readonly stock: PlannedStock }[];
  /** Wires that find no wire. */
  readonly unmet: readonly (PlannedBatchCut & { readonly spec: KnownSpec })[];
  /** What was done last, the last first. */
  readonly acts: readonly TableAct[];
}

/** Whether there is something new at the cutting table: compare it with the mark that was seen; null when there is no such batch. */
export const watchTable = (session: StudioSession, number: number): Promise<string | null> =>
  look(session, async (tx) => {
    const row = await tx.row(markOfNumberSql, { number });
    return row?.mark ?? null;
  });

/** Acts that are shown. */
const SHOWN = 12;

/**
 * The cutting table of a batch, where it was left: the next wire, and everything after it.
 * @param chosen a wire that is to be cut first, in place of the next in the plan
 * @returns null when there is no such batch
 */
export function showCuttingTable(
  session: StudioSession,
  number: number,
  chosen?: CutOfBatch,
): Promise<CuttingTable | null> {
  return look(session, async (tx) => {
    const batch = await batchNumbered(tx, number);
    if (!batch) return null;
    const { id, name, state, planning, said, stalled } = batch;
    const marked = await tx.row(markOfBatchSql, { batchId: id });
    const [lines, plans] = [await linesOf(tx, [id]), await plansKept(tx, id)];
    const { cut } = (await progressOf(tx, [id])).get(id) ?? NOTHING_DONE;
    const specs = await specsById(
      tx,
      plans.map(({ specId }) => specId),
    );
    const rest = plans.flatMap(({ specId, plan }) => {
      const spec = specs.get(specId);
      return spec ? plan.pieces.map((stock) => ({ spec, stock })) : [];
    });
    const open = rest.flatMap(({ spec, stock }) => stock.cuts.map((each) => ({ spec, stock, cut: each })));
    const next = open.find((each) => chosen && cutKey(each.cut) === cutKey(chosen)) ?? open[0];
    const line = lines.find((each) => each.line === next?.cut.line);
    const acts = await actsAt(tx, id);
    return {
      number,
      name,
      state,
      planning,
      said,
      stalled,
      done: cut.size,
      all: countWires(lines),
      mark: marked?.mark ?? '',
      next: next && {
        ...next,
        piece: line ? calledInFull(line.body) : '',
        marks: line?.body.cuts[next.cut.cutIndex]?.marks ?? [],
      },
      rest,
      unmet: plans.flatMap(({ specId, plan }) => {
        const spec = specs.get(specId);
        return spec ? plan.unmet.map((each) => ({ ...each, spec })) : [];
      }),
      acts,
    };
  });
}
