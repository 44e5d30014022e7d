import { type RowOf } from '@/data/sql/statement';
import { beadsOverSql, wiresThroughSql } from '@/data/sql/stock';
import { leastHole, thickestThrough, type HoleFinish } from '@/core/bead/holeFit';
import type { Micrometres } from '@/core/units/length';
import { look, type StudioSession } from '../kernel/useCase';
import { specFromRow, type KnownSpec } from '../catalogue/wireSpecs';

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
    const rows = await tx.rows(wiresThroughSql, { widest: thickestThrough(hole, strands, finish) });
    return rows.map((row) => ({ spec: specFromRow(row), length: row.length }));
  });
}

/** Beads in stock that a wire passes. */
export type PassingBead = RowOf<typeof beadsOverSql>;

/** The beads and drilled stones in stock that a wire of a width passes, tightest hole first. */
export function beadsForWire(
  session: StudioSession,
  width: Micrometres,
  finish: HoleFinish = 'smooth',
): Promise<PassingBead[]> {
  return look(session, (tx) =>
    tx.rows(beadsOverSql, { least: leastHole(width, 1, finish), leastDoubled: leastHole(width, 2, finish) }),
  );
}
