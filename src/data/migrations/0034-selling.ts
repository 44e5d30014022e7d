import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

const KINDS = `'fair', 'online', 'commission', 'wholesale', 'to order', 'direct'`;
const MONEY = 'bigint NOT NULL';

/** Where pieces are sold, what was sold there, and what came back. */
export const selling: Migration = {
  name: '0034-selling',
  statements: ({ appRole }) => [
    `CREATE TABLE channels (
       studio_id uuid NOT NULL REFERENCES studios,
       channel_id uuid NOT NULL,
       kind text NOT NULL CHECK (kind IN (${KINDS})),
       name text NOT NULL CHECK (name = btrim(name) AND length(name) BETWEEN 1 AND 120),
       fee_percent int NOT NULL CHECK (fee_percent BETWEEN 0 AND 9900),
       fee_on text NOT NULL CHECK (fee_on IN ('gross', 'net')),
       fee_fixed ${MONEY} CHECK (fee_fixed >= 0),
       postage_asked ${MONEY} CHECK (postage_asked >= 0),
       postage ${MONEY} CHECK (postage >= 0),
       packing ${MONEY} CHECK (packing >= 0),
       tax_kind text NOT NULL CHECK (tax_kind IN ('none', 'included', 'added')),
       tax_percent int NOT NULL CHECK (tax_percent BETWEEN 0 AND 10000),
       tax_rounding text NOT NULL CHECK (tax_rounding IN ('line', 'document')),
       -- Whether anything is sold there any more.
       is_open boolean NOT NULL DEFAULT true,
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, channel_id)
     )`,
    `CREATE UNIQUE INDEX channels_by_name ON channels (studio_id, lower(name))`,
    ...guardByStudio(appRole)('channels'),
    `GRANT SELECT, INSERT, UPDATE ON channels TO ${appRole}`,
    // Numbered without gaps: what was sold, and what came back of it. Neither is ever changed.
    `CREATE TABLE sales (
       studio_id uuid NOT NULL REFERENCES studios,
       sale_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       channel_id uuid NOT NULL,
       -- The sale that something came back of; of a sale nothing.
       return_of uuid,
       sold_on date NOT NULL,
       buyer text NOT NULL DEFAULT '' CHECK (length(buyer) <= 200),
       note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
       paid_by text NOT NULL CHECK (paid_by IN ('cash', 'card', 'transfer', 'the channel')),
       -- What was handed over of cash, where that was told.
       given bigint,
       tax_kind text NOT NULL CHECK (tax_kind IN ('none', 'included', 'added')),
       tax_percent int NOT NULL,
       -- Of money that goes back all of it is less than nothing.
       net ${MONEY},
       tax ${MONEY},
       gross ${MONEY},
       fees ${MONEY},
       sending ${MONEY},
       post_key uuid NOT NULL,
       user_id uuid NOT NULL,
       posted_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, sale_id),
       UNIQUE (studio_id, number),
       CHECK (net + tax = gross),
       FOREIGN KEY (studio_id, channel_id) REFERENCES channels,
       FOREIGN KEY (studio_id, return_of) REFERENCES sales,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX sales_by_day ON sales (studio_id, sold_on DESC, number DESC)`,
    `CREATE INDEX sales_that_came_back ON sales (studio_id, return_of) WHERE return_of IS NOT NULL`,
    ...guardByStudio(appRole)('sales'),
    `GRANT SELECT, INSERT ON sales TO ${appRole}`,
    `CREATE TABLE sale_lines (
       studio_id uuid NOT NULL REFERENCES studios,
       sale_id uuid NOT NULL,
       line int NOT NULL CHECK (line > 0),
       -- Nothing for what buyers pay to be sent it.
       piece_id uuid,
       -- The price that was asked, and what it was sold for.
       asked ${MONEY},
       price ${MONEY},
       net ${MONEY},
       tax ${MONEY},
       gross ${MONEY},
       -- What of fees and sending is its own, and what the piece stood in the books at.
       fees ${MONEY},
       sending ${MONEY},
       cost_units ${MONEY},
       PRIMARY KEY (studio_id, sale_id, line),
       CHECK (net + tax = gross),
       FOREIGN KEY (studio_id, sale_id) REFERENCES sales,
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces
     )`,
    `CREATE INDEX sale_lines_of_piece ON sale_lines (studio_id, piece_id) WHERE piece_id IS NOT NULL`,
    ...guardByStudio(appRole)('sale_lines'),
    `GRANT SELECT, INSERT ON sale_lines TO ${appRole}`,
    `ALTER TABLE piece_events ADD COLUMN sale_id uuid, ADD FOREIGN KEY (studio_id, sale_id) REFERENCES sales`,
    // What is sold or comes back is so by a sale, and nothing else is.
    `ALTER TABLE piece_events ADD CHECK ((sale_id IS NOT NULL) = (turn IN ('sold', 'returned')))`,
  ],
};
