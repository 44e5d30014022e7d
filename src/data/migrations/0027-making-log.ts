import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** What each wire and each step of a making was planned as and came to, so that the next one is planned by it. Pieces that were made before have none. */
export const makingLog: Migration = {
  name: '0027-making-log',
  statements: ({ appRole }) => [
    `CREATE TABLE wire_log (
       studio_id uuid NOT NULL REFERENCES studios,
       piece_id uuid NOT NULL,
       cut_index int NOT NULL CHECK (cut_index >= 0),
       copy int NOT NULL CHECK (copy >= 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
       subject text NOT NULL CHECK (length(subject) BETWEEN 1 AND 160),
       pattern_id uuid NOT NULL,
       user_id uuid NOT NULL,
       article_id uuid NOT NULL,
       made_at timestamptz NOT NULL,
       planned bigint NOT NULL CHECK (planned > 0),
       tails bigint NOT NULL CHECK (tails BETWEEN 0 AND planned),
       cut bigint NOT NULL CHECK (cut >= 0),
       back bigint NOT NULL CHECK (back BETWEEN 0 AND cut),
       is_measured boolean NOT NULL,
       PRIMARY KEY (studio_id, piece_id, cut_index, copy),
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces,
       FOREIGN KEY (studio_id, pattern_id) REFERENCES patterns,
       FOREIGN KEY (studio_id, user_id) REFERENCES users,
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    // The latest of a subject, and of it one pattern's by one maker, without looking through the rest.
    `CREATE INDEX wire_log_of_subject ON wire_log (studio_id, subject, made_at DESC) WHERE is_measured`,
    `CREATE INDEX wire_log_of_maker ON wire_log (studio_id, subject, pattern_id, user_id, made_at DESC) WHERE is_measured`,
    ...guardByStudio(appRole)('wire_log'),
    `CREATE TABLE step_log (
       studio_id uuid NOT NULL REFERENCES studios,
       piece_id uuid NOT NULL,
       step int NOT NULL CHECK (step >= 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
       subject text NOT NULL CHECK (length(subject) BETWEEN 1 AND 300),
       pattern_id uuid NOT NULL,
       user_id uuid NOT NULL,
       made_at timestamptz NOT NULL,
       planned_minutes double precision NOT NULL CHECK (planned_minutes >= 0),
       minutes double precision NOT NULL CHECK (minutes >= 0),
       PRIMARY KEY (studio_id, piece_id, step),
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces,
       FOREIGN KEY (studio_id, pattern_id) REFERENCES patterns,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX step_log_of_pattern ON step_log (studio_id, pattern_id, made_at DESC)`,
    ...guardByStudio(appRole)('step_log'),
    `GRANT SELECT, INSERT ON step_log TO ${appRole}`,
    // What its pattern says that a piece takes; of pieces that were made before nobody asked.
    `ALTER TABLE pieces ADD COLUMN planned_minutes double precision CHECK (planned_minutes >= 0)`,
    `ALTER TABLE pieces ADD COLUMN planned_set_up_minutes double precision CHECK (planned_set_up_minutes >= 0)`,
    // Of a ring: the inside that was wanted, and what the mandrel said when it was finished.
    `ALTER TABLE pieces ADD COLUMN wanted_inside bigint CHECK (wanted_inside > 0)`,
    `ALTER TABLE pieces ADD COLUMN finished_inside bigint CHECK (finished_inside > 0)`,
    // A log is written once.
    `GRANT SELECT, INSERT ON wire_log TO ${appRole}`,
  ],
};
