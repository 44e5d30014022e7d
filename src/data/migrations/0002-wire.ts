import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Wire: specs, suppliers, purchases, the pieces of wire on the rack, patterns, finished pieces, and the movements. */
export const wire: Migration = {
  name: '0002-wire',
  statements: ({ appRole }) => [
    `CREATE TABLE suppliers (
       studio_id uuid NOT NULL REFERENCES studios,
       supplier_id uuid NOT NULL,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       PRIMARY KEY (studio_id, supplier_id)
     )`,
    `CREATE UNIQUE INDEX suppliers_name ON suppliers (studio_id, lower(name))`,

    `CREATE TABLE wire_specs (
       studio_id uuid NOT NULL REFERENCES studios,
       spec_id uuid NOT NULL,
       metal text NOT NULL,
       profile text NOT NULL CHECK (profile IN ('round', 'square', 'half-round', 'flat')),
       width_um int NOT NULL CHECK (width_um > 0),
       height_um int NOT NULL CHECK (height_um > 0),
       temper text NOT NULL,
       finish text NOT NULL CHECK (finish IN ('bare', 'plated', 'coated')),
       finish_name text NOT NULL,
       gauge_system text NOT NULL CHECK (gauge_system IN ('AWG', 'SWG', 'mm')),
       gauge_number text NOT NULL,
       -- One text that is equal for the same stock only, and sorts as the rack is hung.
       sort_key text COLLATE "C" NOT NULL,
       -- How it is said, lower case, for finding it by words.
       said text NOT NULL,
       PRIMARY KEY (studio_id, spec_id),
       UNIQUE (studio_id, sort_key)
     )`,

    `CREATE TABLE wire_lots (
       studio_id uuid NOT NULL,
       lot_id uuid NOT NULL,
       spec_id uuid NOT NULL,
       supplier_id uuid,
       bought_on date NOT NULL,
       gauge_system text NOT NULL,
       gauge_number text NOT NULL,
       length_um bigint NOT NULL CHECK (length_um > 0),
       mass_ug bigint CHECK (mass_ug > 0),
       price bigint NOT NULL CHECK (price > 0),
       created_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, lot_id),
       FOREIGN KEY (studio_id, spec_id) REFERENCES wire_specs,
       FOREIGN KEY (studio_id, supplier_id) REFERENCES suppliers
     )`,
    // The last price paid for a spec is its replacement price.
    `CREATE INDEX wire_lots_last ON wire_lots (studio_id, spec_id, bought_on DESC, created_at DESC) INCLUDE (length_um, price)`,

    `CREATE TABLE stock_pieces (
       studio_id uuid NOT NULL,
       stock_piece_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       spec_id uuid NOT NULL,
       lot_id uuid,
       form text NOT NULL CHECK (form IN ('spool', 'coil', 'bobbin', 'off-cut')),
       initial_length_um bigint NOT NULL CHECK (initial_length_um > 0),
       length_um bigint NOT NULL CHECK (length_um >= 0),
       cost_units bigint NOT NULL CHECK (cost_units >= 0),
       sort_key text COLLATE "C" NOT NULL,
       is_off_cut boolean GENERATED ALWAYS AS (form = 'off-cut') STORED,
       created_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, stock_piece_id),
       UNIQUE (studio_id, number),
       FOREIGN KEY (studio_id, spec_id) REFERENCES wire_specs,
       FOREIGN KEY (studio_id, lot_id) REFERENCES wire_lots
     )`,
    // The rack in its order, without what is used up: the stock page walks this index.
    `CREATE INDEX stock_pieces_rack ON stock_pieces (studio_id, sort_key, is_off_cut, number) WHERE length_um > 0`,
    `CREATE INDEX stock_pieces_sums ON stock_pieces (studio_id, spec_id) INCLUDE (length_um, cost_units, is_off_cut) WHERE length_um > 0`,

    `CREATE TABLE patterns (
       studio_id uuid NOT NULL REFERENCES studios,
       pattern_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       revision int NOT NULL CHECK (revision > 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       kind text NOT NULL,
       created_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, pattern_id),
       UNIQUE (studio_id, number)
     )`,
    `CREATE UNIQUE INDEX patterns_name ON patterns (studio_id, lower(name))`,
    `CREATE TABLE pattern_revisions (
       studio_id uuid NOT NULL,
       pattern_id uuid NOT NULL,
       revision int NOT NULL,
       body jsonb NOT NULL,
       user_id uuid NOT NULL,
       written_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, pattern_id, revision),
       FOREIGN KEY (studio_id, pattern_id) REFERENCES patterns
     )`,

    `CREATE TABLE pieces (
       studio_id uuid NOT NULL,
       piece_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       pattern_id uuid NOT NULL,
       revision int NOT NULL,
       name text NOT NULL,
       kind text NOT NULL,
       user_id uuid NOT NULL,
       made_at timestamptz NOT NULL,
       wire_cost bigint NOT NULL CHECK (wire_cost >= 0),
       wire_replacement bigint NOT NULL CHECK (wire_replacement >= 0),
       scrap_cost bigint NOT NULL CHECK (scrap_cost >= 0),
       scrap_replacement bigint NOT NULL CHECK (scrap_replacement >= 0),
       spoilage_cost bigint NOT NULL CHECK (spoilage_cost >= 0),
       spoilage_replacement bigint NOT NULL CHECK (spoilage_replacement >= 0),
       parts_cost bigint NOT NULL CHECK (parts_cost >= 0),
       minutes double precision NOT NULL CHECK (minutes >= 0),
       set_up_minutes double precision NOT NULL CHECK (set_up_minutes >= 0),
       shared_by int NOT NULL CHECK (shared_by >= 1),
       hourly_rate bigint NOT NULL,
       overhead_per_hour bigint NOT NULL,
       wire_mass_ug bigint NOT NULL CHECK (wire_mass_ug >= 0),
       going_price bigint CHECK (going_price > 0),
       school text,
       price bigint CHECK (price > 0),
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, piece_id),
       UNIQUE (studio_id, number),
       FOREIGN KEY (studio_id, pattern_id, revision) REFERENCES pattern_revisions
     )`,
    `CREATE INDEX pieces_by_pattern ON pieces (studio_id, pattern_id, number)`,

    `CREATE TABLE movements (
       studio_id uuid NOT NULL,
       movement_id bigint GENERATED ALWAYS AS IDENTITY,
       post_key uuid NOT NULL,
       happened_at timestamptz NOT NULL,
       user_id uuid NOT NULL,
       kind text NOT NULL,
       stock_piece_id uuid NOT NULL,
       length_um bigint NOT NULL,
       cost_units bigint NOT NULL,
       reason text NOT NULL DEFAULT '',
       lot_id uuid,
       piece_id uuid,
       PRIMARY KEY (studio_id, movement_id),
       FOREIGN KEY (studio_id, stock_piece_id) REFERENCES stock_pieces,
       FOREIGN KEY (studio_id, lot_id) REFERENCES wire_lots,
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces,
       CHECK (CASE WHEN kind IN ('received', 'returned') THEN length_um > 0 AND cost_units >= 0
                   WHEN kind IN ('cut', 'scrapped', 'spoiled') THEN length_um < 0 AND cost_units <= 0
                   ELSE false END)
     )`,
    `CREATE INDEX movements_of_stock_piece ON movements (studio_id, stock_piece_id, movement_id DESC)`,
    `CREATE INDEX movements_of_piece ON movements (studio_id, piece_id, movement_id) WHERE piece_id IS NOT NULL`,

    ...['movements', 'wire_lots', 'pattern_revisions'].map(
      (table) =>
        `CREATE TRIGGER append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON ${table} EXECUTE FUNCTION refuse_change()`,
    ),
    ...[
      'suppliers',
      'wire_specs',
      'wire_lots',
      'stock_pieces',
      'patterns',
      'pattern_revisions',
      'pieces',
      'movements',
    ].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT ON suppliers, wire_specs, wire_lots, pattern_revisions, movements TO ${appRole}`,
    `GRANT SELECT, INSERT, UPDATE ON stock_pieces, patterns, pieces TO ${appRole}`,
  ],
};
