import { useEffect, useState } from 'react';

/** A quick hand leaves less than this between two keys. */
const PAUSE_MS = 100;

/**
 * A value as it stands when nothing more is typed for a moment: what costs more than a frame to work out follows the typing then,
 * rather than hold up the next key.
 */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}
