'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import {
  answered,
  EMPTY_STALL,
  goneHere,
  readStall,
  told,
  unsettled,
  waiting,
  type StallKept,
} from '@/core/selling/stall';
import { hearStallAction } from './actions';

/** Others are listened to so often. */
const LISTEN_MS = 15_000;
/** As many sales are told at once. */
const AT_ONCE = 100;

const placeOf = (studio: string): string => `stall ${studio}`;

/** @returns undefined where the storage of the device is shut to the page */
function readPlace(studio: string): StallKept | undefined {
  try {
    return readStall(localStorage.getItem(placeOf(studio)));
  } catch {
    return undefined;
  }
}

/** @returns whether the device keeps it */
function keep(studio: string, kept: StallKept): boolean {
  try {
    localStorage.setItem(placeOf(studio), JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
}

/** A stall on this device. */
export interface StallHere {
  readonly kept: StallKept;
  /** Whether a piece can be sold here, as far as this device knows. */
  readonly isThere: (piece: number) => boolean;
  /** Whether the studio has pieces that this page does not know of. */
  readonly isOld: boolean;
  /** Why the studio was not reached; empty when it was. */
  readonly trouble: string;
  readonly change: (by: (kept: StallKept) => StallKept) => void;
}

const NO_CONNECTION =
  'No connection: every sale is kept on this device, and told to the studio when it can be reached.';
const NOT_KEPT = 'This device keeps nothing: stay on this page until every sale has its receipt.';

/**
 * A stall that sells on this device: what is sold is kept at once, and told to the studio as soon as that answers.
 * @param studio its id: another studio on the same device has a stall of its own
 * @param first numbers of the pieces that the page knows of
 */
export function useStall(studio: string, first: readonly number[]): StallHere {
  const [kept, setKept] = useState<StallKept>(EMPTY_STALL);
  const [there, setThere] = useState<ReadonlySet<number>>(() => new Set(first));
  const [trouble, setTrouble] = useState('');
  const [isKept, setIsKept] = useState(true);
  const latest = useRef(kept);
  const sending = useRef(false);
  /** Whether what is known here lies on the device; where it does not, this page alone knows of it. */
  const lies = useRef(true);

  const change = useCallback(
    (by: (kept: StallKept) => StallKept) => {
      // What another tab of this device has sold meanwhile is not lost.
      const next = by((lies.current ? readPlace(studio) : undefined) ?? latest.current);
      latest.current = next;
      lies.current = keep(studio, next);
      setIsKept(lies.current);
      setKept(next);
    },
    [studio],
  );

  const tell = useCallback(async (): Promise<void> => {
    if (sending.current) return;
    if (!navigator.onLine) return setTrouble(NO_CONNECTION);
    sending.current = true;
    try {
      const sales = waiting(latest.current).slice(0, AT_ONCE);
      // From here on the studio may know of them, whether or not its answer comes.
      change((now) =>
        told(
          now,
          sales.map(({ id }) => id),
        ),
      );
      const answer = await hearStallAction(
        sales.map(({ id, at, typed, gross }) => ({ id, at, typed, gross })),
        unsettled(latest.current)
          .slice(-AT_ONCE)
          .map(({ id }) => id),
      );
      if (!answer.ok) return setTrouble(answer.problem.message);
      change((now) => answered(now, answer.value.fates));
      setThere(new Set(answer.value.pieces));
      setTrouble('');
    } catch {
      setTrouble(NO_CONNECTION);
    } finally {
      sending.current = false;
    }
  }, [change]);

  useEffect(() => {
    const listen = () => {
      if (document.visibilityState !== 'hidden') void tell();
    };
    // What is kept on the device comes once the page listens: the server knows nothing of it.
    const soon = setTimeout(() => {
      change((now) => now);
      listen();
    }, 0);
    const timer = setInterval(listen, LISTEN_MS);
    const lost = () => setTrouble(NO_CONNECTION);
    window.addEventListener('online', listen);
    window.addEventListener('focus', listen);
    window.addEventListener('offline', lost);
    return () => {
      clearTimeout(soon);
      clearInterval(timer);
      window.removeEventListener('online', listen);
      window.removeEventListener('focus', listen);
      window.removeEventListener('offline', lost);
    };
  }, [change, tell]);

  const fresh = kept.sales.filter(({ isTold, fate }) => !isTold && fate === null).length;
  useEffect(() => {
    if (fresh === 0) return undefined;
    const soon = setTimeout(() => void tell(), 200);
    return () => clearTimeout(soon);
  }, [fresh, tell]);

  const gone = goneHere(kept);
  const known = new Set(first);
  return {
    kept,
    isThere: (piece) => there.has(piece) && !gone.has(piece),
    isOld: [...there].some((piece) => !known.has(piece)),
    trouble: isKept ? trouble : NOT_KEPT,
    change,
  };
}
