import type { ChosenPorts } from '../technique/refs';
import type { PlannedPiece } from '../technique/planActs';
import type { AnyTechnique, Techniques } from '../technique/technique';
import { withTechnique } from './addTechnique';
import { withUse } from './changes';
import type { Composition, Specs } from './composition';
import { drawnParts, type DrawnPart } from './drawnParts';
import { resolve, type Resolved } from './resolve';

/** What a composition is worked out with. */
export interface AtHand {
  readonly specs: Specs;
  readonly techniques: Techniques;
}

/**
 * A composition that goes on with one more technique.
 * @param takes what it takes up; when it is not told, what it proposes of what was left last
 */
export function goneOn(
  composition: Composition,
  technique: AnyTechnique,
  takes: ChosenPorts | undefined,
  { specs, techniques }: AtHand,
): Composition {
  const { left } = resolve(composition, specs, techniques);
  const next = withTechnique(composition, technique, techniques, specs, undefined, left);
  const added = next.uses.at(-1);
  return takes && added ? withUse(next, added.id, { takes }) : next;
}

/** How long a wire is cut, mm, and how long it was; a wire that is new was not. */
export interface Grown {
  readonly wire: string;
  readonly name: string;
  readonly cut: number;
  readonly was: number | undefined;
}

/** The wires of pieces that are cut longer or shorter than they were, and those that are new. */
export function grownWires(
  before: readonly Pick<PlannedPiece, 'run'>[],
  after: readonly Pick<PlannedPiece, 'run'>[],
): readonly Grown[] {
  const was = new Map(before.flatMap(({ run }) => run.wires.map(({ wire, cut }) => [wire.id, cut] as const)));
  return after.flatMap(({ run }) =>
    run.wires.flatMap(({ wire: { id, name }, cut }): readonly Grown[] => {
      const before = was.get(id);
      return before !== undefined && Math.abs(before - cut) < 0.05
        ? []
        : [{ wire: id, name, cut, was: before }];
    }),
  );
}

/** What a technique would come to, before it is added. */
export interface Trial {
  /** Why it cannot be made as it is proposed; empty when it can. */
  readonly refusal: string;
  /** What of the pattern it would be part of. */
  readonly part: DrawnPart | undefined;
  readonly grown: readonly Grown[];
  /** Minutes that it adds. */
  readonly minutes: number;
}

/** Tries a technique: what {@link goneOn} with it would come to. @param before what the composition comes to without it */
export function tried(
  before: Resolved,
  composition: Composition,
  technique: AnyTechnique,
  takes: ChosenPorts | undefined,
  atHand: AtHand,
): Trial {
  const next = goneOn(composition, technique, takes, atHand);
  const id = next.uses.at(-1)?.id;
  const after = resolve(next, atHand.specs, (each) =>
    each === technique.id ? technique : atHand.techniques(each),
  );
  const use = after.uses.find((each) => each.use.id === id);
  return {
    refusal: use?.refusal ?? '',
    part: drawnParts(after).find(({ uses }) => uses.some((each) => each.use.id === id)),
    grown: grownWires(before.pieces, after.pieces),
    minutes: after.minutes - before.minutes,
  };
}
