import { minutesOf, type PatternStep } from '../pattern/pattern';
import { counted } from '../units/counted';
import { estimate, type Entry, type Estimate, type Prior } from './estimate';

/** How long a making took, against what its pattern says. */
export interface TimeTaken {
  readonly minutes: number;
  readonly planned: number;
  /** Days since. */
  readonly age: number;
}

/** How times lie about what is planned before anything is logged: a third more or less. The house's choice. */
export const USUAL_TIME: Prior = { value: 0, deviation: 0.3 };

/** How long the same work took in other patterns, over what each planned for it. */
export interface WorkLearned extends Estimate {
  /** Makings that it comes from. */
  readonly makings: ReadonlySet<string>;
}

/** What is usual for a pattern, by what its work took in others. */
export interface UsualTime extends Prior {
  /** Makings of other patterns that it comes from. */
  readonly makings: number;
}

/** How long a piece takes. */
export interface TimeLearned extends Estimate {
  /** Makings of other patterns with the same work that it comes from besides. */
  readonly others: number;
  /** Minutes that the next one is expected to take. */
  readonly minutes: number;
  /** How far makings lie from it, minutes. */
  readonly spread: number;
}

/** Times as entries to learn from: the natural logarithm of each over what was planned for it. */
const entriesOf = (times: readonly TimeTaken[]): Entry[] =>
  times.flatMap(({ minutes, planned, age }) =>
    minutes > 0 && planned > 0 ? [{ value: Math.log(minutes / planned), age }] : [],
  );

/**
 * What is learned of how long a pattern takes: its times over what was planned for each, so that a pattern that was changed meanwhile is told
 * by what it says now. Nothing while nothing was timed, of it or of others with the same work.
 * @param planned minutes that it says now
 * @param besides what somebody said in place of what the log says, and what is usual by the same work in other patterns
 * @example learnMinutes([{ minutes: 30, planned: 30, age: 0 }], 40)?.minutes // 40
 */
export function learnMinutes(
  times: readonly TimeTaken[],
  planned: number,
  { fixed = null, usual }: { readonly fixed?: number | null; readonly usual?: UsualTime | undefined } = {},
): TimeLearned | undefined {
  const entries = entriesOf(times);
  if ((entries.length === 0 && fixed === null && !usual) || planned <= 0) return undefined;
  const logged = estimate(entries, usual ?? USUAL_TIME);
  const learned = { ...logged, value: fixed ?? logged.value };
  const minutes = planned * Math.exp(learned.value);
  return { ...learned, others: usual?.makings ?? 0, minutes, spread: minutes * learned.deviation };
}

/**
 * What is learned of a work by the steps of other patterns that were timed for it; nothing of none. What a pattern plans for it grows with the
 * wraps, beads and bends that it asks for, so it is learned by the unit of work.
 * @example learnWork([{ making: 'a', minutes: 2, planned: 2, age: 0 }])?.value // 0
 */
export function learnWork(
  taken: readonly (TimeTaken & { readonly making: string })[],
): WorkLearned | undefined {
  const entries = entriesOf(taken);
  return entries.length === 0
    ? undefined
    : { ...estimate(entries, USUAL_TIME), makings: new Set(taken.map(({ making }) => making)) };
}

/**
 * What is usual for a pattern by what its steps took in others: each takes what its work took there, and what is planned where nobody did it
 * yet. Nothing when none of its work was ever timed.
 * @example usualTime([{ planned: 5, learned: undefined }]) // undefined
 */
export function usualTime(
  steps: readonly { readonly planned: number; readonly learned: WorkLearned | undefined }[],
): UsualTime | undefined {
  const makings = new Set<string>();
  let [planned, taken, apart] = [0, 0, 0];
  for (const { planned: asked, learned } of steps) {
    const minutes = asked * Math.exp((learned ?? USUAL_TIME).value);
    planned += asked;
    taken += minutes;
    // All steps of a slow day are slow: what they deviate by adds up.
    apart += minutes * (learned ?? USUAL_TIME).deviation;
    for (const making of learned?.makings ?? []) makings.add(making);
  }
  if (makings.size === 0 || taken <= 0) return undefined;
  return {
    value: Math.log(taken / planned),
    deviation: apart / taken,
    makings: makings.size,
  };
}

/**
 * What a time was learned from, in words.
 * @example sayTimeFrom({ count: 6, others: 0 }) // '6 makings'
 * @example sayTimeFrom({ count: 0, others: 12 }) // '12 makings of other patterns with the same work'
 */
export function sayTimeFrom({ count, others }: Pick<TimeLearned, 'count' | 'others'>): string {
  const own = count > 0 || others === 0 ? [counted(count, 'making')] : [];
  const other =
    others === 0
      ? []
      : [`${own.length === 0 ? counted(others, 'making') : others} of other patterns with the same work`];
  return [...own, ...other].join(' and ');
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
