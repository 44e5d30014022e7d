import { dayIn, firstOfMonth } from '@/core/calendar/day';
import { atLeast } from '@/data/conditions';
import { inStudio, zoneOf, type Tx } from '@/data/inStudio';
import { Closing } from '@/data/models/books';
import { look, type StudioSession } from '../kernel/useCase';

/**
 * The sums of every article at the end of a month: a cache of the movements, so that a past day's value needs no more than a
 * month of them. A month is closed this many days after its end, when no transaction that began in it can still be open.
 */
const GRACE_DAYS = 2;

/** Writes the sums of every article at the end of each month that has ended and is not closed yet. */
export async function closeMonths(session: StudioSession): Promise<void> {
  const open = await look(session, (tx) => openMonths(tx));
  if (open.length === 0) return;
  await inStudio(session, async (tx) => {
    for (const month of await openMonths(tx)) {
      await tx.run(
        `INSERT INTO closings (studio_id, month, article_id, quantity, cost_units)
         SELECT $1, $2::date, article_id, sum(quantity), sum(cost_units) FROM (
           SELECT article_id, quantity, cost_units FROM closings WHERE studio_id = $1 AND month = ($2::date - INTERVAL '1 month')::date
           UNION ALL
           SELECT article_id, quantity, cost_units FROM movements
            WHERE studio_id = $1 AND happened_at >= $2::date AND happened_at < $2::date + INTERVAL '1 month') AS t
          GROUP BY article_id`,
        [tx.session.studioId, month],
      );
    }
  });
}

/** The first days of the months that have ended, from the first movement on or from the last closing. */
async function openMonths(tx: Tx): Promise<string[]> {
  const rows = await tx.select<{ month: string }>(
    `SELECT month::date::text AS month FROM generate_series(
       COALESCE((SELECT max(month) + INTERVAL '1 month' FROM closings WHERE studio_id = $1),
                (SELECT date_trunc('month', min(happened_at)) FROM movements WHERE studio_id = $1)),
       date_trunc('month', $2::timestamptz - $3 * INTERVAL '1 day') - INTERVAL '1 month', INTERVAL '1 month') AS month`,
    [tx.session.studioId, tx.session.now, GRACE_DAYS],
  );
  return rows.map(({ month }) => month);
}

/**
 * Drops the closings that a movement of this moment falls into, and all later ones. While the clock is right there are none; one
 * that stood in the future, or now stands in the past, leaves no closing that does not follow from the movements.
 */
export async function reopenMonths(tx: Tx, at: Date): Promise<void> {
  await tx.remove(Closing, { month: atLeast(firstOfMonth(dayIn(zoneOf(tx.session), at))) });
}
