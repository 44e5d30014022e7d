import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Sittings at the bench, word by word; and what of them stands on the piece: what was inspected, read and weighed. */
export const sittings: Migration = {
  name: '0028-sittings',
  statements: ({ appRole }) => [
    `CREATE TABLE sittings (
       studio_id uuid NOT NULL REFERENCES studios,
       sitting_id uuid NOT NULL,
       pattern_id uuid NOT NULL,
       revision int NOT NULL,
       batch_id uuid,
       line int,
       count int NOT NULL CHECK (count BETWEEN 1 AND 24),
       checks jsonb NOT NULL,
       user_id uuid NOT NULL,
       begun_at timestamptz NOT NULL,
       state text NOT NULL CHECK (state IN ('open', 'finished', 'left')),
       words int NOT NULL DEFAULT 0 CHECK (words >= 0),
       PRIMARY KEY (studio_id, sitting_id),
       FOREIGN KEY (studio_id, pattern_id, revision) REFERENCES pattern_revisions,
       FOREIGN KEY (studio_id, batch_id, line) REFERENCES batch_lines,
       FOREIGN KEY (studio_id, user_id) REFERENCES users,
       CHECK ((batch_id IS NULL) = (line IS NULL))
     )`,
    `CREATE INDEX sittings_open ON sittings (studio_id, begun_at) WHERE state = 'open'`,
    ...guardByStudio(appRole)('sittings'),
    `GRANT SELECT, INSERT, UPDATE ON sittings TO ${appRole}`,
    `CREATE TABLE sitting_pieces (
       studio_id uuid NOT NULL REFERENCES studios,
       sitting_id uuid NOT NULL,
       piece int NOT NULL CHECK (piece >= 0),
       tray_piece int CHECK (tray_piece >= 0),
       wires jsonb NOT NULL,
       post_key uuid NOT NULL,
       piece_id uuid,
       PRIMARY KEY (studio_id, sitting_id, piece),
       FOREIGN KEY (studio_id, sitting_id) REFERENCES sittings,
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces
     )`,
    ...guardByStudio(appRole)('sitting_pieces'),
    `GRANT SELECT, INSERT, UPDATE ON sitting_pieces TO ${appRole}`,
    // What was said is not said otherwise later: something else is said after it.
    `CREATE TABLE sitting_words (
       studio_id uuid NOT NULL REFERENCES studios,
       sitting_id uuid NOT NULL,
       place int NOT NULL CHECK (place >= 0),
       word_id uuid NOT NULL,
       said jsonb NOT NULL,
       user_id uuid NOT NULL,
       heard_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, sitting_id, place),
       UNIQUE (studio_id, sitting_id, word_id),
       FOREIGN KEY (studio_id, sitting_id) REFERENCES sittings,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    ...guardByStudio(appRole)('sitting_words'),
    `GRANT SELECT, INSERT ON sitting_words TO ${appRole}`,
    // What a finished piece was looked at for, and what was read of it on the way. Pieces that were made before have neither.
    `CREATE TABLE check_log (
       studio_id uuid NOT NULL REFERENCES studios,
       piece_id uuid NOT NULL,
       place int NOT NULL CHECK (place >= 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       is_good boolean NOT NULL,
       reading text NOT NULL CHECK (length(reading) <= 200),
       failures int NOT NULL CHECK (failures >= 0),
       PRIMARY KEY (studio_id, piece_id, place),
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces
     )`,
    ...guardByStudio(appRole)('check_log'),
    `GRANT SELECT, INSERT ON check_log TO ${appRole}`,
    `CREATE TABLE size_log (
       studio_id uuid NOT NULL REFERENCES studios,
       piece_id uuid NOT NULL,
       place int NOT NULL CHECK (place >= 0),
       read_when text NOT NULL CHECK (read_when IN ('wound', 'hammered', 'finished')),
       inside bigint NOT NULL CHECK (inside > 0),
       PRIMARY KEY (studio_id, piece_id, place),
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces
     )`,
    ...guardByStudio(appRole)('size_log'),
    `GRANT SELECT, INSERT ON size_log TO ${appRole}`,
    `ALTER TABLE pieces ADD COLUMN note text NOT NULL DEFAULT '' CHECK (length(note) <= 2000)`,
    // Why it is sold as less than it should be; empty when it is as it should be.
    `ALTER TABLE pieces ADD COLUMN flaw text NOT NULL DEFAULT '' CHECK (length(flaw) <= 200)`,
    ...['front_photo_id', 'back_photo_id'].map(
      (column) =>
        `ALTER TABLE pieces ADD COLUMN ${column} uuid, ADD FOREIGN KEY (studio_id, ${column}) REFERENCES photos`,
    ),
    `ALTER TABLE pieces ADD COLUMN weighed_ug bigint CHECK (weighed_ug > 0)`,
    // What pieces of each kind are looked at for, where the studio has written it.
    `ALTER TABLE studios ADD COLUMN checks jsonb NOT NULL DEFAULT '{}'`,
    // What it bends wire round.
    `ALTER TABLE studios ADD COLUMN rounds jsonb NOT NULL DEFAULT '[]'`,
  ],
};
