import { WARES, type Ware } from '@/core/stock/ware';
import { cost, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { closeMonths } from './closings';

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

/** What the stock carried at the end of a day (ISO), or now. Closes the months that have ended on the way. */
export async function stockValueOn(session: StudioSession, day?: string): Promise<StockValue> {
  ownerOnly(session);
  if (day === undefined) return look(session, async (tx) => valueOf(todayOf(session), await valuesNow(tx)));
  await closeMonths(session);
  return look(session, async (tx) => valueOf(day, await valuesOn(tx, day)));
}

interface Row {
  readonly ware: Ware;
  readonly cost: number;
  readonly articles: number;
}

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
