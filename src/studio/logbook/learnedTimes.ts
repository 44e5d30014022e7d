import { groupBy } from '@/core/groupBy';
import {
  learnMinutes,
  learnWork,
  stepsTaking,
  usualTime,
  type TimeLearned,
  type UsualTime,
  type WorkLearned,
} from '@/core/learning/minutes';
import { stillCounts } from '@/core/learning/ruling';
import { minutesOf, type PatternBody } from '@/core/pattern/pattern';
import type { Tx } from '@/data/inStudio';
import { timedMakingsSql, timedStepsSql } from '@/data/sql/logbook';
import { look, type StudioSession } from '../kernel/useCase';
import { ofPattern, rulingsOn } from './rulings';

/** So many of the latest makings tell how long a pattern takes, and so many of the latest steps how long a work does. */
const LATEST = 30;
const DAY_MS = 86_400_000;

type Steps = Pick<PatternBody, 'steps'>;

/** What is made, of which pattern. */
interface Made {
  readonly pattern: number;
  readonly body: Steps;
}

/** How long making a pattern takes in this studio, whoever makes it. */
export interface PatternTimes {
  /** What its makings took over what was planned for each, the latest first. */
  readonly ratios: readonly number[];
  /** What is usual besides, by the same work in other patterns. */
  readonly usual: UsualTime | undefined;
  /** What is learned; undefined for what plans no minutes, or when nothing like it was timed. */
  readonly learned: TimeLearned | undefined;
}

/**
 * What is usual for patterns by what the steps of others took that are the same work: whoever has wound a hundred weaves knows how long the
 * next takes, in whichever pattern.
 */
export async function usualTimes(
  tx: Tx,
  bodies: readonly Steps[],
): Promise<(made: Made) => UsualTime | undefined> {
  const works = new Set(bodies.flatMap(({ steps }) => steps.flatMap(({ work }) => work ?? [])));
  const rows = works.size === 0 ? [] : await tx.rows(timedStepsSql, { works: [...works], most: LATEST });
  const now = tx.session.now.getTime();
  const byWork = groupBy(
    rows.map(({ madeAt, ...row }) => ({ ...row, age: (now - madeAt.getTime()) / DAY_MS })),
    ({ work }) => work,
  );
  const learnedOf = new Map<string, WorkLearned | undefined>();
  const learned = (work: string, pattern: number): WorkLearned | undefined => {
    const taken = byWork.get(work) ?? [];
    // Most works were timed in other patterns only: what is learned of them is the same for all.
    const isOwn = taken.some((row) => row.pattern === pattern);
    const key = isOwn ? `${pattern} ${work}` : work;
    if (!learnedOf.has(key))
      learnedOf.set(key, learnWork(isOwn ? taken.filter((row) => row.pattern !== pattern) : taken));
    return learnedOf.get(key);
  };
  return ({ pattern, body }) =>
    usualTime(
      body.steps
        .filter(({ perSitting }) => !perSitting)
        .map(({ minutes: planned, work }) => ({
          planned,
          learned: work === undefined ? undefined : learned(work, pattern),
        })),
    );
}

/** How long what is made takes; of what nothing like it was timed, nothing is learned. */
export async function timesOf(tx: Tx, all: readonly Made[]): Promise<(made: Made) => PatternTimes> {
  const patterns = [...new Set(all.map(({ pattern }) => pattern))];
  const rows = await tx.rows(timedMakingsSql, { patterns, most: LATEST });
  const rulings = await rulingsOn(tx, 'time', patterns.map(ofPattern));
  const usualOf = await usualTimes(
    tx,
    all.map(({ body }) => body),
  );
  const byPattern = groupBy(rows, ({ pattern }) => pattern);
  const now = tx.session.now.getTime();
  return (made) => {
    const { fixed, since } = rulings(ofPattern(made.pattern));
    const own = stillCounts(byPattern.get(made.pattern) ?? [], { fixed, since });
    const times = own.map(({ minutes, planned, madeAt }) => ({
      minutes,
      planned,
      age: (now - madeAt.getTime()) / DAY_MS,
    }));
    const ratios = own.map(({ minutes, planned }) => minutes / planned);
    const usual = usualOf(made);
    return {
      ratios: fixed === null ? ratios : ratiosAbout(ratios, Math.exp(fixed)),
      usual,
      learned: learnMinutes(times, minutesOf(made.body).each, { fixed, usual }),
    };
  };
}

/** What makings took, moved so that they lie about what somebody said; that itself where none was timed. */
function ratiosAbout(ratios: readonly number[], said: number): readonly number[] {
  if (ratios.length === 0) return [said];
  const mean = Math.exp(ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length);
  return ratios.map((ratio) => (ratio * said) / mean);
}

/** What is made, with the minutes of each piece as they really come to. */
export const bodyAsLearned = <Body extends Steps>(body: Body, { learned }: PatternTimes): Body =>
  learned ? { ...body, steps: stepsTaking(body.steps, learned.minutes) } : body;

/** A pattern with the minutes of each piece as they really come to. */
export const patternAsLearned = <Body extends Steps>(
  session: StudioSession,
  { number: pattern, body }: { readonly number: number; readonly body: Body },
): Promise<Body> =>
  look(session, async (tx) => {
    const made = { pattern, body };
    return bodyAsLearned(body, (await timesOf(tx, [made]))(made));
  });
