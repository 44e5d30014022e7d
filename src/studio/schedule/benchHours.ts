import type { Id } from '@/core/id';
import { minutesOfBatch, stepsOfBatch, type WorkLine } from '@/core/batch/batch';
import type { Day } from '@/core/calendar/day';
import { groupBy } from '@/core/groupBy';
import { readyChances } from '@/core/learning/readyChance';
import { minutesOf } from '@/core/pattern/pattern';
import {
  minutesUntil,
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
import { bodyAsLearned, timesOf, type PatternTimes } from '../logbook/learnedTimes';
import { sayTimeFrom } from '@/core/learning/minutes';

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
  /** Null for those that were not asked for; of those nothing of what follows is told either. */
  readonly remedy: Remedy | null;
  /** What its lines are called. */
  readonly lineNames: Readonly<Record<number, string>>;
  /** How likely it is ready when it is due, from 0 to 1; null when it is due on no day. */
  readonly chance: number | null;
  /** Lines whose pieces take something else than is planned, by what was logged. */
  readonly learned: readonly LearnedLine[];
}

/** What is told of a batch that was not asked for. */
const NOT_TOLD = { remedy: null, lineNames: {}, learned: [] } as const;

/** What pieces of a line take by what was logged, minutes of each. */
export interface LearnedLine {
  readonly name: string;
  readonly planned: number;
  readonly minutes: number;
  /** What that comes from, in words. */
  readonly from: string;
}

export interface ScheduleView {
  readonly hours: HoursView;
  readonly days: readonly ScheduledDay[];
  readonly batches: readonly ScheduledBatch[];
}

/** A line of an open batch: its steps take what pieces of its pattern really took. */
interface OpenLine extends WorkLine {
  /** What a piece is planned to take, and what such pieces took of that. */
  readonly planned: number;
  readonly times: PatternTimes;
}

/** An open batch as work at the bench: what of it is to be made still. */
export interface OpenJob extends Job {
  readonly name: string;
  readonly lines: readonly OpenLine[];
}

/** The lines of some batches as far as their work goes: a small part of what is kept of them. */
const workOf = (
  tx: Tx,
  batchIds: readonly Id<'batch'>[],
): Promise<(WorkLine & { batchId: Id<'batch'>; pattern: number; made: number })[]> =>
  tx.rows(workOfBatchesSql, { batchIds });

/** The open batches as work at the bench. */
export async function openJobs(tx: Tx): Promise<OpenJob[]> {
  const rows = await tx.all(Batch, ['batchId', 'number', 'name', 'dueOn'], {
    where: { state: 'open' },
    order: [emptyLast('due_on'), 'number'],
    limit: 200,
  });
  const ids = rows.map(({ batchId }) => batchId);
  const work = await workOf(tx, ids);
  const timesFor = await timesOf(tx, work);
  const left = work.map(({ pattern, body, made, ...line }) => {
    const times = timesFor({ pattern, body });
    return {
      ...line,
      count: Math.max(0, line.count - made),
      planned: minutesOf(body).each,
      times,
      body: bodyAsLearned(body, times),
    };
  });
  const byBatch = groupBy(left, ({ batchId }) => batchId);
  return rows.map(({ batchId, ...row }) => {
    const lines = byBatch.get(batchId) ?? [];
    return { ...row, lines, minutes: Math.ceil(minutesOfBatch(lines)) };
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
    // What is worked later changes nothing for what is worked before it.
    const worked = jobs.slice(0, told.from + told.most);
    const chances = chancesOf(
      worked.flatMap(({ number }) => byNumber.get(number) ?? []),
      hours,
      today,
    );
    return {
      hours,
      days,
      batches: jobs.flatMap((job, index): ScheduledBatch[] => {
        const batch = byNumber.get(job.number);
        if (!batch) return [];
        const { name, minutes, lines } = batch;
        const isTold = index >= told.from && index < told.from + told.most;
        const more = isTold
          ? {
              remedy: remedyFor(job, batches, lines.map(timeOfLine), hours, today),
              lineNames: Object.fromEntries(lines.map(({ line, body }) => [line, body.name])),
              learned: lines.flatMap(learnedOf),
            }
          : NOT_TOLD;
        return [{ ...job, name, minutes, chance: chances.get(job.number) ?? null, ...more }];
      }),
    };
  });
}

const timeOfLine = ({ line, count, body }: OpenLine) => ({
  line,
  count,
  minutesEach: minutesOf(body).each,
});

/** What a line is said to take, when that is something else than is planned. */
function learnedOf({ count, planned, times, body }: OpenLine): LearnedLine[] {
  const { learned } = times;
  return count > 0 && learned && Math.round(learned.minutes) !== Math.round(planned)
    ? [{ name: body.name, planned, minutes: learned.minutes, from: sayTimeFrom(learned) }]
    : [];
}

/** How likely each batch is ready when it is due, worked in this order; each by its number. */
function chancesOf(
  jobs: readonly OpenJob[],
  hours: HoursView,
  today: Day,
): ReadonlyMap<number, number | null> {
  const chances = readyChances(
    jobs.map(({ lines, dueOn }) => ({
      setUp: stepsOfBatch(lines).reduce((sum, { once, minutes }) => sum + (once ? minutes : 0), 0),
      pieces: lines.map(({ count, planned, times: { ratios, usual } }) => ({
        count,
        planned,
        ratios,
        usual,
      })),
      available: dueOn === null ? null : minutesUntil(today, dueOn, hours),
    })),
  );
  return new Map(jobs.map(({ number }, index) => [number, chances[index] ?? null]));
}
