'use client';

import { useCallback, useEffect, useState } from 'react';
import { begun, changed, doneAgain, takenBack, type History } from '@/core/history';

/** A way back, or forth again. */
export interface Back<T> {
  readonly go: () => void;
  /** What it leads to. */
  readonly to: T;
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
  readonly undo: Back<T> | undefined;
  readonly redo: Back<T> | undefined;
  /** Forgets what is kept on this device. */
  readonly forget: () => void;
  readonly startOver: () => void;
}

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
  const [{ past, now, future }, setHistory] = useState<History<T>>(() => begun(stored ?? given));
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
    (next: (now: T) => T, tag = '') => setHistory((history) => changed(history, next, tag)),
    [],
  );
  const goBack = useCallback(() => setHistory((history) => takenBack(history)), []);
  const goForth = useCallback(() => setHistory((history) => doneAgain(history)), []);
  const forget = useCallback(() => window.localStorage.removeItem(key), [key]);
  const startOver = useCallback(() => {
    window.localStorage.removeItem(key);
    setRestored(false);
    setHistory(begun(given));
  }, [given, key]);
  return {
    now,
    restored,
    change,
    undo: past.length > 0 ? { go: goBack, to: past.at(-1) as T } : undefined,
    redo: future.length > 0 ? { go: goForth, to: future[0] as T } : undefined,
    forget,
    startOver,
  };
}
