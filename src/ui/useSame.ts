import { useState } from 'react';

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((each, index) => each === b[index]);

/** A list, the same object for as long as it holds the same things: what it is handed to need not be drawn anew. */
export function useSame<T>(list: readonly T[]): readonly T[] {
  const [kept, setKept] = useState(list);
  if (kept === list) return kept;
  if (isSame(kept, list)) return kept;
  setKept(list);
  return list;
}
