import type { Path } from '../geometry/path';
import type { RunWire } from '../piece/run';
import { ok, refuse, type Result } from '../result';
import type { ActUse } from '../technique/joinActs';
import { planActs, type PlannedPiece } from '../technique/planActs';
import type { Values } from '../parameter/readValues';
import { SIDES } from '../technique/wireState';

/** A course of a use as it lies: told by its wire, its hand and its place along that. */
export interface OwnCourse {
  readonly key: string;
  readonly wire: string;
  readonly thick: number;
  readonly path: Path;
}

/** The uses of a piece as far as one of them, with its values. */
const asFarAs = (uses: readonly ActUse[], id: string, values: Values): readonly ActUse[] =>
  uses
    .slice(0, uses.findIndex((use) => use.id === id) + 1)
    .map((use) => (use.id === id ? { ...use, values } : use));

/** What a use comes to: its courses as they lie, the wires that they are of, and the piece as far as it. */
export interface Made {
  readonly courses: readonly OwnCourse[];
  readonly wires: readonly RunWire[];
  readonly piece: PlannedPiece;
}

/** What a use does to wires when it has these values, and what is cut then; what comes after it is left out. */
export function madeWith(uses: readonly ActUse[], id: string, values: Values): Result<Made> {
  const planned = planActs(asFarAs(uses, id, values));
  const use = planned.uses.at(-1);
  if (use?.plan.ok === false) return refuse(use.plan.error);
  const piece = planned.pieces.find((each) => each.uses.includes(id));
  if (!piece) return refuse('Something in it cannot be read.');
  const worked = new Set<string>();
  const courses = piece.run.wires.flatMap(({ wire, ...hands }) =>
    SIDES.flatMap((side) => {
      const named = new Map<string, number>();
      return hands[side].flatMap(({ course, name, path }): OwnCourse[] => {
        if (!course || piece.by.get(course) !== id || path.length < 2) return [];
        worked.add(wire.id);
        // Of courses of one name each is told by which of them it is: others may come and go between.
        const plain = name.replace(/[\d.]+/g, '');
        const nth = (named.get(plain) ?? 0) + 1;
        named.set(plain, nth);
        return [
          { key: `${wire.id} ${side} ${plain} ${nth}`, wire: wire.cutFrom, thick: wire.size.width, path },
        ];
      });
    }),
  );
  const wires = piece.run.wires.filter(({ wire }) => worked.has(wire.id));
  return ok({ courses, wires, piece });
}
