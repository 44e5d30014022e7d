import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

interface Metal {
  readonly id: string;
  readonly name: string;
  /** Density in g/cm³. */
  readonly density: number;
}

/** The metals as they were when this step shipped. */
const METALS: readonly Metal[] = [
  { id: 'copper', name: 'copper', density: 8.89 },
  { id: 'brass', name: 'brass', density: 8.53 },
  { id: 'bronze', name: 'bronze', density: 8.78 },
  { id: 'fine-silver', name: 'fine silver', density: 10.49 },
  { id: 'sterling', name: 'sterling', density: 10.36 },
  { id: 'gold-filled', name: 'gold-filled', density: 8.680767733395623 },
  { id: 'steel', name: 'stainless steel', density: 7.93 },
  { id: 'aluminium', name: 'aluminium', density: 2.7 },
  { id: 'niobium', name: 'niobium', density: 8.57 },
  { id: 'titanium', name: 'titanium', density: 4.51 },
];

const byMetal = (value: (metal: Metal, index: number) => string): string =>
  `CASE s.metal ${METALS.map((metal, index) => `WHEN '${metal.id}' THEN ${value(metal, index)}`).join(' ')} END`;

/** Micrograms in a micrometre of a spec's wire, for the wire there was before twisted stock. */
const MASS_PER_LENGTH = `(s.width_um / 1000.0) * (s.height_um / 1000.0) * ${byMetal(({ density }) => String(density))} *
  CASE s.profile WHEN 'flat' THEN 1 WHEN 'square' THEN 0.9899875367114713 ELSE 0.7853981633974483 END`;

/**
 * The whole stockroom on one footing: an article is what something is (a wire, a kind of bead, a stone, a finding, a
 * supply, a metal's scrap), a stock piece is the physical thing with what is left of it and of its cost, a movement is a
 * change of one stock piece. Quantities are whole: micrometres of wire, single beads, stones and findings, thousandths of
 * a supply's unit, micrograms of scrap.
 */
