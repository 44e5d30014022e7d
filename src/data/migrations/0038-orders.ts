import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** What somebody asks to be made, or a shop asks for, with what is paid for it before it is handed over and after. */
export const orders: Migration = {
  name: '0038-orders',
  statements: ({ appRole }) => [
    `CREATE TABLE orders (
       studio_id uuid NOT NULL REFERENCES studios,
       order_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       channel_id uuid NOT NULL,
       buyer text NOT NULL CHECK (buyer = btrim(buyer) AND length(buyer) BETWEEN 1 AND 120),
       address text NOT NULL DEFAULT '' CHECK (length(address) <= 400),
       wishes text NOT NULL DEFAULT '' CHECK (length(wishes) <= 2000),
       state text NOT NULL DEFAULT 'quoted' CHECK (state IN ('quoted', 'ordered', 'handed over', 'cancelled')),
       quoted_on date NOT NULL,
       valid_until date,
       ordered_on date,
       due_on date,
       -- What is asked before it is begun, and how many days there are to pay once it is handed over.
       deposit bigint NOT NULL DEFAULT 0 CHECK (deposit >= 0),
       pay_days int NOT NULL DEFAULT 0 CHECK (pay_days BETWEEN 0 AND 365),
       -- What it comes to as it was agreed, with tax and sending; and what was paid so far.
       gross bigint NOT NULL CHECK (gross >= 0),
       paid bigint NOT NULL DEFAULT 0 CHECK (paid >= 0),
       -- What it is made in, and what it was handed over by.
       batch_id uuid,
       sale_id uuid,
       user_id uuid NOT NULL,
       created_at timestamptz NOT NULL,
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, order_id),
       UNIQUE (studio_id, number),
       CHECK ((state = 'handed over') = (sale_id IS NOT NULL)),
       CHECK (state <> 'ordered' OR ordered_on IS NOT NULL),
       FOREIGN KEY (studio_id, channel_id) REFERENCES channels,
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, sale_id) REFERENCES sales,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE UNIQUE INDEX orders_by_batch ON orders (studio_id, batch_id) WHERE batch_id IS NOT NULL`,
    `CREATE UNIQUE INDEX orders_by_sale ON orders (studio_id, sale_id) WHERE sale_id IS NOT NULL`,
    ...guardByStudio(appRole)('orders'),
    `GRANT SELECT, INSERT, UPDATE ON orders TO ${appRole}`,
    `CREATE TABLE order_lines (
       studio_id uuid NOT NULL REFERENCES studios,
       order_id uuid NOT NULL,
       line int NOT NULL CHECK (line > 0),
       pattern_id uuid NOT NULL,
       -- What it is called on its papers.
       name text NOT NULL,
       count int NOT NULL CHECK (count > 0),
       -- Stone, ring, bead and metal, as they are wanted.
       wanted jsonb NOT NULL,
       -- Of one.
       price bigint NOT NULL CHECK (price >= 0),
       PRIMARY KEY (studio_id, order_id, line),
       FOREIGN KEY (studio_id, order_id) REFERENCES orders,
       FOREIGN KEY (studio_id, pattern_id) REFERENCES patterns
     )`,
    ...guardByStudio(appRole)('order_lines'),
    `GRANT SELECT, INSERT, DELETE ON order_lines TO ${appRole}`,
    // Numbered without gaps, and never changed: what was paid before, what of it was paid back or is kept, and what was paid of an invoice.
    `CREATE TABLE order_payments (
       studio_id uuid NOT NULL REFERENCES studios,
       payment_id uuid NOT NULL,
       order_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       kind text NOT NULL CHECK (kind IN ('deposit', 'paid back', 'kept', 'invoice')),
       paid_on date NOT NULL,
       amount bigint NOT NULL,
       paid_by text NOT NULL CHECK (paid_by IN ('cash', 'card', 'transfer', 'the channel')),
       note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
       post_key uuid NOT NULL,
       user_id uuid NOT NULL,
       posted_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, payment_id),
       UNIQUE (studio_id, number),
       CHECK (CASE WHEN kind IN ('deposit', 'invoice') THEN amount > 0 ELSE amount < 0 END),
       FOREIGN KEY (studio_id, order_id) REFERENCES orders,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX order_payments_of ON order_payments (studio_id, order_id, number)`,
    ...guardByStudio(appRole)('order_payments'),
    `GRANT SELECT, INSERT ON order_payments TO ${appRole}`,
    // What of a sale was paid before it was handed over; the day that an invoice is to be paid by, nothing where it is paid at once; and
    // where its buyer is, as an invoice says it.
    `ALTER TABLE sales
       ADD COLUMN paid_before bigint NOT NULL DEFAULT 0 CHECK (paid_before >= 0),
       ADD COLUMN pay_by date,
       ADD COLUMN address text NOT NULL DEFAULT '' CHECK (length(address) <= 400)`,
    // What stands on papers that go out: where the studio is, its tax number; and where it is paid.
    `ALTER TABLE studios
       ADD COLUMN letterhead text NOT NULL DEFAULT '' CHECK (length(letterhead) <= 400),
       ADD COLUMN pay_to text NOT NULL DEFAULT '' CHECK (length(pay_to) <= 400)`,
  ],
};
