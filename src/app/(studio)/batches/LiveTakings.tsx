'use client';

import { useWatch, type Control } from 'react-hook-form';
import { useTakings } from '@/app/lib/batchLines/useTakings';
import type { PlanBatchInput } from '@/studio/batches/planBatch.input';
import { takingsAction } from './actions';
import { ExpectedTakings } from './ExpectedTakings';

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
  const takings = useTakings(lines, String(dueOn ?? ''), takingsAction);
  return takings && takings.lines.length > 0 ? (
    <ExpectedTakings takings={takings} priceFrom={priceFrom} />
  ) : null;
}
