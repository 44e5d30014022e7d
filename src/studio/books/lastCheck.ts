import { BookCheckRow } from '@/data/models/books';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';

/** What the last check of the books found: every balance rebuilt from its movements and compared. */
export interface LastCheck {
  readonly checkedAt: Date;
  readonly movements: number;
  readonly differences: number;
  /** The first of them, empty when there is none. */
  readonly firstDifference: string;
}

/** The last check of the books that the program made by itself; undefined before the first one. */
export function lastBookCheck(session: StudioSession): Promise<LastCheck | undefined> {
  ownerOnly(session);
  return look(session, (tx) =>
    tx.one(BookCheckRow, ['checkedAt', 'movements', 'differences', 'firstDifference'], {
      where: {},
      order: [['checkedAt', 'DESC']],
    }),
  );
}
