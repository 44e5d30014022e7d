import { lengthOfPath } from '@/core/geometry/path';
import { distance3 } from '@/core/geometry/vec3';
import { collisionsOf } from '@/core/piece/collisions';
import { insideBodies } from '@/core/piece/insideBodies';
import type { RunWire } from '@/core/piece/run';
import type { PlannedPiece } from '@/core/technique/planActs';
import { cutOf, netOf, type Plan, type PlannedCut } from '@/core/technique/technique';
import { cutNamed } from './techniques';

/** The widest gap between where a course of a wire ends and where the next begins, mm. */
export function widestGap({ first, second, between }: RunWire): number {
  const paths = [
    ...[...second].reverse().map(({ path }) => [...path].reverse()),
    ...(between ? [between.path] : []),
    ...first.map(({ path }) => path),
  ].filter(({ length }) => length > 0);
  return paths.slice(1).reduce((widest, path, index) => {
    const [from, to] = [paths[index]?.at(-1), path[0]];
    return from && to ? Math.max(widest, distance3(from, to)) : widest;
  }, 0);
}

/** What holds for every construction: no gap, as long as its terms, nothing in anything else, but wires in themselves that are told. */
export function expectSound({ run }: Pick<PlannedPiece, 'run'>, ...squeezed: readonly string[]): void {
  for (const each of run.wires) {
    const { wire, path, net } = each;
    expect([wire.id, Math.abs(lengthOfPath(path) / net - 1) < 0.005]).toEqual([wire.id, true]);
    expect([wire.id, widestGap(each) < 1e-6]).toEqual([wire.id, true]);
  }
  expect(
    collisionsOf(run).filter(({ wires }) => wires[0] !== wires[1] || !squeezed.includes(wires[0])),
  ).toEqual([]);
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

/** The same of what one technique makes by itself. */
export const soundPlan = ({ run }: Plan) => {
  if (!run) throw new Error('it is told by the ways of its wires');
  expectSound({ run });
};

/** How long a term of a cut is, mm; of several of its name the first. */
export const termOf = (plan: Plan, cut: string, name: RegExp) =>
  cutNamed(plan, cut).terms.find((term) => name.test(term.name))?.length ?? NaN;
