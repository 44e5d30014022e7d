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
    // A line keeps what its piece took, as its cost sheet said, so that what was earned is summed without asking every piece; less than nothing
    // of what came back.
    `ALTER TABLE sale_lines
       ADD COLUMN channel_id uuid,
       -- The day of its receipt, and the day that its piece was sold on: of what comes back an earlier one.
       ADD COLUMN sold_on date,
       ADD COLUMN stood_on date,
       -- One that is sold, one less of what comes back; none of what buyers pay to be sent it.
       ADD COLUMN pieces int NOT NULL DEFAULT 0,
       ADD COLUMN pattern_id uuid,
       ADD COLUMN kind text NOT NULL DEFAULT '',
       ADD COLUMN metal text NOT NULL DEFAULT '',
       ADD COLUMN materials bigint NOT NULL DEFAULT 0,
       ADD COLUMN replaced bigint NOT NULL DEFAULT 0,
       ADD COLUMN minutes float8 NOT NULL DEFAULT 0,
       ADD COLUMN labour bigint NOT NULL DEFAULT 0,
       ADD COLUMN overhead bigint NOT NULL DEFAULT 0,
       ADD COLUMN days int NOT NULL DEFAULT 0,
       ADD FOREIGN KEY (studio_id, channel_id) REFERENCES channels,
       ADD FOREIGN KEY (studio_id, pattern_id) REFERENCES patterns`,
    `UPDATE sale_lines l SET channel_id = s.channel_id, sold_on = s.sold_on, stood_on = o.sold_on
       FROM sales s JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = COALESCE(s.return_of, s.sale_id)
      WHERE s.studio_id = l.studio_id AND s.sale_id = l.sale_id`,
    `ALTER TABLE sale_lines ALTER COLUMN channel_id SET NOT NULL, ALTER COLUMN sold_on SET NOT NULL, ALTER COLUMN stood_on SET NOT NULL`,
    `CREATE INDEX sale_lines_by_day ON sale_lines (studio_id, sold_on)`,
    `UPDATE sale_lines l
        SET pieces = k.sign, pattern_id = f.pattern_id, kind = f.kind,
            metal = COALESCE((SELECT w.metal FROM movements m JOIN wire_specs w ON w.studio_id = m.studio_id AND w.spec_id = m.article_id
                               WHERE m.studio_id = f.studio_id AND m.piece_id = f.piece_id AND m.kind = 'cut' GROUP BY w.metal ORDER BY sum(m.quantity) LIMIT 1), 'none'),
            materials = k.sign * (f.wire_cost + f.scrap_cost + f.spoilage_cost + f.parts_cost + f.supplies_cost),
            replaced = k.sign * (f.wire_replacement + f.scrap_replacement + f.spoilage_replacement + f.parts_cost + f.supplies_replacement),
            minutes = k.sign * (f.minutes + f.set_up_minutes / f.shared_by),
            labour = k.sign * round((f.minutes + f.set_up_minutes / f.shared_by) * f.hourly_rate * 1000 / 60)::bigint,
            overhead = k.sign * round((f.minutes + f.set_up_minutes / f.shared_by) * f.overhead_per_hour * 1000 / 60)::bigint,
            days = k.sign * GREATEST(0, o.sold_on - (f.made_at AT TIME ZONE t.time_zone)::date)
       FROM sales s
       JOIN studios t ON t.studio_id = s.studio_id
       JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = COALESCE(s.return_of, s.sale_id)
       CROSS JOIN LATERAL (SELECT CASE WHEN s.return_of IS NULL THEN 1 ELSE -1 END AS sign) AS k
       CROSS JOIN pieces f
      WHERE s.studio_id = l.studio_id AND s.sale_id = l.sale_id AND f.studio_id = l.studio_id AND f.piece_id = l.piece_id`,
    `CREATE INDEX sales_sums ON sales (studio_id) INCLUDE (gross, tax, net, fees, sending)`,
    `DROP INDEX pieces_in_state`,
    `CREATE INDEX pieces_in_state ON pieces (studio_id, state, number DESC) INCLUDE (price) WHERE struck_at IS NULL AND drawer_stock_id IS NULL`,
    // What somebody supposed of prices and rates, to look at it again.
    `CREATE TABLE scenarios (
       studio_id uuid NOT NULL REFERENCES studios,
       scenario_id uuid NOT NULL,
       name text NOT NULL CHECK (name = btrim(name) AND length(name) BETWEEN 1 AND 120),
       supposed jsonb NOT NULL,
       user_id uuid NOT NULL,
       kept_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, scenario_id),
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    ...guardByStudio(appRole)('scenarios'),
    `GRANT SELECT, INSERT, DELETE ON scenarios TO ${appRole}`,
  ],
};
