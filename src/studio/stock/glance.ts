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
    const rows = await tx.select<{ name: string | null; ware: Ware; pieces: number; cost: CostUnits }>(
      `SELECT l.name, p.ware, count(*)::int AS pieces, sum(p.cost_units)::bigint AS cost
         FROM stock_pieces p LEFT JOIN places l ON l.studio_id = p.studio_id AND l.place_id = p.place_id
        WHERE p.studio_id = $1 AND p.quantity > 0 AND p.ware <> 'scrap'
        GROUP BY l.name, l.position, p.ware ORDER BY l.position NULLS LAST, l.name, p.ware`,
      [session.studioId],
    );
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
