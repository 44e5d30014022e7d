'use client';

import {
  formatCost,
  formatCostInColumn,
  formatMoney,
  minor,
  type CostUnits,
  type MinorUnits,
} from '@/core/units/money';
import { useCurrency } from './currency';
import { Said, useWriting } from './house';

/** An amount that is paid or asked. */
export function Money({ of }: { of: MinorUnits }) {
  return (
    <span className="whitespace-nowrap">
      <Said>{formatMoney(of, useCurrency())}</Said>
    </span>
  );
}

/** An amount in minor units that need not be whole: shown to the nearest one. */
export function MoneyAbout({ of }: { of: number }) {
  return <Money of={minor(Math.round(of))} />;
}

/** A cost carried by wire or summed on a sheet; to its last figure on hovering. */
export function Cost({ of }: { of: CostUnits }) {
  const code = useCurrency();
  const write = useWriting();
  return (
    <span className="whitespace-nowrap" title={write(formatCost(of, code))}>
      <Said>{formatCostInColumn(of, code)}</Said>
    </span>
  );
}
