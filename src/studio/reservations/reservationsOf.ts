import { type RowOf } from '@/data/sql/statement';
import { reservationsOfSql } from '@/data/sql/reservations';
import { look, type StudioSession } from '../kernel/useCase';

/** What of a stock piece lies aside for a batch. */
export type ReservationView = RowOf<typeof reservationsOfSql>;

/** What of a stock piece is set aside, and for which batches; the one that is due first comes first. */
export const reservationsOf = (session: StudioSession, stockPieceId: string): Promise<ReservationView[]> =>
  look(session, (tx) => tx.rows(reservationsOfSql, { stockPieceId }));
