'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import {
  countingTo,
  hear,
  NOTHING_KEPT,
  readKept,
  say,
  sayCounted,
  sittingOf,
  type Kept,
} from '@/core/bench/device';
import type { Said, Sitting } from '@/core/bench/sitting';
import { tick, type Watch } from '@/core/bench/watch';
import type { Heard } from '@/studio/sittings/hearWords';
import { newKey } from '@/ui/newKey';
import { hearWordsAction } from './actions';

/** While the watch runs, time is told so often; what it counted is said, and others are listened to, less often. */
const TICK_MS = 1000;
const LISTEN_MS = 15_000;

const placeOf = (id: string): string => `sitting ${id}`;

function readPlace(id: string): Kept {
  try {
    return readKept(localStorage.getItem(placeOf(id)));
  } catch {
    // Storage that is shut to the page keeps nothing; the sitting goes on all the same.
    return NOTHING_KEPT;
  }
}

function keep(id: string, kept: Kept): void {
  try {
    localStorage.setItem(placeOf(id), JSON.stringify(kept));
  } catch {
    // As above.
  }
}

/** Lets go of what was kept of a sitting that is over. */
function forget(id: string): void {
  try {
    localStorage.removeItem(placeOf(id));
  } catch {
    // As above.
  }
}

/** A sitting on this device. */
export interface SittingHere {
  readonly sitting: Sitting;
  readonly watch: Watch;
  readonly state: Heard['state'];
  /** How much of what was said here the studio is not known to have heard. */
  readonly unheard: number;
  /** Why it has not; empty when nothing is wrong. */
  readonly trouble: string;
  readonly change: (by: (kept: Kept, now: number) => Kept) => void;
  readonly say: (...said: readonly Said[]) => void;
  /** Says everything now. @returns whether all of it was heard */
  readonly sendAll: () => Promise<boolean>;
}

const NO_CONNECTION =
  'No connection: all of it is kept on this device, and sent when the connection is back.';

/**
 * A sitting that goes on here: what is said is kept on the device at once, and sent to the studio as soon as that answers.
 * @param slotOf what time is counted to where it stands
 */
export function useSitting(id: string, first: Heard, slotOf: (sitting: Sitting) => number): SittingHere {
  const [kept, setKept] = useState<Kept>(() => hear(NOTHING_KEPT, first.words));
  const [state, setState] = useState(first.state);
  const [trouble, setTrouble] = useState('');
  const latest = useRef(kept);
  const sending = useRef<Promise<boolean>>(undefined);

  const change = useCallback(
    (by: (kept: Kept, now: number) => Kept) => {
      // What another tab of this device has said meanwhile is not lost.
      const stored = readPlace(id);
      const before = stored === NOTHING_KEPT ? latest.current : hear(stored, latest.current.heard);
      const now = Date.now();
      const changed = by(before, now);
      const next = countingTo(changed, slotOf(sittingOf(changed)), now);
      latest.current = next;
      keep(id, next);
      setKept(next);
    },
    [id, slotOf],
  );

  const send = useCallback(async (): Promise<boolean> => {
    try {
      const answer = await hearWordsAction(id, latest.current.unheard.slice(0, 1000));
      if (!answer.ok) {
        setTrouble(answer.problem.message);
        return false;
      }
      const { words, state: now } = answer.value;
      change((before) => hear(before, words));
      if (now !== 'open') forget(id);
      setState(now);
      setTrouble('');
      return latest.current.unheard.length === 0;
    } catch {
      setTrouble(NO_CONNECTION);
      return false;
    }
  }, [id, change]);

  /** One at a time: what is said meanwhile goes with the next. */
  const sync = useCallback(async (): Promise<boolean> => {
    if (sending.current) return sending.current;
    sending.current = send();
    try {
      return await sending.current;
    } finally {
      sending.current = undefined;
    }
  }, [send]);

  const sayCountedNow = useCallback(
    () => change((before, now) => sayCounted({ ...before, watch: tick(before.watch, now) }, newKey)),
    [change],
  );

  useEffect(() => {
    // What is kept on the device comes once the page listens: the server knows nothing of it.
    const soon = setTimeout(() => {
      change((before, now) => ({ ...hear(before, first.words), watch: tick(before.watch, now) }));
      void sync();
    }, 0);
    return () => clearTimeout(soon);
  }, [change, sync, first.words]);

  const { isRunning } = kept.watch;
  useEffect(() => {
    if (!isRunning) return undefined;
    const timer = setInterval(
      () => change((before, now) => ({ ...before, watch: tick(before.watch, now) })),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [isRunning, change]);

  useEffect(() => {
    const listen = () => {
      if (document.visibilityState === 'hidden') return;
      sayCountedNow();
      void sync();
    };
    const timer = setInterval(listen, LISTEN_MS);
    window.addEventListener('online', listen);
    window.addEventListener('focus', listen);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', listen);
      window.removeEventListener('focus', listen);
    };
  }, [sayCountedNow, sync]);

  const unheard = kept.unheard.length;
  useEffect(() => {
    if (unheard === 0 || state !== 'open') return undefined;
    const soon = setTimeout(() => void sync(), 200);
    return () => clearTimeout(soon);
  }, [unheard, state, sync]);

  return {
    sitting: sittingOf(kept),
    watch: kept.watch,
    state,
    unheard,
    trouble,
    change,
    say: useCallback(
      (...said: readonly Said[]) =>
        change((before) => said.reduce((now, each) => say(now, each, newKey()), before)),
      [change],
    ),
    sendAll: useCallback(async () => {
      sayCountedNow();
      // What is on its way already does not carry what was said just now.
      if (sending.current) await sending.current;
      while (latest.current.unheard.length > 0)
        if (!(await sync()) && latest.current.unheard.length > 0) return false;
      return true;
    }, [sayCountedNow, sync]),
  };
}
