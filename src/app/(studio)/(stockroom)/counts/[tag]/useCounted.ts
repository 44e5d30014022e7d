'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { newKey } from '@/ui/newKey';
import { keepCountedAction } from '../actions';

/** What was typed on a count sheet and has not been kept by the studio yet, by line. */
type Waiting = Readonly<Record<string, string>>;

const storedAt = (number: number) => `pewterer-count-${number}`;
const RETRY_MS = 3000;
const PAUSE_MS = 600;
const BATCH = 200;

function readStored(number: number): Waiting {
  try {
    const stored: unknown = JSON.parse(window.localStorage.getItem(storedAt(number)) ?? '{}');
    return typeof stored === 'object' && stored !== null ? (stored as Waiting) : {};
  } catch {
    return {};
  }
}

export interface Counted {
  readonly typed: Readonly<Record<string, string>>;
  readonly wrong: Readonly<Record<string, string>>;
  readonly waiting: number;
  readonly online: boolean;
  readonly problem: string;
  readonly enter: (id: string, text: string) => void;
}

/**
 * Keeps what is typed on a count sheet: at once on this device, and with the studio as soon as it can be reached. A connection
 * that drops, a page that is reloaded or a phone that is put away loses nothing.
 */
export function useCounted(number: number, kept: Readonly<Record<string, string>>): Counted {
  const [typed, setTyped] = useState(kept);
  const [waiting, setWaiting] = useState<Waiting>({});
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const [online, setOnline] = useState(true);
  const [problem, setProblem] = useState('');
  const latest = useRef<Waiting>({});
  const sending = useRef(false);

  const store = useCallback(
    (next: Waiting) => {
      latest.current = next;
      setWaiting(next);
      window.localStorage.setItem(storedAt(number), JSON.stringify(next));
    },
    [number],
  );

  // What was typed on this device before the page was loaded anew.
  useEffect(() => {
    const stored = readStored(number);
    latest.current = stored;
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setWaiting(stored);
    setTyped((now) => ({ ...now, ...stored }));
  }, [number]);

  const send = useCallback(async () => {
    const entries = Object.entries(latest.current).slice(0, BATCH);
    if (sending.current || entries.length === 0) return;
    sending.current = true;
    try {
      const lines = entries.map(([id, text]) => ({ id, typed: text }));
      const answer = await keepCountedAction(newKey(), number, lines);
      setOnline(true);
      if (!answer.ok) return setProblem(answer.problem.message);
      setProblem('');
      setWrong((now) => ({
        ...Object.fromEntries(Object.entries(now).filter(([id]) => !entries.some(([sent]) => sent === id))),
        ...answer.value.wrong,
      }));
      // What was typed on while it was under way stays waiting.
      store(
        Object.fromEntries(
          Object.entries(latest.current).filter(
            ([id, text]) => !entries.some(([sent, was]) => sent === id && was === text),
          ),
        ),
      );
    } catch {
      setOnline(false);
    } finally {
      sending.current = false;
    }
  }, [number, store]);

  const hasWaiting = Object.keys(waiting).length > 0;
  useEffect(() => {
    if (!hasWaiting) return;
    const timer = setTimeout(() => void send(), PAUSE_MS);
    const again = setInterval(() => void send(), RETRY_MS);
    const now = () => void send();
    window.addEventListener('online', now);
    return () => {
      clearTimeout(timer);
      clearInterval(again);
      window.removeEventListener('online', now);
    };
  }, [hasWaiting, waiting, send]);

  const enter = useCallback(
    (id: string, text: string) => {
      setTyped((now) => ({ ...now, [id]: text }));
      store({ ...latest.current, [id]: text });
    },
    [store],
  );
  return { typed, wrong, waiting: Object.keys(waiting).length, online, problem, enter };
}
