import { ask } from './ask';
import { openDatabase } from './database';
import { dropClosingsSql } from './sql/bookChecks';

/**
 * Drops the month closings of every studio. They are a cache of the movements: looking back at a past day writes them anew.
 * @param ownerUrl address of the role that sees all studios
 * @returns how many months of studios were closed
 */
export async function dropClosings(ownerUrl: string): Promise<number> {
  const owner = openDatabase(ownerUrl);
  try {
    const [row] = await ask(owner, dropClosingsSql, {});
    return row?.months ?? 0;
  } finally {
    await owner.close();
  }
}
