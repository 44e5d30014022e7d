import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/**
 * What is set aside says what for, and what a batch has lost of it is written down: whether its cuts have to be planned again follows
 * from that, and is not kept a second time.
 */
export const reservations: Migration = {
  name: '0025-reservations',
  statements: ({ appRole }) => [
    'ALTER TABLE set_asides RENAME TO reservations',
    'ALTER INDEX set_asides_pkey RENAME TO reservations_pkey',
    'ALTER INDEX set_asides_of_batch RENAME TO reservations_of_batch',
    // Wire that is planned to be cut, parts that are picked from the drawers, and wire that is cut and lies in the tray.
    `ALTER TABLE reservations ADD COLUMN purpose text CHECK (purpose IN ('planned', 'picked', 'tray'))`,
    `UPDATE reservations s SET purpose = CASE
       WHEN EXISTS (SELECT FROM batch_cuts c WHERE c.studio_id = s.studio_id AND c.batch_id = s.batch_id AND c.cut_id = s.stock_piece_id AND c.kind = 'cut'
                       AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = c.studio_id AND b.batch_id = c.batch_id AND b.line = c.line
                                          AND b.piece = c.piece)) THEN 'tray'
       WHEN p.ware = 'wire' THEN 'planned' ELSE 'picked' END
       FROM stock_pieces p WHERE p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id`,
    'ALTER TABLE reservations ALTER COLUMN purpose SET NOT NULL',
    `CREATE TABLE reservation_losses (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       reason text NOT NULL CHECK (length(reason) BETWEEN 1 AND 200),
       PRIMARY KEY (studio_id, batch_id),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches
     )`,
    ...['reservation_losses'].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT, UPDATE, DELETE ON reservation_losses TO ${appRole}`,
    `INSERT INTO reservation_losses (studio_id, batch_id, reason)
       SELECT studio_id, batch_id, COALESCE(NULLIF(left(planning_said, 200), ''), 'Stock that was set aside for it is not there any more.')
         FROM batches WHERE planning = 'stale'`,
    `UPDATE batches SET planning = 'none', planning_said = '' WHERE planning = 'stale'`,
    'ALTER TABLE batches DROP CONSTRAINT batches_planning_check',
    `ALTER TABLE batches ADD CONSTRAINT batches_planning_check CHECK (planning IN ('none', 'working', 'planned', 'failed'))`,
  ],
};
