import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

const STATES = `'on the shelf', 'reserved', 'at a shop', 'sold', 'given', 'kept', 'lost', 'broken up'`;
const TURNS = `'put', 'reserved', 'released', 'taken to a shop', 'brought back', 'sold', 'returned', 'given', 'kept', 'put back', 'lost', 'found', 'broken up'`;

/** What happens to finished pieces: where each is, and the line of events that brought it there. */
export const pieceLives: Migration = {
  name: '0033-piece-lives',
  statements: ({ appRole }) => [
    `CREATE TABLE piece_events (
       studio_id uuid NOT NULL REFERENCES studios,
       event_id bigint GENERATED ALWAYS AS IDENTITY,
       piece_id uuid NOT NULL,
       turn text NOT NULL CHECK (turn IN (${TURNS})),
       -- The event that it takes back.
       undoes bigint,
       place_id uuid,
       -- For whom, to whom, or which shop.
       who text NOT NULL DEFAULT '' CHECK (length(who) <= 120),
       note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
       -- What of its cost came into the finished pieces, or left them.
       cost_units bigint NOT NULL,
       post_key uuid NOT NULL,
       user_id uuid NOT NULL,
       happened_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, event_id),
       UNIQUE (studio_id, undoes),
       FOREIGN KEY (studio_id, undoes) REFERENCES piece_events,
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces,
       FOREIGN KEY (studio_id, place_id) REFERENCES places,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX piece_events_of_piece ON piece_events (studio_id, piece_id, event_id)`,
    ...guardByStudio(appRole)('piece_events'),
    `GRANT SELECT, INSERT ON piece_events TO ${appRole}`,
    `ALTER TABLE pieces ADD COLUMN state text NOT NULL DEFAULT 'on the shelf' CHECK (state IN (${STATES}))`,
    `ALTER TABLE pieces ADD COLUMN place_id uuid, ADD FOREIGN KEY (studio_id, place_id) REFERENCES places`,
    // Null while it is where its making put it.
    `ALTER TABLE pieces ADD COLUMN state_since timestamptz`,
    `CREATE INDEX pieces_in_state ON pieces (studio_id, state, number DESC) WHERE struck_at IS NULL AND drawer_stock_id IS NULL`,
  ],
};
