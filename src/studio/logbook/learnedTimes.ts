import { groupBy } from '@/core/groupBy';
import { learnMinutes, stepsTaking, type TimeLearned } from '@/core/learning/minutes';
import { stillCounts } from '@/core/learning/ruling';
import { minutesOf, type PatternBody } from '@/core/pattern/pattern';
import type { Tx } from '@/data/inStudio';
import { timedMakingsSql } from '@/data/sql/logbook';
import { look, type StudioSession } from '../kernel/useCase';
import { ofPattern, rulingsOn } from './rulings';

/** So many of the latest makings tell how long a pattern takes. */
const LATEST = 30;
const DAY_MS = 86_400_000;

/** How long making a pattern takes in this studio, whoever makes it. */
export interface PatternTimes {
  /** What its makings took over what was planned for each, the latest first. */
  readonly ratios: readonly number[];
  /** What is learned, for so many minutes as it says now; undefined for a pattern that plans none. */
  readonly of: (planned: number) => TimeLearned | undefined;
}

/** How long makings of some patterns took, by their numbers; of those that nobody timed, nothing. */
export async function timesOf(
  tx: Tx,
  patterns: readonly number[],
): Promise<(pattern: number) => PatternTimes> {
  const rows = await tx.rows(timedMakingsSql, { patterns: [...new Set(patterns)], most: LATEST });
  const rulings = await rulingsOn(tx, 'time', patterns.map(ofPattern));
  const byPattern = groupBy(rows, ({ pattern }) => pattern);
  const now = tx.session.now.getTime();
  return (pattern) => {
    const ruling = rulings(ofPattern(pattern));
    const own = stillCounts(byPattern.get(pattern) ?? [], ruling);
    const times = own.map(({ minutes, planned, madeAt }) => ({
      minutes,
      planned,
      age: (now - madeAt.getTime()) / DAY_MS,
    }));
    const ratios = own.map(({ minutes, planned }) => minutes / planned);
    return {
      ratios: ruling.fixed === null ? ratios : ratiosAbout(ratios, Math.exp(ruling.fixed)),
      of: (planned) => learnMinutes(times, planned, ruling.fixed),
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
export function bodyAsLearned<Body extends Pick<PatternBody, 'steps'>>(
  body: Body,
  times: PatternTimes,
): Body {
  const learned = times.of(minutesOf(body).each);
  return learned ? { ...body, steps: stepsTaking(body.steps, learned.minutes) } : body;
}

/** A pattern with the minutes of each piece as they really come to. */
export const patternAsLearned = <Body extends Pick<PatternBody, 'steps'>>(
  session: StudioSession,
  { number, body }: { readonly number: number; readonly body: Body },
): Promise<Body> => look(session, async (tx) => bodyAsLearned(body, (await timesOf(tx, [number]))(number)));
