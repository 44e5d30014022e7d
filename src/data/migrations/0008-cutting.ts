import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** The cutting table: what was cut for a batch, what went wrong, and which of its pieces are made. */
export const cutting: Migration = {
  name: '0008-cutting',
  statements: ({ appRole }) => [
    `ALTER TABLE batches DROP CONSTRAINT batches_state_check, ADD CONSTRAINT batches_state_check CHECK (state IN ('open', 'made', 'cancelled'))`,
    // What was done at the cutting table, in its order; what is undone is taken out again, and the ledger keeps both.
    `CREATE TABLE batch_cuts (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       act int NOT NULL CHECK (act > 0),
       kind text NOT NULL CHECK (kind IN ('cut', 'miscut')),
       spec_id uuid NOT NULL,
       -- Which wire of which piece it is; nothing of a mis-cut.
       line int,
       piece int,
       cut_index int,
       copy int,
       name text NOT NULL DEFAULT '',
       source_id uuid NOT NULL,
       -- The wire in the tray, or what a mis-cut left to be used for something else.
       cut_id uuid,
       -- As it was planned, and as it was really cut.
       planned_um bigint CHECK (planned_um > 0),
       length_um bigint NOT NULL CHECK (length_um > 0),
       reason text NOT NULL DEFAULT '' CHECK (length(reason) <= 200),
       -- Of the batch’s scrap and spoilage, what the piece that was made of it bears.
       scrap_share bigint NOT NULL DEFAULT 0 CHECK (scrap_share >= 0),
       spoilage_share bigint NOT NULL DEFAULT 0 CHECK (spoilage_share >= 0),
       post_key uuid NOT NULL,
       user_id uuid NOT NULL,
       done_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, batch_id, act),
       -- No wire of a batch is cut twice.
       CONSTRAINT batch_cuts_once UNIQUE (studio_id, batch_id, line, piece, cut_index, copy),
       CHECK (kind <> 'cut' OR (num_nulls(line, piece, cut_index, copy, planned_um, cut_id) = 0)),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, spec_id) REFERENCES wire_specs,
       FOREIGN KEY (studio_id, source_id) REFERENCES stock_pieces,
       FOREIGN KEY (studio_id, cut_id) REFERENCES stock_pieces,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX batch_cuts_of_post ON batch_cuts (studio_id, post_key)`,
    // The pieces of a batch that are made; no piece is made twice.
    `CREATE TABLE batch_pieces (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       line int NOT NULL,
       piece int NOT NULL CHECK (piece >= 0),
       piece_id uuid NOT NULL,
       PRIMARY KEY (studio_id, batch_id, line, piece),
       CONSTRAINT batch_pieces_piece UNIQUE (studio_id, piece_id),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces
     )`,
    `ALTER TABLE movements ADD COLUMN batch_id uuid, ADD FOREIGN KEY (studio_id, batch_id) REFERENCES batches`,
    `CREATE INDEX movements_of_batch ON movements (studio_id, batch_id, movement_id) WHERE batch_id IS NOT NULL`,
    ...['batch_cuts', 'batch_pieces'].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT, UPDATE, DELETE ON batch_cuts, batch_pieces TO ${appRole}`,
  ],
};
