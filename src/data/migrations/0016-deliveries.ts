import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Deliveries: several purchases that came together, with the postage and the tax that they share. */
export const deliveries: Migration = {
  name: '0016-deliveries',
  statements: ({ appRole }) => [
    `CREATE TABLE deliveries (
       studio_id uuid NOT NULL REFERENCES studios,
       delivery_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       supplier_id uuid,
       bought_on date NOT NULL,
       note text NOT NULL,
       -- Of the invoice; postage, tax and prices of its lines are in its minor units.
       currency text NOT NULL,
       postage bigint NOT NULL CHECK (postage >= 0),
       tax bigint NOT NULL CHECK (tax >= 0),
       shared_by text NOT NULL CHECK (shared_by IN ('value', 'weight')),
       post_key uuid NOT NULL,
       user_id uuid NOT NULL,
       received_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, delivery_id),
       UNIQUE (studio_id, number),
       UNIQUE (studio_id, post_key),
       FOREIGN KEY (studio_id, supplier_id) REFERENCES suppliers
     )`,
    ...guardByStudio(appRole)('deliveries'),
    `GRANT SELECT, INSERT ON deliveries TO ${appRole}`,
    // What of a purchase's price is its share of the postage and the tax, in the currency it was paid in.
    `ALTER TABLE lots ADD COLUMN delivery_id uuid, ADD COLUMN delivery_line int,
       ADD COLUMN postage_share bigint NOT NULL DEFAULT 0 CHECK (postage_share >= 0),
       ADD COLUMN tax_share bigint NOT NULL DEFAULT 0 CHECK (tax_share >= 0),
       ADD FOREIGN KEY (studio_id, delivery_id) REFERENCES deliveries,
       ADD CHECK ((delivery_id IS NULL) = (delivery_line IS NULL)),
       ADD CHECK (postage_share + tax_share <= paid)`,
    `CREATE UNIQUE INDEX lots_of_delivery ON lots (studio_id, delivery_id, delivery_line) WHERE delivery_id IS NOT NULL`,
    `CREATE INDEX stock_pieces_of_lot ON stock_pieces (studio_id, lot_id, number)`,
  ],
};
