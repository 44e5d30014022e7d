'use client';

import { useEffect, useState } from 'react';
import type { BatchTakings } from '@/studio/batches/batchTakings';
import type { Outcome } from '@/studio/kernel/outcome';

const PAUSE_MS = 350;

/**
 * What lines that are being typed should cost and bring, a moment after each change; a line that is not right yet is left out.
 * @param ask the studio
 */
export function useTakings(
  lines: readonly object[],
  dueOn: string,
  ask: (lines: object[], dueOn: string) => Promise<Outcome<BatchTakings | null>>,
): BatchTakings | undefined {
  const asked = JSON.stringify(lines);
  const [takings, setTakings] = useState<BatchTakings>();
  useEffect(() => {
    let isLate = false;
    const timer = setTimeout(() => {
      // Without the studio the last answer stands.
      ask(JSON.parse(asked) as object[], dueOn)
        .then((answer) => {
          if (!isLate && answer.ok && answer.value) setTakings(answer.value);
        })
        .catch(() => undefined);
    }, PAUSE_MS);
    return () => {
      isLate = true;
      clearTimeout(timer);
    };
  }, [ask, asked, dueOn]);
  return takings;
}
