import { useEffect } from 'react';
import type { FieldPath, FieldPathValue, FieldValues, UseFormReturn } from 'react-hook-form';

/**
 * Keeps amounts of a form in one currency: what was typed as 18.50 is 18.50 of whichever is chosen afterwards.
 * @param pathsOf the paths of the amounts, as the form stands
 */
export function useSameCurrency<Values extends FieldValues>(
  { getValues, setValue }: UseFormReturn<Values>,
  currency: string,
  pathsOf: (values: Values) => readonly FieldPath<Values>[],
): void {
  useEffect(() => {
    for (const path of pathsOf(getValues())) {
      const text: unknown = getValues(path);
      if (typeof text !== 'string') continue;
      const inCurrency = text.replace(/[A-Z]{3}$/, currency);
      if (inCurrency !== text) setValue(path, inCurrency as FieldPathValue<Values, FieldPath<Values>>);
    }
  }, [currency, getValues, pathsOf, setValue]);
}
