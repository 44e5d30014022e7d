import { lengthOfPath } from '@/core/geometry/path';
import { distance3 } from '@/core/geometry/vec3';
import { collisionsOf } from '@/core/piece/collisions';
import { insideBodies } from '@/core/piece/insideBodies';
import type { PlannedPiece } from '@/core/technique/planActs';
import { cutOf, netOf, type PlannedCut } from '@/core/technique/technique';

/** What holds for every construction: no gap, as long as its terms, nothing in anything else, but one wire in itself where that is told. */
export function expectSound({ run }: Pick<PlannedPiece, 'run'>, squeezed?: string): void {
  for (const { wire, path, net } of run.wires) {
    expect([wire.id, Math.abs(lengthOfPath(path) / net - 1) < 0.005]).toEqual([wire.id, true]);
    const widest = Math.max(...path.slice(1).map((point, index) => distance3(point, path[index] ?? point)));
    expect([wire.id, widest < 25]).toEqual([wire.id, true]);
  }
  expect(collisionsOf(run).filter(({ wires }) => wires.some((wire) => wire !== squeezed))).toEqual([]);
  expect(insideBodies(run)).toEqual([]);
}

/** Need ≤ what makers cut, and at least a share of it by what stays in the piece (common practice). */
export function expectPractice(
  piece: { readonly cuts: readonly PlannedCut[] },
  cut: string,
  practice: number,
  share = 0.5,
): void {
  const found = piece.cuts.find(({ name }) => name === cut);
  if (!found) throw new Error(`no ${cut} among ${piece.cuts.map(({ name }) => name).join(', ')}`);
  expect([cut, cutOf(found) <= practice]).toEqual([cut, true]);
  expect([cut, netOf(found) >= share * practice]).toEqual([cut, true]);
}
