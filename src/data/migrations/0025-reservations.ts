import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/**
 * What is set aside says what for; a stone that somebody set aside by hand is one of them, with a note in place of a batch, and nothing of
 * it stands in the stone's own row. What a batch has lost is written down: whether its cuts have to be planned again follows from that,
 * and is not kept a second time.
 */
export const reservations: Migration = {
  name: '0025-reservations',
  statements: ({ appRole }) => [
    'ALTER TABLE set_asides RENAME TO reservations',
    'ALTER INDEX set_asides_of_batch RENAME TO reservations_of_batch',
    // Wire that is planned to be cut, parts that are picked from the drawers, wire that is cut and lies in the tray, and what was set aside by hand.
    `ALTER TABLE reservations ADD COLUMN purpose text CHECK (purpose IN ('planned', 'picked', 'tray', 'hand'))`,
    `ALTER TABLE reservations ADD COLUMN note text NOT NULL DEFAULT '' CHECK (length(note) <= 120)`,
    `UPDATE reservations s SET purpose = CASE
       WHEN EXISTS (SELECT FROM batch_cuts c WHERE c.studio_id = s.studio_id AND c.batch_id = s.batch_id AND c.cut_id = s.stock_piece_id AND c.kind = 'cut'
                       AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = c.studio_id AND b.batch_id = c.batch_id AND b.line = c.line
                                          AND b.piece = c.piece)) THEN 'tray'
       WHEN p.ware = 'wire' THEN 'planned' ELSE 'picked' END
       FROM stock_pieces p WHERE p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id`,
    'ALTER TABLE reservations ALTER COLUMN purpose SET NOT NULL',
    'ALTER TABLE reservations DROP CONSTRAINT set_asides_pkey',
    'ALTER TABLE reservations ADD COLUMN reservation_id uuid NOT NULL DEFAULT gen_random_uuid()',
    'ALTER TABLE reservations ADD CONSTRAINT reservations_pkey PRIMARY KEY (studio_id, reservation_id)',
    'ALTER TABLE reservations ALTER COLUMN batch_id DROP NOT NULL',
    `ALTER TABLE reservations ADD CONSTRAINT reservations_of_whom CHECK ((purpose = 'hand') = (batch_id IS NULL) AND (purpose = 'hand') = (note <> ''))`,
    'CREATE UNIQUE INDEX reservations_for_batch ON reservations (studio_id, stock_piece_id, batch_id) WHERE batch_id IS NOT NULL',
    'CREATE UNIQUE INDEX reservations_by_hand ON reservations (studio_id, stock_piece_id) WHERE batch_id IS NULL',
    `INSERT INTO reservations (studio_id, stock_piece_id, quantity, purpose, note)
       SELECT p.studio_id, p.stock_piece_id, 1, 'hand', t.set_aside_for FROM stones t
         JOIN stock_pieces p ON p.studio_id = t.studio_id AND p.article_id = t.article_id AND p.quantity > 0
        WHERE t.set_aside_for <> ''
          AND NOT EXISTS (SELECT FROM reservations r WHERE r.studio_id = p.studio_id AND r.stock_piece_id = p.stock_piece_id)`,
    'ALTER TABLE stones DROP COLUMN set_aside_for',
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
