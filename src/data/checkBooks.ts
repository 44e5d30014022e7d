import { Transaction } from 'sequelize';
import { ask } from './ask';
import { openDatabase } from './database';
import { bookChecksSql, booksInCountsSql } from './sql/bookChecks';

/** One balance that does not follow from its movements. */
export interface Difference {
  readonly studio: string;
  readonly what: string;
  readonly kept: string;
  readonly rebuilt: string;
}

export interface BookCheck {
  readonly stockPieces: number;
  readonly movements: number;
  readonly pieces: number;
  readonly differences: readonly Difference[];
}

/**
 * Rebuilds every balance, length and cost, from the movements and compares it with what is kept.
 * @param ownerUrl address of the role that sees all studios
 */
export async function checkBooks(ownerUrl: string): Promise<BookCheck> {
  const owner = openDatabase(ownerUrl);
  try {
    return await owner.transaction(
      { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
      async (transaction) => {
        const differences: Difference[] = [];
        for (const check of bookChecksSql) differences.push(...(await ask(owner, check, {}, transaction)));
        const [counts] = await ask(owner, booksInCountsSql, {}, transaction);
        return { stockPieces: 0, movements: 0, pieces: 0, ...counts, differences };
      },
    );
  } finally {
    await owner.close();
  }
}
