import { costOfMinutes } from '@/core/costing/costSheet';
import { cost, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import type { Settings } from '../settings/settings';

/** Keeps the hours that a making took, at the rates of the day. @returns what they cost, overhead with them */
export async function enterLabour(
  tx: Tx,
  postKey: string,
  minutes: number,
  { hourlyRate, overheadPerHour }: Pick<Settings, 'hourlyRate' | 'overheadPerHour'>,
): Promise<CostUnits> {
  const labour = cost(costOfMinutes(minutes, hourlyRate) + costOfMinutes(minutes, overheadPerHour));
  await tx.run(
    `INSERT INTO made_labour (studio_id, post_key, minutes, hourly_rate, overhead_per_hour, cost_units) VALUES ($1, $2, $3, $4, $5, $6)`,
    [tx.session.studioId, postKey, minutes, hourlyRate, overheadPerHour, labour],
  );
  return labour;
}
