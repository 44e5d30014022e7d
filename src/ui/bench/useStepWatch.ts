'use client';

import { useCallback, useEffect, useState } from 'react';
import { newWatch, readWatch, tick, type Watch } from '@/core/bench/watch';

/** Where the watch of a revision of a pattern is kept on this device. */
const placeOf = (pattern: string, revision: number): string => `watch ${pattern} ${revision}`;

/** While it runs, time is told so often. */
const TICK_MS = 1000;

const readKept = (place: string): Watch => {
  try {
    return readWatch(localStorage.getItem(place));
  } catch {
    // Storage that is shut to the page keeps nothing; the watch runs all the same.
    return newWatch();
  }
};

function keep(place: string, watch: Watch): void {
  try {
    localStorage.setItem(place, JSON.stringify(watch));
  } catch {
    // As above.
  }
}

/** Forgets what the watch of a pattern counted. */
export const forgetWatch = (pattern: string, revision: number): void =>
  keep(placeOf(pattern, revision), newWatch());

/** The watch of a pattern that is being made, kept on this device through reloads, and what changes it. */
export function useStepWatch(
  pattern: string,
  revision: number,
): {
  readonly watch: Watch;
  readonly change: (by: (watch: Watch, now: number) => Watch) => void;
} {
  const place = placeOf(pattern, revision);
  const [watch, setWatch] = useState(newWatch);
  const change = useCallback(
    (by: (watch: Watch, now: number) => Watch) => {
      // What another tab has counted meanwhile is not lost.
      const kept = readKept(place);
      const next = by(kept, Date.now());
      if (next !== kept) keep(place, next);
      setWatch(next);
    },
    [place],
  );
  useEffect(() => {
    // What is kept on the device comes once the page listens: the server knows nothing of it.
    const first = setTimeout(() => change(tick), 0);
    return () => clearTimeout(first);
  }, [change]);
  useEffect(() => {
    if (!watch.isRunning) return undefined;
    const timer = setInterval(() => change(tick), TICK_MS);
    return () => clearInterval(timer);
  }, [watch.isRunning, change]);
  return { watch, change };
}
