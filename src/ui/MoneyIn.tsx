'use client';

import { formatMoney, type MinorUnits } from '@/core/units/money';
import { Said } from './house';
import { useCurrency } from './currency';

/** What was paid in another currency than the studio's; nothing when it was the same. */
export function MoneyIn({ of, currency }: { of: MinorUnits; currency: string }) {
  if (currency === useCurrency()) return null;
  return (
    <span className="muted">
      {' '}
      (paid <Said>{formatMoney(of, currency)}</Said>)
    </span>
  );
}
