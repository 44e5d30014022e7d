import { expectOk } from '@/core/result';
import { parseAmount, type MinorUnits } from '@/core/units/money';
import { invalid } from '../kernel/outcome';

/**
 * An amount that an input class has passed, in the studio's currency.
 * @throws Refused when it was typed under another currency
 */
export function readMoney(field: string, text: string, currency: string): MinorUnits {
  const { money, code } = expectOk(parseAmount(text));
  if (code !== currency)
    throw invalid(field, `“${text}” is in ${code}, but this studio keeps its books in ${currency}.`);
  return money;
}
