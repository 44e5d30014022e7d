import type { Id } from '@/core/id';
import { costOfMinutes } from '@/core/costing/costSheet';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { MadeLabour } from '@/data/models/books';
import type { Settings } from '../settings/settings';

/**
 * Keeps what findings cost beside what their own posting took: the hours at the rates of the day, overhead with them, and what they bear
 * of the waste of their batch. @returns all of it
 */
export async function enterLabour(
  tx: Tx,
  postKey: Id<'post'>,
  minutes: number,
  { hourlyRate, overheadPerHour }: Pick<Settings, 'hourlyRate' | 'overheadPerHour'>,
  waste = cost(0),
): Promise<CostUnits> {
  const labour = cost(costOfMinutes(minutes, hourlyRate) + costOfMinutes(minutes, overheadPerHour));
  await tx.add(MadeLabour, [
    { postKey, minutes, hourlyRate, overheadPerHour, costUnits: labour, wasteUnits: waste },
  ]);
  return sumCosts([labour, waste]);
}
