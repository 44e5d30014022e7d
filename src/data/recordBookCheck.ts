import { QueryTypes } from 'sequelize';
import { checkBooks, type BookCheck } from './checkBooks';
import { openDatabase } from './database';

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
      const [row] = await owner.query<{ due: boolean }>(
        `SELECT pg_try_advisory_xact_lock(764513) AND NOT EXISTS (
           SELECT FROM book_checks WHERE checked_at > now() - $1 * INTERVAL '1 hour' AND checked_at <= now()) AS due`,
        { bind: [unlessWithinHours], transaction, type: QueryTypes.SELECT },
      );
      if (!row?.due) return undefined;
      const found = await checkBooks(ownerUrl);
      await owner.query(
        `INSERT INTO book_checks (studio_id, checked_at, movements, differences, first_difference)
         SELECT s.studio_id, now(), (SELECT count(*) FROM movements m WHERE m.studio_id = s.studio_id), count(d.what),
                COALESCE((array_agg(d.what || ': ' || d.kept || ' / ' || d.rebuilt ORDER BY d.what))[1], '')
           FROM studios s LEFT JOIN jsonb_to_recordset($1::jsonb) AS d(studio uuid, what text, kept text, rebuilt text)
             ON d.studio = s.studio_id
          GROUP BY s.studio_id`,
        { bind: [JSON.stringify(found.differences)], transaction },
      );
      await owner.query(
        `DELETE FROM book_checks b WHERE checked_at < (SELECT min(t.checked_at) FROM
           (SELECT checked_at FROM book_checks WHERE studio_id = b.studio_id ORDER BY checked_at DESC LIMIT $1) AS t)`,
        { bind: [KEPT], transaction },
      );
      return found;
    });
  } finally {
    await owner.close();
  }
}
