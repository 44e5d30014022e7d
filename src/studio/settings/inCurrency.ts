import { plainMoney, type MinorUnits } from '@/core/units/money';
import { invalid } from '../kernel/outcome';
import type { Amount } from '../kernel/typed';

/**
 * An amount in the currency that it has to be in.
 * @throws Refused beside the field when it was typed under another
 */
export function inCurrency(field: string, { money, code }: Amount, currency: string): MinorUnits {
  if (code !== currency)
    throw invalid(
      field,
      `“${plainMoney(money, code)} ${code}” is in ${code}, but this studio keeps its books in ${currency}.`,
    );
  return money;
}
