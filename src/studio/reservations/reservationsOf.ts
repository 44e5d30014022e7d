import type { Id } from '@/core/id';
import { Reservation } from '@/data/models/batches';
import { look, type StudioSession } from '../kernel/useCase';

/** What of a stock piece lies aside for a batch. */
export interface ReservationView {
  /** Number of the batch. */
  readonly number: number;
  readonly name: string;
  readonly quantity: number;
}

/** What of a stock piece is set aside, and for which batches; the one that is due first comes first. */
export const reservationsOf = (
  session: StudioSession,
  stockPieceId: Id<'stock piece'>,
): Promise<ReservationView[]> =>
  look(session, async (tx) => {
    const rows = await tx.allWith(
      Reservation,
      ['quantity'],
      { batch: ['number', 'name'] },
      {
        where: { stockPieceId },
        order: [
          ['batch', 'dueOn', 'ASC NULLS LAST'],
          ['batch', 'number', 'ASC'],
        ],
      },
    );
    return rows.flatMap(({ quantity, batch }) => (batch ? [{ ...batch, quantity }] : []));
  });
