import { Movement } from '@/data/models/books';
import { clockDoubt, type ClockDoubt } from '@/core/calendar/clock';
import { look, type StudioSession } from '../kernel/useCase';

/** What makes one doubt the clock of the computer: it is far from the last posting. */
export async function doubtClock(session: StudioSession): Promise<ClockDoubt | undefined> {
  const row = await look(session, (tx) =>
    tx.one(Movement, ['happenedAt'], { where: {}, order: [['happenedAt', 'DESC']] }),
  );
  return row && clockDoubt(session.now, row.happenedAt);
}
