import { look, type StudioSession } from '../kernel/useCase';

/** What of a stock piece lies aside for a batch. */
export interface ReservationView {
  readonly number: number;
  readonly name: string;
  readonly quantity: number;
}

/** What of a stock piece is set aside, and for which batches; the one that is due first comes first. */
export const reservationsOf = (session: StudioSession, stockPieceId: string): Promise<ReservationView[]> =>
  look(session, (tx) =>
    tx.select<ReservationView>(
      `SELECT b.number, b.name, s.quantity FROM reservations s
         JOIN batches b ON b.studio_id = s.studio_id AND b.batch_id = s.batch_id
        WHERE s.studio_id = $1 AND s.stock_piece_id = $2 ORDER BY b.due_on NULLS LAST, b.number`,
      [session.studioId, stockPieceId],
    ),
  );
