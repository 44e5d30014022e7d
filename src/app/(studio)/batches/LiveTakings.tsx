'use client';

import { useEffect, useState } from 'react';
import { useWatch, type Control } from 'react-hook-form';
import type { BatchTakings } from '@/studio/batches/batchTakings';
import type { PlanBatchInput } from '@/studio/batches/planBatch.input';
import { takingsAction } from './actions';
import { ExpectedTakings } from './ExpectedTakings';

const PAUSE_MS = 350;

/** What the batch should cost and bring, a moment after each change; a line that is not right yet is left out. */
export function LiveTakings({
  control,
  priceFrom,
}: {
  control: Control<PlanBatchInput>;
  priceFrom: 'actual' | 'replacement';
}) {
  const lines = useWatch({ control, name: 'lines' });
  const dueOn = useWatch({ control, name: 'dueOn' });
  const asked = JSON.stringify(lines);
  const [takings, setTakings] = useState<BatchTakings>();
  useEffect(() => {
    let isLate = false;
    const timer = setTimeout(() => {
      // Without the studio the last answer stands.
      takingsAction(JSON.parse(asked) as object[], String(dueOn ?? ''))
        .then((answer) => {
          if (!isLate && answer.ok && answer.value) setTakings(answer.value);
        })
        .catch(() => undefined);
    }, PAUSE_MS);
    return () => {
      isLate = true;
      clearTimeout(timer);
    };
  }, [asked, dueOn]);
  return takings && takings.lines.length > 0 ? (
    <ExpectedTakings takings={takings} priceFrom={priceFrom} />
  ) : null;
}
