'use client';

import { useCallback, useEffect, useState } from 'react';

export type Texts = Readonly<Record<string, string>>;

/** Texts by name as they were kept; none when what is there is something else. */
function readKept(kept: string | null): Texts {
  try {
    const read: unknown = JSON.parse(kept ?? '{}');
    if (typeof read !== 'object' || read === null) return {};
    return Object.fromEntries(
      Object.entries(read).filter((entry): entry is [string, string] => typeof entry[1] === 'string'),
    );
  } catch {
    return {};
  }
}

/**
 * Texts that are typed one by one outside of a form, kept in this tab: over a reload, the way back, and a click away.
 * @param of tells what is typed apart on one page; something else is kept for another
 */
export function useKeptTexts(of: string): {
  readonly texts: Texts;
  readonly type: (name: string, text: string) => void;
} {
  const [texts, setTexts] = useState<Texts>({});
  const keyed = useCallback(() => `typed ${window.location.pathname} ${of}`, [of]);
  useEffect(() => {
    const kept = readKept(window.sessionStorage.getItem(keyed()));
    if (Object.keys(kept).length > 0) queueMicrotask(() => setTexts((typed) => ({ ...kept, ...typed })));
  }, [keyed]);
  const type = useCallback(
    (name: string, text: string) => {
      const kept = readKept(window.sessionStorage.getItem(keyed()));
      window.sessionStorage.setItem(keyed(), JSON.stringify({ ...kept, [name]: text }));
      setTexts((before) => ({ ...before, [name]: text }));
    },
    [keyed],
  );
  return { texts, type };
}