export const stockroom: Migration = {
  name: '0003-stockroom',
  statements: ({ appRole }) => [
    `CREATE TABLE articles (
       studio_id uuid NOT NULL REFERENCES studios,
       article_id uuid NOT NULL,
       ware text NOT NULL CHECK (ware IN ('wire', 'bead', 'stone', 'finding', 'supply', 'scrap')),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 240),
       -- How it is said, lower case, for finding it by words.
       said text NOT NULL,
       -- One text that is equal for the same stock only, and sorts as the stock is kept.
       sort_key text COLLATE "C" NOT NULL,
       -- Running out: below a typed quantity, or below what its use over the last 90 days needs.
       minimum_by text NOT NULL DEFAULT 'none' CHECK (minimum_by IN ('none', 'typed', 'use')),
       minimum bigint NOT NULL DEFAULT 0 CHECK (minimum >= 0),
       -- What one buys at a time; 0 when it is whatever was bought last.
       sold_by bigint NOT NULL DEFAULT 0 CHECK (sold_by >= 0),
       -- What it would cost today: last price paid, a typed price, or reckoned from the metal's price.
       price_by text NOT NULL DEFAULT 'paid' CHECK (price_by IN ('paid', 'typed', 'spot')),
       premium int NOT NULL DEFAULT 0 CHECK (premium BETWEEN 0 AND 100000),
       fabrication_per_metre bigint NOT NULL DEFAULT 0 CHECK (fabrication_per_metre >= 0),
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, article_id),
       CONSTRAINT articles_same_stock UNIQUE (studio_id, ware, sort_key)
     )`,
    `INSERT INTO articles (studio_id, article_id, ware, name, said, sort_key)
     SELECT studio_id, spec_id, 'wire', gauge_number || CASE gauge_system WHEN 'AWG' THEN ' ga' ELSE ' ' || gauge_system END || ' ' || profile || ' ' ||
            CASE finish WHEN 'bare' THEN '' ELSE finish_name || ' ' || finish || ' ' END || ${byMetal(({ name }) => `'${name}'`)} || ', ' || temper,
            said, sort_key FROM wire_specs s`,
    `ALTER TABLE wire_specs DROP COLUMN said, DROP COLUMN sort_key`,
    `ALTER TABLE wire_specs ADD FOREIGN KEY (studio_id, spec_id) REFERENCES articles`,
    // Turns per metre of twisted stock; two twists of one wire are two stocks.
    `ALTER TABLE wire_specs ADD COLUMN twist int NOT NULL DEFAULT 0 CHECK (twist >= 0)`,
    `ALTER TABLE wire_specs DROP CONSTRAINT wire_specs_profile_check`,
    `ALTER TABLE wire_specs ADD CONSTRAINT wire_specs_profile
       CHECK (profile IN ('round', 'square', 'half-round', 'flat', 'twisted square', 'twisted pair') AND (twist > 0) = (profile LIKE 'twisted%'))`,

    `CREATE TABLE places (
       studio_id uuid NOT NULL REFERENCES studios,
       place_id uuid NOT NULL,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       position int NOT NULL,
       PRIMARY KEY (studio_id, place_id)
     )`,
    `CREATE UNIQUE INDEX places_name ON places (studio_id, lower(name))`,
    `CREATE TABLE spool_types (
       studio_id uuid NOT NULL REFERENCES studios,
       spool_type_id uuid NOT NULL,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       empty_mass_ug bigint NOT NULL CHECK (empty_mass_ug > 0),
       PRIMARY KEY (studio_id, spool_type_id)
     )`,
    `CREATE UNIQUE INDEX spool_types_name ON spool_types (studio_id, lower(name))`,

    `ALTER TABLE wire_lots RENAME TO lots`,
    `ALTER TABLE lots RENAME COLUMN spec_id TO article_id`,
    `ALTER TABLE lots RENAME COLUMN length_um TO quantity`,
    `ALTER TABLE lots ADD COLUMN note text NOT NULL DEFAULT '',
       ADD COLUMN paid_currency text, ADD COLUMN paid bigint CHECK (paid > 0)`,
    `ALTER TABLE lots ALTER COLUMN gauge_system DROP NOT NULL, ALTER COLUMN gauge_number DROP NOT NULL`,
    `ALTER TABLE lots DROP CONSTRAINT wire_lots_studio_id_spec_id_fkey`,
    `ALTER TABLE lots ADD FOREIGN KEY (studio_id, article_id) REFERENCES articles`,
    `ALTER INDEX wire_lots_last RENAME TO lots_last`,
    `ALTER TABLE lots DISABLE TRIGGER append_only`,
    `UPDATE lots l SET paid = l.price, paid_currency = s.currency FROM studios s WHERE s.studio_id = l.studio_id`,
    `ALTER TABLE lots ENABLE TRIGGER append_only`,
    `ALTER TABLE lots ALTER COLUMN paid SET NOT NULL, ALTER COLUMN paid_currency SET NOT NULL`,

    `ALTER TABLE stock_pieces RENAME COLUMN spec_id TO article_id`,
    `ALTER TABLE stock_pieces RENAME COLUMN length_um TO quantity`,
    `ALTER TABLE stock_pieces RENAME COLUMN initial_length_um TO initial_quantity`,
    `ALTER TABLE stock_pieces
       ADD COLUMN ware text NOT NULL DEFAULT 'wire',
       ADD COLUMN place_id uuid,
       ADD COLUMN spool_type_id uuid,
       ADD COLUMN empty_mass_ug bigint CHECK (empty_mass_ug > 0),
       ADD COLUMN note text NOT NULL DEFAULT '',
       ADD COLUMN version int NOT NULL DEFAULT 1`,
    `ALTER TABLE stock_pieces ALTER COLUMN ware DROP DEFAULT`,
    `ALTER TABLE stock_pieces DROP CONSTRAINT stock_pieces_form_check`,
    `ALTER TABLE stock_pieces ADD CONSTRAINT stock_pieces_form CHECK (CASE ware
       WHEN 'wire' THEN form IN ('spool', 'coil', 'bobbin', 'off-cut')
       WHEN 'bead' THEN form IN ('strand', 'loose')
       WHEN 'stone' THEN form = 'stone'
       WHEN 'finding' THEN form = 'pack'
       WHEN 'supply' THEN form = 'pack'
       WHEN 'scrap' THEN form = 'jar'
       ELSE false END)`,
    `ALTER TABLE stock_pieces ADD CONSTRAINT stock_pieces_nothing_owes CHECK (quantity > 0 OR cost_units = 0)`,
    `ALTER TABLE stock_pieces DROP CONSTRAINT stock_pieces_studio_id_spec_id_fkey`,
    `ALTER TABLE stock_pieces DROP CONSTRAINT stock_pieces_studio_id_number_key`,
    `ALTER TABLE stock_pieces ADD CONSTRAINT stock_pieces_number UNIQUE (studio_id, ware, number)`,
    `ALTER TABLE stock_pieces ADD FOREIGN KEY (studio_id, article_id) REFERENCES articles,
       ADD FOREIGN KEY (studio_id, place_id) REFERENCES places,
       ADD FOREIGN KEY (studio_id, spool_type_id) REFERENCES spool_types`,
    `DROP INDEX stock_pieces_rack, stock_pieces_sums`,
    `CREATE INDEX stock_pieces_rack ON stock_pieces (studio_id, ware, sort_key, is_off_cut, number) WHERE quantity > 0`,
    `CREATE INDEX stock_pieces_sums ON stock_pieces (studio_id, article_id) INCLUDE (quantity, cost_units, is_off_cut) WHERE quantity > 0`,
    `CREATE INDEX stock_pieces_place ON stock_pieces (studio_id, place_id, ware, sort_key, number) WHERE quantity > 0`,

    `ALTER TABLE movements RENAME COLUMN length_um TO quantity`,
    `ALTER TABLE movements ADD COLUMN article_id uuid, ADD COLUMN reverses bigint`,
    `ALTER TABLE movements DISABLE TRIGGER append_only`,
    `UPDATE movements m SET article_id = p.article_id FROM stock_pieces p
      WHERE p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id`,
    `ALTER TABLE movements ENABLE TRIGGER append_only`,
    `ALTER TABLE movements ALTER COLUMN article_id SET NOT NULL`,
    `ALTER TABLE movements DROP CONSTRAINT movements_check`,
    // A reversing movement keeps its original's kind and turns its signs.
    `ALTER TABLE movements ADD CONSTRAINT movements_signs CHECK (
       CASE WHEN kind IN ('received', 'opened', 'returned', 'made', 'jarred')
              THEN CASE WHEN reverses IS NULL THEN quantity > 0 AND cost_units >= 0 ELSE quantity < 0 AND cost_units <= 0 END
            WHEN kind IN ('cut', 'used', 'scrapped', 'spoiled', 'refined')
              THEN CASE WHEN reverses IS NULL THEN quantity < 0 AND cost_units <= 0 ELSE quantity > 0 AND cost_units >= 0 END
            WHEN kind IN ('split', 'twisted', 'relabelled', 'weighed', 'counted') THEN quantity <> 0 AND cost_units * sign(quantity) >= 0
            ELSE false END)`,
    `ALTER TABLE movements ADD FOREIGN KEY (studio_id, article_id) REFERENCES articles,
       ADD CONSTRAINT movements_reverse_a_movement FOREIGN KEY (studio_id, reverses) REFERENCES movements`,
    `CREATE UNIQUE INDEX movements_reversed_once ON movements (studio_id, reverses) WHERE reverses IS NOT NULL`,
    `CREATE INDEX movements_in_time ON movements (studio_id, happened_at, movement_id) INCLUDE (article_id, quantity, cost_units)`,
    `CREATE INDEX movements_of_article ON movements (studio_id, article_id, happened_at, movement_id)`,
    `CREATE INDEX movements_of_kind ON movements (studio_id, kind, happened_at, movement_id)`,
    `CREATE INDEX movements_by_person ON movements (studio_id, user_id, happened_at, movement_id)`,
    `CREATE INDEX movements_of_post ON movements (studio_id, post_key)`,

    // A making that was reversed: the piece was never there.
    `ALTER TABLE pieces ADD COLUMN struck_at timestamptz`,

    // Sums of every article at the end of a month, kept so that a past day's worth needs no more than a month of movements.
    `CREATE TABLE closings (
       studio_id uuid NOT NULL REFERENCES studios,
       month date NOT NULL,
       article_id uuid NOT NULL,
       quantity bigint NOT NULL,
       cost_units bigint NOT NULL,
       PRIMARY KEY (studio_id, month, article_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,

    // Every reading that was taken of a spool, also one that was taken against a warning.
    `CREATE TABLE weighings (
       studio_id uuid NOT NULL REFERENCES studios,
       weighing_id bigint GENERATED ALWAYS AS IDENTITY,
       post_key uuid NOT NULL,
       stock_piece_id uuid NOT NULL,
       weighed_at timestamptz NOT NULL,
       user_id uuid NOT NULL,
       gross_ug bigint NOT NULL CHECK (gross_ug > 0),
       empty_ug bigint NOT NULL CHECK (empty_ug >= 0),
       resolution_ug bigint NOT NULL CHECK (resolution_ug > 0),
       before_um bigint NOT NULL,
       after_um bigint NOT NULL,
       uncertainty_um bigint NOT NULL,
       warning text NOT NULL DEFAULT '',
       override_reason text NOT NULL DEFAULT '',
       PRIMARY KEY (studio_id, weighing_id),
       FOREIGN KEY (studio_id, stock_piece_id) REFERENCES stock_pieces
     )`,
    `CREATE INDEX weighings_of_stock_piece ON weighings (studio_id, stock_piece_id, weighing_id DESC)`,

    // What the feed said a metal cost, by day: minor units of the studio's currency for a kilogram.
    `CREATE TABLE metal_prices (
       studio_id uuid NOT NULL REFERENCES studios,
       metal text NOT NULL,
       day date NOT NULL,
       per_kilogram bigint NOT NULL CHECK (per_kilogram > 0),
       fetched_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, metal, day)
     )`,
    `CREATE TABLE typed_prices (
       studio_id uuid NOT NULL REFERENCES studios,
       typed_price_id bigint GENERATED ALWAYS AS IDENTITY,
       article_id uuid NOT NULL,
       typed_at timestamptz NOT NULL,
       user_id uuid NOT NULL,
       price bigint NOT NULL CHECK (price > 0),
       quantity bigint NOT NULL CHECK (quantity > 0),
       PRIMARY KEY (studio_id, typed_price_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `CREATE INDEX typed_prices_last ON typed_prices (studio_id, article_id, typed_at DESC)`,

    // What went to refiners, and what came back for it.
    `CREATE TABLE refinings (
       studio_id uuid NOT NULL REFERENCES studios,
       refining_id uuid NOT NULL,
       post_key uuid NOT NULL,
       stock_piece_id uuid NOT NULL,
       sent_on date NOT NULL,
       refiner text NOT NULL,
       mass_ug bigint NOT NULL CHECK (mass_ug > 0),
       proceeds bigint NOT NULL CHECK (proceeds >= 0),
       PRIMARY KEY (studio_id, refining_id),
       FOREIGN KEY (studio_id, stock_piece_id) REFERENCES stock_pieces
     )`,

    // The scrap and spoilage there were before there was a jar, brought in as one movement for each metal.
    `INSERT INTO articles (studio_id, article_id, ware, name, said, sort_key)
     SELECT DISTINCT m.studio_id, md5(m.studio_id || s.metal)::uuid, 'scrap', ${byMetal(({ name }) => `'${name} scrap'`)},
            ${byMetal(({ name }) => `'${name} scrap'`)}, ${byMetal((_, index) => `'${String(index).padStart(2, '0')}'`)}
       FROM movements m JOIN wire_specs s ON s.studio_id = m.studio_id AND s.spec_id = m.article_id WHERE m.kind IN ('scrapped', 'spoiled')`,
    `INSERT INTO stock_pieces (studio_id, stock_piece_id, number, article_id, ware, form, initial_quantity, quantity, cost_units, sort_key, created_at)
     SELECT m.studio_id, md5(m.studio_id || s.metal)::uuid, row_number() OVER (PARTITION BY m.studio_id ORDER BY s.metal),
            md5(m.studio_id || s.metal)::uuid, 'scrap', 'jar', GREATEST(1, sum(round(-m.quantity * ${MASS_PER_LENGTH}))),
            GREATEST(1, sum(round(-m.quantity * ${MASS_PER_LENGTH}))), -sum(m.cost_units),
            ${byMetal((_, index) => `'${String(index).padStart(2, '0')}'`)}, now()
       FROM movements m JOIN wire_specs s ON s.studio_id = m.studio_id AND s.spec_id = m.article_id
      WHERE m.kind IN ('scrapped', 'spoiled') GROUP BY m.studio_id, s.metal`,
    `INSERT INTO movements (studio_id, post_key, happened_at, user_id, kind, stock_piece_id, article_id, quantity, cost_units, reason)
     SELECT p.studio_id, gen_random_uuid(), now(), (SELECT user_id FROM users u WHERE u.studio_id = p.studio_id ORDER BY role DESC, created_at LIMIT 1),
            'jarred', p.stock_piece_id, p.article_id, p.quantity, p.cost_units, 'from before there was a jar'
       FROM stock_pieces p WHERE p.ware = 'scrap'`,
    `INSERT INTO counters (studio_id, name, last) SELECT studio_id, 'scrap', max(number) FROM stock_pieces WHERE ware = 'scrap' GROUP BY 1`,
    `UPDATE counters SET name = 'wire' WHERE name = 'stock'`,

    ...['weighings', 'typed_prices', 'refinings', 'closings'].map(
      (table) =>
        `CREATE TRIGGER append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON ${table} EXECUTE FUNCTION refuse_change()`,
    ),
    ...[
      'articles',
      'places',
      'spool_types',
      'closings',
      'weighings',
      'metal_prices',
      'typed_prices',
      'refinings',
    ].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT ON closings, weighings, typed_prices, refinings TO ${appRole}`,
    `GRANT SELECT, INSERT, UPDATE ON articles, places, spool_types, metal_prices TO ${appRole}`,
    `GRANT DELETE ON places, spool_types TO ${appRole}`,
  ],
};
