import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Count sheets, and lists that are brought in from files. */
export const counting: Migration = {
  name: '0005-counting',
  statements: ({ appRole }) => [
    `CREATE TABLE counts (
       studio_id uuid NOT NULL REFERENCES studios,
       count_id uuid NOT NULL,
       number int NOT NULL,
       place_id uuid,
       place_name text NOT NULL,
       user_id uuid NOT NULL,
       started_at timestamptz NOT NULL,
       posted_at timestamptz,
       post_key uuid,
       PRIMARY KEY (studio_id, count_id),
       UNIQUE (studio_id, number),
       FOREIGN KEY (studio_id, place_id) REFERENCES places
     )`,
    `CREATE TABLE count_lines (
       studio_id uuid NOT NULL REFERENCES studios,
       count_id uuid NOT NULL,
       stock_piece_id uuid NOT NULL,
       position int NOT NULL,
       -- What was counted, as it was typed and as it was read; null until it is.
       typed text,
       counted bigint CHECK (counted >= 0),
       counted_at timestamptz,
       user_id uuid,
       -- What the books said when the count was posted.
       expected bigint,
       PRIMARY KEY (studio_id, count_id, stock_piece_id),
       FOREIGN KEY (studio_id, count_id) REFERENCES counts,
       FOREIGN KEY (studio_id, stock_piece_id) REFERENCES stock_pieces
     )`,
    `CREATE TABLE imports (
       studio_id uuid NOT NULL REFERENCES studios,
       import_id uuid NOT NULL,
       list text NOT NULL,
       file_name text NOT NULL CHECK (length(file_name) <= 240),
       content text NOT NULL,
       mapping jsonb NOT NULL,
       state text NOT NULL CHECK (state IN ('checking', 'checked', 'posting', 'posted', 'cancelled', 'failed')),
       done int NOT NULL DEFAULT 0,
       total int NOT NULL DEFAULT 0,
       good int NOT NULL DEFAULT 0,
       -- The rows that are not good, each with its reasons.
       bad jsonb NOT NULL DEFAULT '[]',
       message text NOT NULL DEFAULT '',
       user_id uuid NOT NULL,
       made_at timestamptz NOT NULL,
       beat_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, import_id)
     )`,
    ...['counts', 'count_lines', 'imports'].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT, UPDATE ON counts, count_lines, imports TO ${appRole}`,
  ],
};
