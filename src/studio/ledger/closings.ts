import { dayIn, firstOfMonth, type Day } from '@/core/calendar/day';
import { atLeast } from '@/data/conditions';
import { inStudio, zoneOf, type Tx } from '@/data/inStudio';
import { Closing } from '@/data/models/books';
import { monthsToCloseSql, closeMonthSql } from '@/data/sql/ledger';
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
      await tx.execute(closeMonthSql, { month });
    }
  });
}

/** The first days of the months that have ended, from the first movement on or from the last closing. */
async function openMonths(tx: Tx): Promise<Day[]> {
  const rows = await tx.rows(monthsToCloseSql, { at: tx.session.now, graceDays: GRACE_DAYS });
  return rows.map(({ month }) => month);
}

/**
 * Drops the closings that a movement of this moment falls into, and all later ones. While the clock is right there are none; one
 * that stood in the future, or now stands in the past, leaves no closing that does not follow from the movements.
 */
export async function reopenMonths(tx: Tx, at: Date): Promise<void> {
  await tx.remove(Closing, { month: atLeast(firstOfMonth(dayIn(zoneOf(tx.session), at))) });
}
