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

const NONE: readonly string[] = [];

/** So long after it stands, a page has loaded its scripts and pictures, and is kept; and again when it has loaded more. */
const SETTLED_MS = [1_000, 8_000] as const;

/**
 * Lets the page it stands on open on this device again without a connection. Browsers allow that to what comes over https, or from the machine
 * itself; elsewhere it does nothing.
 */
export function KeepHere({
  also = NONE,
}: {
  /** What it will load later on: pictures of what comes next. */
  readonly also?: readonly string[];
}) {
  const later = also.join('\n');
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return undefined;
    const ask = async (soon: readonly string[]): Promise<void> => {
      await navigator.serviceWorker.register(KEPT_WORKER);
      const { active } = await navigator.serviceWorker.ready;
      active?.postMessage({ keep: [...loaded(), ...soon] } satisfies KeepAsked);
    };
    // A browser that keeps nothing of what it is told is no worse off than one that cannot.
    const soon = later === '' ? [] : later.split('\n');
    const timers = SETTLED_MS.map((ms, index) =>
      setTimeout(() => void ask(index === 0 ? soon : []).catch(() => undefined), ms),
    );
    return () => timers.forEach(clearTimeout);
  }, [later]);
  return null;
}
