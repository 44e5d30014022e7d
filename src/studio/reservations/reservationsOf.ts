import { reservationsOfSql } from '@/data/sql/reservations';
import { look, type StudioSession } from '../kernel/useCase';

/** What of a stock piece lies aside for a batch. */
export interface ReservationView {
  readonly number: number;
  readonly name: string;
  readonly quantity: number;
}

/** What of a stock piece is set aside, and for which batches; the one that is due first comes first. */
export const reservationsOf = (session: StudioSession, stockPieceId: string): Promise<ReservationView[]> =>
  look(session, (tx) => tx.rows(reservationsOfSql, { stockPieceId }));
