'use client';

import { useEffect } from 'react';
import type { KeepAsked } from './keepPages';
import { KEPT, KEPT_WORKER } from './settings';

/** What the page has loaded so far, and itself. */
const loaded = (): readonly string[] => [
  location.pathname,
  ...new Set(
    performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === location.origin && isThing(pathname))
      .map(({ pathname, search }) => `${pathname}${search}`),
  ),
];

const isThing = (path: string): boolean => KEPT.things.some((each) => path.startsWith(each));

/** So long after it stands, a page has loaded its scripts and pictures, and is kept; and again when it has loaded more. */
const SETTLED_MS = [1_000, 8_000] as const;

/**
 * Lets the page it stands on open on this device again without a connection. Browsers allow that to what comes over https, or from the machine
 * itself; elsewhere it does nothing.
 */
export function KeepHere() {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return undefined;
    const ask = async (): Promise<void> => {
      await navigator.serviceWorker.register(KEPT_WORKER);
      const { active } = await navigator.serviceWorker.ready;
      active?.postMessage({ keep: loaded() } satisfies KeepAsked);
    };
    // A browser that keeps nothing of what it is told is no worse off than one that cannot.
    const timers = SETTLED_MS.map((ms) => setTimeout(() => void ask().catch(() => undefined), ms));
    return () => timers.forEach(clearTimeout);
  }, []);
  return null;
}
