import { stockByPlaceSql } from '@/data/sql/stock';
import type { Ware } from '@/core/stock/ware';
import type { CostUnits } from '@/core/units/money';
import { look, type StudioSession } from '../kernel/useCase';

/** What lies in one place. */
export interface PlaceAtGlance {
  readonly name: string | null;
  readonly wares: readonly {
    readonly ware: Ware;
    readonly pieces: number;
    readonly cost: CostUnits | null;
  }[];
}

/** The whole stockroom at a glance: what lies where, and what it carries. Scrap is left out: it is paid for. */
export function glance(session: StudioSession): Promise<PlaceAtGlance[]> {
  return look(session, async (tx) => {
    const rows = await tx.rows(stockByPlaceSql, {});
    const sees = session.role === 'owner';
    const names = [...new Set(rows.map(({ name }) => name))];
    return names.map((name) => ({
      name,
      wares: rows
        .filter((row) => row.name === name)
        .map(({ ware, pieces, cost }) => ({ ware, pieces, cost: sees ? cost : null })),
    }));
  });
}
