/**
 * How long each step of a making took, by a watch that runs and stands. It knows no clock: whoever holds it says the
 * moment, in milliseconds, again and again while it runs. Time between two moments counts when it is short enough that somebody was
 * there; a tablet that slept, a page that was closed or a clock that was set counts nothing.
 */
export interface Watch {
  /** The step that time is counted to, from 0; the last one while it stands. */
  readonly step: number;
  readonly isRunning: boolean;
  /** The last moment that was said while it ran. */
  readonly seen: number;
  /** Milliseconds of each step, by its number. */
  readonly spent: readonly number[];
  /** What was not counted since somebody last looked: they may have been at the bench all the same. */
  readonly missed: number;
}

/** A longer time without a word is not counted: while it runs, a moment is said every few seconds. */
export const LONGEST_GAP_MS = 90_000;

/** What is longer than this away is another day, and is not offered to be counted. */
const LONGEST_MISSED_MS = 4 * 3_600_000;

/** Longer than this nobody works on a step in one go. */
export const MOST_MINUTES = 10_000;

export const newWatch = (): Watch => ({ step: 0, isRunning: false, seen: 0, spent: [], missed: 0 });

const withSpent = (watch: Watch, step: number, ms: number): Watch => ({
  ...watch,
  spent: Array.from({ length: Math.max(watch.spent.length, step + 1) }, (_, index) =>
    index === step ? Math.max(0, ms) : (watch.spent[index] ?? 0),
  ),
});

/** Milliseconds that a step took so far. */
export const spentOn = ({ spent }: Watch, step: number): number => spent[step] ?? 0;

/** Says what time it is. */
export function tick(watch: Watch, now: number): Watch {
  if (!watch.isRunning) return watch;
  const gap = now - watch.seen;
  const seen = { ...watch, seen: now };
  // A clock that was set back says nothing of how long it was.
  if (gap <= 0) return seen;
  if (gap > LONGEST_GAP_MS) return gap > LONGEST_MISSED_MS ? seen : { ...seen, missed: watch.missed + gap };
  return withSpent(seen, watch.step, spentOn(watch, watch.step) + gap);
}

/** Lets it run, or go on running, for a step. */
export const runFor = (watch: Watch, step: number, now: number): Watch => ({
  ...tick(watch, now),
  step,
  isRunning: true,
  seen: now,
});

/** Goes to another step: it runs on there when it was running. */
export const goTo = (watch: Watch, step: number, now: number): Watch => ({ ...tick(watch, now), step });

/** Lets it stand. */
export const stand = (watch: Watch, now: number): Watch => ({ ...tick(watch, now), isRunning: false });

/** Counts what was missed to the step after all, or forgets it. */
export const settleMissed = (watch: Watch, counts: boolean): Watch => ({
  ...(counts ? withSpent(watch, watch.step, spentOn(watch, watch.step) + watch.missed) : watch),
  missed: 0,
});

/**
 * A watch as it was kept on a device; a new one for what is none.
 * @example readWatch('rubbish').isRunning // false
 */
export function readWatch(kept: string | null): Watch {
  try {
    const read: unknown = JSON.parse(kept ?? 'null');
    if (typeof read !== 'object' || read === null) return newWatch();
    const { step, isRunning, seen, spent, missed } = read as Record<string, unknown>;
    const isTime = (each: unknown): each is number =>
      typeof each === 'number' && Number.isFinite(each) && each >= 0;
    if (!isTime(step) || !Number.isInteger(step) || !isTime(seen) || !isTime(missed)) return newWatch();
    if (typeof isRunning !== 'boolean' || !Array.isArray(spent) || !spent.every(isTime)) return newWatch();
    return { step, isRunning, seen, spent, missed };
  } catch {
    return newWatch();
  }
}
