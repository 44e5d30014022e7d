import { plainAmountOf } from '@/core/stock/amount';
import { type Micrometres } from '@/core/units/length';

/** A size as a cell: plain millimetres, empty for none. */
export const mmCell = (size: Micrometres | null): string =>
  size === null ? '' : plainAmountOf({ ware: 'wire' }, size);
