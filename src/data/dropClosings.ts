import { QueryTypes } from 'sequelize';
import { openDatabase } from './database';

/**
 * Drops the month closings of every studio. They are a cache of the movements: looking back at a past day writes them anew.
 * @param ownerUrl address of the role that sees all studios
 * @returns how many months of studios were closed
 */
export async function dropClosings(ownerUrl: string): Promise<number> {
  const owner = openDatabase(ownerUrl);
  try {
    const [row] = await owner.query<{ months: number }>(
      `WITH gone AS (DELETE FROM closings RETURNING studio_id, month)
       SELECT count(DISTINCT (studio_id, month))::int AS months FROM gone`,
      { type: QueryTypes.SELECT },
    );
    return row?.months ?? 0;
  } finally {
    await owner.close();
  }
}
