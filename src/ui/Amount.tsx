'use client';

import { formatAmountOf, type Measure } from '@/core/stock/amount';
import { Said } from './house';
import { useLengths } from './lengths';

/** A quantity of anything in stock, with its unit, in the system shown. */
export function Amount({ of, signed = false, ...measure }: Measure & { of: number; signed?: boolean }) {
  const { system } = useLengths();
  return (
    <span className="whitespace-nowrap">
      {signed && of > 0 ? '+' : ''}
      <Said>{formatAmountOf(measure, of, system)}</Said>
    </span>
  );
}
