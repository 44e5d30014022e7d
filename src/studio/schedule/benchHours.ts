import type { Id } from '@/core/id';
import { linesToMake, minutesOfBatch, type WorkLine } from '@/core/batch/batch';
import { groupBy } from '@/core/groupBy';
import { minutesOf } from '@/core/pattern/pattern';
import {
  remedyFor,
  scheduleJobs,
  type BenchHours,
  type Job,
  type Remedy,
  type ScheduledDay,
  type ScheduledJob,
} from '@/core/schedule/schedule';
import { emptyLast } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Batch, BenchHoursRow } from '@/data/models/batches';
import { workOfBatchesSql } from '@/data/sql/batches';
import { stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, todayOf, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { BenchHoursInput } from './benchHours.input';
import { madeCounts, NOTHING_DONE, progressOf } from '../batches/tray';

/** The studio’s hours; version 0 until somebody has said them. */
export interface HoursView extends BenchHours {
  readonly version: number;
}

/** What is taken until hours are said: four on each day from Monday to Friday. */
const USUAL: HoursView = { version: 0, weekly: [240, 240, 240, 240, 240, 0, 0], daysOff: [] };

/** The hours of the studio, or the usual ones. */
export async function hoursIn(tx: Tx): Promise<HoursView> {
  const row = await tx.one(BenchHoursRow, ['version', 'weekly', 'daysOff'], { where: {} });
  return row ?? USUAL;
}

/** Says when there is time at the bench. */
export const setBenchHours = posts(
  'setBenchHours',
  { input: BenchHoursInput, by: 'owner' },
  async ({ tx }, input) => {
    const now = await hoursIn(tx);
    if (now.version !== input.version)
      throw stale('Somebody changed the hours while you had the page open. Reload it, then set them again.');
    await tx.put(
      BenchHoursRow,
      [
        {
          weekly: input.weekly.map((hours) => Math.round(hours * 60)),
          daysOff: input.daysOff[(await settingsIn(tx)).days],
          version: now.version + 1,
        },
      ],
      ['weekly', 'daysOff', 'version'],
    );
    return null;
  },
);

/** A batch on the calendar, and what would bring it in time when it is late. */
export interface ScheduledBatch extends ScheduledJob {
  readonly name: string;
  readonly minutes: number;
  /** Null for those that were not asked for. */
  readonly remedy: Remedy | null;
  /** What its lines are called. */
  readonly lineNames: Readonly<Record<number, string>>;
}

export interface ScheduleView {
  readonly hours: HoursView;
  readonly days: readonly ScheduledDay[];
  readonly batches: readonly ScheduledBatch[];
}

/** An open batch as work at the bench: what of it is to be made still. */
export interface OpenJob extends Job {
  readonly name: string;
  readonly lines: readonly WorkLine[];
}

/** The lines of some batches as far as their work goes: a small part of what is kept of them. */
const workOf = (tx: Tx, batchIds: readonly Id<'batch'>[]): Promise<(WorkLine & { batchId: Id<'batch'> })[]> =>
  tx.rows(workOfBatchesSql, { batchIds });

/** The open batches as work at the bench. */
export async function openJobs(tx: Tx): Promise<OpenJob[]> {
  const rows = await tx.all(Batch, ['batchId', 'number', 'name', 'dueOn'], {
    where: { state: 'open' },
    order: [emptyLast('due_on'), 'number'],
    limit: 200,
  });
  const ids = rows.map(({ batchId }) => batchId);
  const lines = groupBy(await workOf(tx, ids), ({ batchId }) => batchId);
  const progress = await progressOf(tx, ids);
  return rows.map(({ batchId, ...row }) => {
    const own = lines.get(batchId) ?? [];
    const left = linesToMake(own, madeCounts(progress.get(batchId) ?? NOTHING_DONE));
    return { ...row, lines: left, minutes: Math.ceil(minutesOfBatch(left)) };
  });
}

/**
 * When the open batches will be ready, with what is made of them left out: what is due first is worked first, from today on.
 * @param told of which batches, in that order, it is worked out what would bring them in time: all when it is left out
 */
export function showSchedule(
  session: StudioSession,
  told: { readonly from: number; readonly most: number } = { from: 0, most: Infinity },
): Promise<ScheduleView> {
  return look(session, async (tx) => {
    const hours = await hoursIn(tx);
    const batches = await openJobs(tx);
    const today = todayOf(session);
    const { days, jobs } = scheduleJobs(batches, hours, today);
    const byNumber = new Map(batches.map((batch) => [batch.number, batch]));
    return {
      hours,
      days,
      batches: jobs.flatMap((job, index): ScheduledBatch[] => {
        const batch = byNumber.get(job.number);
        if (!batch) return [];
        const isTold = index >= told.from && index < told.from + told.most;
        const times = batch.lines.map(({ line, count, body }) => ({
          line,
          count,
          minutesEach: minutesOf(body).each,
        }));
        return [
          {
            ...job,
            name: batch.name,
            minutes: batch.minutes,
            remedy: isTold ? remedyFor(job, batches, times, hours, today) : null,
            lineNames: Object.fromEntries(batch.lines.map(({ line, body }) => [line, body.name])),
          },
        ];
      }),
    };
  });
}
