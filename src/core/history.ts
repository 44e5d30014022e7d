/** What is worked on, with what it was before and what was taken back of it. */
export interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** What the last change was made to: typing on in one field is one change. */
  readonly tag: string;
}

/** So many changes can be taken back. */
export const MOST_BACK = 500;

/** The beginning of a history. @example begun('a').past // [] */
export const begun = <T>(now: T): History<T> => ({ past: [], now, future: [], tag: '' });

/**
 * A change, after which nothing can be done again. One that changes nothing is none.
 * @param tag changes of one tag that follow each other are taken back together; those without are each by itself
 */
export function changed<T>(history: History<T>, next: (now: T) => T, tag = ''): History<T> {
  const { past, now } = history;
  const then = next(now);
  if (then === now) return history;
  const goesOn = tag !== '' && tag === history.tag;
  return { past: goesOn ? past : [...past, now].slice(-MOST_BACK), now: then, future: [], tag };
}

/** The last change taken back; the same history when there is none. */
export function takenBack<T>(history: History<T>): History<T> {
  const { past, now, future } = history;
  if (past.length === 0) return history;
  return { past: past.slice(0, -1), now: past.at(-1) as T, future: [now, ...future], tag: '' };
}

/** What was taken back last, done again; the same history when there is nothing. */
export function doneAgain<T>(history: History<T>): History<T> {
  const { past, now, future } = history;
  if (future.length === 0) return history;
  return { past: [...past, now], now: future[0] as T, future: future.slice(1), tag: '' };
}
