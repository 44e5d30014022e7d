import type { Day } from '@/core/calendar/day';
import { WARES, type Ware } from '@/core/stock/ware';
import { cost, type CostUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { valueOnDaySql, lastClosingSql, valueNowSql } from '@/data/sql/ledger';
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
  readonly day: Day;
  readonly wares: readonly WareValue[];
  /** Without the scrap jars: what fell into them was paid for by the pieces that caused it. */
  readonly total: CostUnits;
}

/** What the stock carried at the end of a day (ISO), or now. Closes the months that have ended on the way. */
export async function stockValueOn(session: StudioSession, day?: Day): Promise<StockValue> {
  ownerOnly(session);
  if (day === undefined) return look(session, async (tx) => valueOf(todayOf(session), await valuesNow(tx)));
  await closeMonths(session);
  return look(session, async (tx) => valueOf(day, await valuesOn(tx, day)));
}

type Row = RowOf<typeof valueNowSql>;

function valueOf(day: Day, rows: readonly Row[]): StockValue {
  const wares = WARES.flatMap((ware): WareValue[] => {
    const row = rows.find((each) => each.ware === ware);
    return row && row.articles > 0 ? [{ ware, cost: cost(row.cost), articles: row.articles }] : [];
  });
  const total = wares.reduce((sum, each) => (each.ware === 'scrap' ? sum : sum + each.cost), 0);
  return { day, wares, total: cost(total) };
}

const valuesNow = (tx: Tx): Promise<Row[]> => tx.rows(valueNowSql, {});

/**
 * The last closing before the day, and the movements since it. The closing is asked for first, so that the movements are read
 * between two days that the planner knows.
 */
async function valuesOn(tx: Tx, day: Day): Promise<Row[]> {
  const closed = await tx.row(lastClosingSql, { day });
  return tx.rows(valueOnDaySql, { day, month: closed?.month ?? null, until: closed?.until ?? '-infinity' });
}
