import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Prices of channels, what standing there costs, and sales of a stall that could not be entered as they were told. */
export const stalls: Migration = {
  name: '0036-stalls',
  statements: ({ appRole }) => [
    `ALTER TABLE channels
       ADD COLUMN price_percent int NOT NULL DEFAULT 10000 CHECK (price_percent BETWEEN 1 AND 100000),
       -- What prices there end in, in minor units.
       ADD COLUMN endings jsonb NOT NULL DEFAULT '[]'`,
    `CREATE TABLE stall_sales (
       studio_id uuid NOT NULL REFERENCES studios,
       stall_sale_id uuid NOT NULL,
       -- When it was made, on the clock of its device, and when the studio heard of it.
       made_at timestamptz NOT NULL,
       heard_at timestamptz NOT NULL,
       user_id uuid NOT NULL,
       typed jsonb NOT NULL,
       why text NOT NULL,
       -- What became of it: settled with the sale that it was entered as, or with none.
       settled_at timestamptz,
       settled_by uuid,
       sale_id uuid,
       note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
       PRIMARY KEY (studio_id, stall_sale_id),
       CHECK ((settled_at IS NULL) = (settled_by IS NULL)),
       CHECK (sale_id IS NULL OR settled_at IS NOT NULL),
       FOREIGN KEY (studio_id, user_id) REFERENCES users,
       FOREIGN KEY (studio_id, settled_by) REFERENCES users,
       FOREIGN KEY (studio_id, sale_id) REFERENCES sales
     )`,
    `CREATE INDEX stall_sales_unsettled ON stall_sales (studio_id, made_at) WHERE settled_at IS NULL`,
    ...guardByStudio(appRole)('stall_sales'),
    `GRANT SELECT, INSERT, UPDATE (settled_at, settled_by, sale_id, note) ON stall_sales TO ${appRole}`,
    // What it costs to stand somewhere on a day: stall rent, the way there.
    `CREATE TABLE stall_costs (
       studio_id uuid NOT NULL REFERENCES studios,
       stall_cost_id uuid NOT NULL,
       channel_id uuid NOT NULL,
       day date NOT NULL,
       amount bigint NOT NULL CHECK (amount > 0),
       note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
       user_id uuid NOT NULL,
       posted_at timestamptz NOT NULL,
       struck_at timestamptz,
       PRIMARY KEY (studio_id, stall_cost_id),
       FOREIGN KEY (studio_id, channel_id) REFERENCES channels,
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX stall_costs_by_day ON stall_costs (studio_id, channel_id, day) WHERE struck_at IS NULL`,
    ...guardByStudio(appRole)('stall_costs'),
    `GRANT SELECT, INSERT, UPDATE (struck_at) ON stall_costs TO ${appRole}`,
  ],
};
