import { WARES, type Ware } from '@/core/stock/ware';
import { cost, type CostUnits } from '@/core/units/money';
import { inStudio } from '@/data/inStudio';
import type { Tx } from '@/data/inStudio';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';

/** What the stock of one ware carried on a day. */
export interface WareValue {
  readonly ware: Ware;
  readonly cost: CostUnits;
  readonly articles: number;
}

/** What the stock carried at the end of a day: the cost of what is there, not what it would sell for. */
export interface StockValue {
  readonly day: string;
  readonly wares: readonly WareValue[];
  /** Without the scrap jars: what fell into them was paid for by the pieces that caused it. */
  readonly total: CostUnits;
}

/**
 * A month is closed this many days after its end, when no transaction that began in it can still be open and no clock of
 * another copy of the application can still be in it.
 */
const GRACE_DAYS = 2;

/** What the stock carried at the end of a day (ISO), or now. Closes the months that have ended on the way. */
export async function stockValueOn(session: StudioSession, day?: string): Promise<StockValue> {
  ownerOnly(session);
  if (day === undefined)
    return look(session, async (tx) => valueOf(isoDay(session.now), await valuesNow(tx)));
  await closeMonths(session);
  return look(session, async (tx) => valueOf(day, await valuesOn(tx, day)));
}

interface Row {
  readonly ware: Ware;
  readonly cost: number;
  readonly articles: number;
}

const isoDay = (at: Date): string => at.toISOString().slice(0, 10);

function valueOf(day: string, rows: readonly Row[]): StockValue {
  const wares = WARES.flatMap((ware): WareValue[] => {
    const row = rows.find((each) => each.ware === ware);
    return row && row.articles > 0 ? [{ ware, cost: cost(row.cost), articles: row.articles }] : [];
  });
  const total = wares.reduce((sum, each) => (each.ware === 'scrap' ? sum : sum + each.cost), 0);
  return { day, wares, total: cost(total) };
}

const valuesNow = (tx: Tx): Promise<Row[]> =>
  tx.select<Row>(
    `SELECT ware, sum(cost_units)::bigint AS cost, count(DISTINCT article_id)::int AS articles
       FROM stock_pieces WHERE studio_id = $1 AND quantity > 0 GROUP BY ware`,
    [tx.session.studioId],
  );

/**
 * The last closing before the day, and the movements since it. The closing is asked for first, so that the movements are read
 * between two days that the planner knows.
 */
async function valuesOn(tx: Tx, day: string): Promise<Row[]> {
  const { studioId } = tx.session;
  const closed = await tx.first<{ month: string | null; until: string | null }>(
    `SELECT max(month)::text AS month, (max(month) + INTERVAL '1 month')::date::text AS until FROM closings
      WHERE studio_id = $1 AND month + INTERVAL '1 month' <= $2::date + 1`,
    [studioId, day],
  );
  return tx.select<Row>(
    `WITH parts AS (
       SELECT article_id, quantity, cost_units FROM closings WHERE studio_id = $1 AND month = $3::date
       UNION ALL
       SELECT article_id, sum(quantity), sum(cost_units) FROM movements
        WHERE studio_id = $1 AND happened_at >= $4::timestamptz AND happened_at < $2::date + 1 GROUP BY 1),
     sums AS (SELECT article_id, sum(quantity) AS quantity, sum(cost_units) AS cost FROM parts GROUP BY 1)
     SELECT a.ware, sum(s.cost)::bigint AS cost, (count(*) FILTER (WHERE s.quantity > 0))::int AS articles
       FROM sums s JOIN articles a ON a.studio_id = $1 AND a.article_id = s.article_id GROUP BY a.ware`,
    [studioId, day, closed?.month ?? null, closed?.until ?? '-infinity'],
  );
}

/** Writes the sums of every article at the end of each month that has ended and is not closed yet. */
export async function closeMonths(session: StudioSession): Promise<void> {
  const open = await look(session, (tx) => openMonths(tx));
  if (open.length === 0) return;
  await inStudio(session, async (tx) => {
    for (const month of await openMonths(tx)) {
      await tx.run(
        `INSERT INTO closings (studio_id, month, article_id, quantity, cost_units)
         SELECT $1, $2::date, article_id, sum(quantity), sum(cost_units) FROM (
           SELECT article_id, quantity, cost_units FROM closings WHERE studio_id = $1 AND month = ($2::date - INTERVAL '1 month')::date
           UNION ALL
           SELECT article_id, quantity, cost_units FROM movements
            WHERE studio_id = $1 AND happened_at >= $2::date AND happened_at < $2::date + INTERVAL '1 month') AS t
          GROUP BY article_id`,
        [tx.session.studioId, month],
      );
    }
  });
}

/** The first days of the months that have ended, from the first movement on or from the last closing. */
async function openMonths(tx: Tx): Promise<string[]> {
  const rows = await tx.select<{ month: string }>(
    `SELECT month::date::text AS month FROM generate_series(
       COALESCE((SELECT max(month) + INTERVAL '1 month' FROM closings WHERE studio_id = $1),
                (SELECT date_trunc('month', min(happened_at)) FROM movements WHERE studio_id = $1)),
       date_trunc('month', $2::timestamptz - $3 * INTERVAL '1 day') - INTERVAL '1 month', INTERVAL '1 month') AS month`,
    [tx.session.studioId, tx.session.now, GRACE_DAYS],
  );
  return rows.map(({ month }) => month);
}
