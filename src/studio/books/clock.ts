import { clockDoubt, type ClockDoubt } from '@/core/calendar/clock';
import { look, type StudioSession } from '../kernel/useCase';

/** What makes one doubt the clock of the computer: it is far from the last posting. */
export async function doubtClock(session: StudioSession): Promise<ClockDoubt | undefined> {
  const row = await look(session, (tx) =>
    tx.first<{ last: Date | null }>('SELECT max(happened_at) AS last FROM movements WHERE studio_id = $1', [
      session.studioId,
    ]),
  );
  return row?.last ? clockDoubt(session.now, row.last) : undefined;
}
