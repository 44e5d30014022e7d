import { leastHole, thickestThrough, type HoleFinish } from '@/core/bead/holeFit';
import type { Micrometres } from '@/core/units/length';
import { look, type StudioSession } from '../kernel/useCase';
import { SPEC_COLUMNS, specFromRow, type KnownSpec, type SpecColumns } from '../catalogue/wireSpecs';

/** A wire in stock that passes a hole. */
export interface PassingWire {
  readonly spec: KnownSpec;
  readonly length: Micrometres;
}

/** The wires in stock that pass a hole, thickest first: round wire only, since a hole is round. */
export function wiresForHole(
  session: StudioSession,
  hole: Micrometres,
  strands: 1 | 2,
  finish: HoleFinish = 'smooth',
): Promise<PassingWire[]> {
  return look(session, async (tx) => {
    const rows = await tx.select<SpecColumns & { length: Micrometres }>(
      `SELECT ${SPEC_COLUMNS}, (SELECT sum(quantity)::bigint FROM stock_pieces p
                                 WHERE p.studio_id = $1 AND p.article_id = s.spec_id AND p.quantity > 0) AS length
         FROM wire_specs s
        WHERE s.studio_id = $1 AND s.profile = 'round' AND s.width_um <= $2
          AND EXISTS (SELECT FROM stock_pieces p WHERE p.studio_id = $1 AND p.article_id = s.spec_id AND p.quantity > 0)
        ORDER BY s.width_um DESC, s.metal, s.temper LIMIT 40`,
      [session.studioId, thickestThrough(hole, strands, finish)],
    );
    return rows.map((row) => ({ spec: specFromRow(row), length: row.length }));
  });
}

/** Beads in stock that a wire passes. */
export interface PassingBead {
  readonly number: number;
  readonly name: string;
  readonly hole: Micrometres;
  readonly count: number;
  /** Whether the wire passes doubled as well. */
  readonly doubled: boolean;
}

/** The beads and drilled stones in stock that a wire of a width passes, tightest hole first. */
export function beadsForWire(
  session: StudioSession,
  width: Micrometres,
  finish: HoleFinish = 'smooth',
): Promise<PassingBead[]> {
  return look(session, (tx) =>
    tx.select<PassingBead>(
      `SELECT p.number, a.name, b.hole_um AS hole, p.quantity AS count, b.hole_um >= $3 AS doubled
         FROM beads b
         JOIN stock_pieces p ON p.studio_id = b.studio_id AND p.article_id = b.article_id AND p.quantity > 0
         JOIN articles a ON a.studio_id = b.studio_id AND a.article_id = b.article_id
        WHERE b.studio_id = $1 AND b.hole_um >= $2 ORDER BY b.hole_um, a.sort_key, p.number LIMIT 100`,
      [session.studioId, leastHole(width, 1, finish), leastHole(width, 2, finish)],
    ),
  );
}
