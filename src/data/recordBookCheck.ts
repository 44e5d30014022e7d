import { ask } from './ask';
import { checkBooks, type BookCheck } from './checkBooks';
import { openDatabase } from './database';
import { forgetOldChecksSql, isCheckDueSql, keepBookCheckSql } from './sql/bookChecks';

/** Checks of one studio that are kept. */
const KEPT = 60;

/**
 * Checks all the books, unless somebody did within the time given, and keeps what was found for each studio. Of several
 * copies that want to at once, one does.
 * @param ownerUrl address of the role that sees all studios
 * @param unlessWithinHours how fresh the last check may be for nothing to be done
 * @returns what was found; undefined when nothing was to be done
 */
export async function recordBookCheck(
  ownerUrl: string,
  unlessWithinHours: number,
): Promise<BookCheck | undefined> {
  const owner = openDatabase(ownerUrl);
  try {
    return await owner.transaction(async (transaction) => {
      const [row] = await ask(owner, isCheckDueSql, { hours: unlessWithinHours }, transaction);
      if (!row?.due) return undefined;
      const found = await checkBooks(ownerUrl);
      await ask(owner, keepBookCheckSql, { differences: found.differences }, transaction);
      await ask(owner, forgetOldChecksSql, { kept: KEPT }, transaction);
      return found;
    });
  } finally {
    await owner.close();
  }
}
