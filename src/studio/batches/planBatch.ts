import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { countWires } from '@/core/batch/batch';
import type { WantedLine } from '@/core/batch/batchState';
import { boundMeasures, type Measure } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { techniqueOf } from '@/core/techniques/registry';
import type { Tx } from '@/data/inStudio';
import { Batch, BatchLineRow } from '@/data/models/batches';
import { linesBegunSql } from '@/data/sql/batches';
import type { RowOf } from '@/data/sql/statement';
import { takeNumbers } from '../kernel/numbers';
import { invalid, refused, stale, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { post, type StudioSession } from '../kernel/useCase';
import { reserveStone } from '../reservations/reservations';
import { NOT_PLANNED, setBatch } from './batchRecord';
import {
  bodyOfLine,
  groundOf,
  measuresOf,
  patternOf,
  sameBody,
  wantedOf,
  workOutLines,
  type Bodies,
  type ChosenStone,
  type LineAsked,
} from './lineBodies';
import { PlanBatchInput } from './planBatch.input';
import { dropEverything } from './plansKept';
import { reserveTray } from './tray';

/** The batch that a form was opened on, as it was then. */
export interface BatchBase {
  readonly number: number;
  readonly version: number;
}

interface LineRow {
  readonly patternId: Id<'pattern'>;
  readonly revision: number;
  readonly count: number;
  readonly wanted: WantedLine;
  readonly body: PatternBody;
  /** The stone that is to be set aside for it; a stone that is in a piece already is not. */
  readonly stone: ChosenStone | undefined;
  readonly stoneId: Id<'stock piece'> | null;
}

/**
 * Plans a batch, or changes it: pieces of any patterns for their stones, sizes and metals. Its stones are set aside at once; a batch
 * that is changed sets its other stock free, since its cuts have to be planned again.
 */
export function planBatch(
  session: StudioSession,
  postKey: Id<'post'>,
  base: BatchBase | null,
  plain: unknown,
): Promise<Outcome<{ readonly number: number }>> {
  const prepare = async () => {
    const input = await readInput(PlanBatchInput, plain);
    return { input, ahead: (await workOutLines(session, input.lines)).bodies };
  };
  return post(session, 'planBatch', postKey, prepare, async (tx, { input, ahead }) => {
    const { number } = await writeBatch(tx, base, input, ahead);
    return { number };
  });
}

/** The batch that was written: its id, and the number on its papers. */
interface WrittenBatch {
  readonly batchId: Id<'batch'>;
  readonly number: number;
}

/**
 * Writes a batch down, new or changed.
 * @param ahead what its lines come to, worked out before the transaction
 * @throws Refused beside the line that cannot be made
 */
export async function writeBatch(
  tx: Tx,
  base: BatchBase | null,
  { name, dueOn, notes, lines: asked }: ValuesOf<PlanBatchInput>,
  ahead: Bodies,
): Promise<WrittenBatch> {
  const { userId, now } = tx.session;
  const known = base ? await openBatch(tx, base) : undefined;
  const batchId = known ?? randomUUID();
  const number = base?.number ?? (await takeNumbers(tx, 'batch'));
  const begun = known ? await linesBegun(tx, batchId) : [];
  if (known) {
    await dropEverything(tx, batchId);
    await reserveTray(tx, batchId);
    await tx.remove(BatchLineRow, { batchId });
    await setBatch(tx, batchId, {
      ...{ name, dueOn, notes, ...NOT_PLANNED },
      version: (base?.version ?? 0) + 1,
    });
  } else await tx.add(Batch, [{ batchId, number, name, dueOn, notes, userId, createdAt: now }]);
  const lines = await readLines(tx, batchId, asked, begun, ahead);
  refuseTooMany(lines);
  for (const [index, { patternId, revision, count, wanted, body, stone, stoneId }] of lines.entries()) {
    await tx.add(BatchLineRow, [
      { batchId, line: index + 1, patternId, revision, count, wanted, body, stoneId },
    ]);
    if (stone) await reserveStone(tx, batchId, stone.id);
  }
  return { batchId, number };
}

/** Wires that one batch may hold: what is planned, cut and shown of it stays quick. */
const MOST_WIRES = 5_000;

/** @throws Refused when the lines hold more wires than one batch may */
function refuseTooMany(lines: readonly LineRow[]): void {
  const wires = countWires(lines.map((each, line) => ({ ...each, line })));
  if (wires > MOST_WIRES)
    throw refused(
      `These lines are ${wires.toLocaleString('en-US')} wires; a batch holds ${MOST_WIRES.toLocaleString('en-US')} at most. Plan them as several batches.`,
    );
}

/** Locks a batch that is to be changed. @returns its id @throws Refused when it is gone, cancelled, or somebody changed it meanwhile */
async function openBatch(tx: Tx, { number, version }: BatchBase): Promise<string> {
  const row = await tx.one(Batch, ['batchId', 'state', 'version'], { where: { number }, lock: true });
  if (!row) throw refused('This batch is no longer there.');
  if (row.state !== 'open') throw refused(`This batch is ${row.state}; plan a new one.`);
  if (row.version !== version)
    throw stale(
      'Somebody changed this batch while you had it open. What you typed is still here; open the batch in another tab to compare.',
    );
  return row.batchId;
}

/** A line of which wires are cut already: what it makes stands. */
type LineBegun = RowOf<typeof linesBegunSql>;

const linesBegun = (tx: Tx, batchId: Id<'batch'>): Promise<LineBegun[]> =>
  tx.rows(linesBegunSql, { batchId });

/** Lines of which wires are cut keep their place and what they make, and are not made fewer than are begun. @throws Refused beside the line */
function refuseBegun(begun: readonly LineBegun[], lines: readonly LineAsked[]): void {
  for (const { line, cuts, pieces, patternNumber, wanted, body } of begun) {
    const now = lines[line - 1];
    const wires = `${cuts} ${cuts === 1 ? 'wire is' : 'wires are'} cut for line ${line}, “${body.name}”`;
    if (!now) throw refused(`${wires}: it cannot be left out. Undo the cuts first, or cancel the batch.`);
    if (now.pattern !== patternNumber || !isDeepStrictEqual(wantedOf(now), wanted))
      throw invalid(
        `lines.${line - 1}.pattern`,
        `${wires}: only how many can be changed. Undo the cuts first.`,
      );
    if (now.count < pieces)
      throw invalid(
        `lines.${line - 1}.count`,
        `${wires}, up to piece ${pieces}; ${now.count} is fewer. Undo the cuts first.`,
      );
  }
}

async function readLines(
  tx: Tx,
  batchId: Id<'batch'>,
  lines: readonly LineAsked[],
  begun: readonly LineBegun[],
  ahead: Bodies,
): Promise<LineRow[]> {
  refuseBegun(begun, lines);
  const ground = await groundOf(tx, batchId, lines, true);
  const seen = new Set<number>();
  return lines.map((asked, index) => {
    const { count } = asked;
    const wanted = wantedOf(asked);
    const pattern = patternOf(ground.patterns, asked);
    if (!pattern) throw invalid(`lines.${index}.pattern`, 'This pattern is no longer there; choose another.');
    const kept = begun.find(({ line }) => line === index + 1);
    const stone = kept?.isMade ? undefined : stoneOf(asked, index, ground.stones, seen);
    if (kept) {
      const { patternId, revision, body, stoneId } = kept;
      return { patternId, revision, count, wanted, body, stone, stoneId };
    }
    const bound = boundTo(pattern.body);
    for (const measure of ['stone', 'ring', 'bead'] as const)
      if (wanted[measure] && !bound.includes(measure))
        throw invalid(
          `lines.${index}.${measure}`,
          `“${pattern.body.name}” does not ask for a ${measure}; leave this empty.`,
        );
    // Somebody may have changed the pattern meanwhile; then it is worked out here.
    const body =
      ahead.get(sameBody(pattern, wanted, stone)) ?? bodyOfLine(pattern.body, wanted, stone, ground);
    if (!body.ok)
      throw invalid(
        `lines.${index}.${wanted.metal && Object.keys(measuresOf(wanted, stone)).length === 0 ? 'metal' : 'pattern'}`,
        body.error,
      );
    const { patternId, revision } = pattern;
    return { patternId, revision, count, wanted, body: body.value, stone, stoneId: stone?.id ?? null };
  });
}

const boundTo = ({ composition }: PatternBody): readonly Measure[] =>
  composition ? boundMeasures(composition, techniqueOf) : [];

function stoneOf(
  { stone: number, count }: LineAsked,
  index: number,
  stones: readonly ChosenStone[],
  seen: Set<number>,
): ChosenStone | undefined {
  if (number === null) return undefined;
  const field = `lines.${index}.stone`;
  const stone = stones.find((each) => each.number === number);
  if (!stone)
    throw invalid(field, `${tag('stone', number)} is not a stone in the drawer; choose one of the list.`);
  if (stone.taken > 0)
    throw invalid(field, `${tag('stone', stone.number)} is set aside for ${stone.setAsideFor}.`);
  if (seen.has(stone.number))
    throw invalid(field, `${tag('stone', stone.number)} is in this batch already; a stone makes one piece.`);
  if (count !== 1)
    throw invalid(
      `lines.${index}.count`,
      `One stone makes one piece; ${count} were asked for. Leave the stone empty, or make a line for each stone.`,
    );
  seen.add(stone.number);
  return stone;
}
