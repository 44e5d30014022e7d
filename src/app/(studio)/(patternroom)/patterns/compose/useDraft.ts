'use client';

import { useCallback, useEffect, useState } from 'react';

interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** What the last change was made to: typing on in one field is one change. */
  readonly tag: string;
}

/** Something that is worked on for a while: every change can be taken back, and a reload loses nothing. */
export interface Draft<T> {
  readonly now: T;
  /** Whether this is work of an earlier visit. */
  readonly restored: boolean;
  /**
   * Always the same function, so that what it is handed to need not be drawn anew.
   * @param tag changes of one tag that follow each other are taken back together
   */
  readonly change: (next: (now: T) => T, tag?: string) => void;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
  /** Forgets what is kept on this device. */
  readonly forget: () => void;
  readonly startOver: () => void;
}

const MOST_BACK = 200;
const PAUSE_MS = 300;

function readStored<T>(key: string, isDraft: (value: unknown) => value is T): T | undefined {
  try {
    const stored: unknown = JSON.parse(window.localStorage.getItem(key) ?? 'null');
    return isDraft(stored) ? stored : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Keeps a draft with its history, and on this device. It must run in the browser only: its first value is what the device holds.
 * @param key where on the device
 */
export function useDraft<T>(key: string, given: T, isDraft: (value: unknown) => value is T): Draft<T> {
  const [stored] = useState(() => readStored(key, isDraft));
  const [restored, setRestored] = useState(stored !== undefined);
  const [{ past, now, future }, setHistory] = useState<History<T>>({
    past: [],
    now: stored ?? given,
    future: [],
    tag: '',
  });
  const isTouched = now !== given;
  useEffect(() => {
    if (!isTouched) return;
    const timer = setTimeout(() => window.localStorage.setItem(key, JSON.stringify(now)), PAUSE_MS);
    const keep = () => window.localStorage.setItem(key, JSON.stringify(now));
    window.addEventListener('pagehide', keep);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', keep);
    };
  }, [isTouched, key, now]);

  const change = useCallback(
    (next: (now: T) => T, tag = '') =>
      setHistory((history) => ({
        past:
          tag !== '' && tag === history.tag ? history.past : [...history.past, history.now].slice(-MOST_BACK),
        now: next(history.now),
        future: [],
        tag,
      })),
    [],
  );
  const undo = useCallback(
    () =>
      setHistory((history) => {
        const before = history.past.at(-1);
        if (before === undefined) return history;
        return {
          past: history.past.slice(0, -1),
          now: before,
          future: [history.now, ...history.future],
          tag: '',
        };
      }),
    [],
  );
  const redo = useCallback(
    () =>
      setHistory((history) => {
        const [next] = history.future;
        if (next === undefined) return history;
        return { past: [...history.past, history.now], now: next, future: history.future.slice(1), tag: '' };
      }),
    [],
  );
  const forget = useCallback(() => window.localStorage.removeItem(key), [key]);
  const startOver = useCallback(() => {
    window.localStorage.removeItem(key);
    setRestored(false);
    setHistory({ past: [], now: given, future: [], tag: '' });
  }, [given, key]);
  return {
    now,
    restored,
    change,
    undo: past.length > 0 ? undo : undefined,
    redo: future.length > 0 ? redo : undefined,
    forget,
    startOver,
  };
}
