import { minutesOf, type PatternStep } from '../pattern/pattern';
import { estimate, type Estimate, type Prior } from './estimate';

/** How long a making took, against what its pattern says. */
export interface TimeTaken {
  readonly minutes: number;
  readonly planned: number;
  /** Days since. */
  readonly age: number;
}

/** How times lie about what is planned before anything is logged: a third more or less. The house's choice. */
export const USUAL_TIME: Prior = { value: 0, deviation: 0.3 };

/** How long a piece takes. */
export interface TimeLearned extends Estimate {
  /** Minutes that the next one is expected to take. */
  readonly minutes: number;
  /** How far makings lie from it, minutes. */
  readonly spread: number;
}

/**
 * What is learned of how long a pattern takes: its times over what was planned for each, so that a pattern that was changed meanwhile is told
 * by what it says now. Nothing while nothing was timed.
 * @param planned minutes that it says now
 * @param fixed what somebody said in place of what the log says
 * @example learnMinutes([{ minutes: 30, planned: 30, age: 0 }], 40)?.minutes // 40
 */
export function learnMinutes(
  times: readonly TimeTaken[],
  planned: number,
  fixed: number | null = null,
): TimeLearned | undefined {
  const entries = times.flatMap(({ minutes, planned: asked, age }) =>
    minutes > 0 && asked > 0 ? [{ value: Math.log(minutes / asked), age }] : [],
  );
  if ((entries.length === 0 && fixed === null) || planned <= 0) return undefined;
  const logged = estimate(entries, USUAL_TIME);
  const learned = { ...logged, value: fixed ?? logged.value };
  const minutes = planned * Math.exp(learned.value);
  return { ...learned, minutes, spread: minutes * learned.deviation };
}

/**
 * Steps of a pattern with other minutes, so that a piece takes so long; each its share, and setting up as it was.
 * @param minutes of one piece
 */
export function stepsTaking<Step extends PatternStep>(
  steps: readonly Step[],
  minutes: number,
): readonly Step[] {
  const { each } = minutesOf({ steps });
  return each > 0
    ? steps.map((step) => (step.perSitting ? step : { ...step, minutes: (step.minutes * minutes) / each }))
    : steps;
}
