import { isActed } from '../technique/act';
import type { ToShape } from '../plan/handles';
import type { ActUse } from '../technique/joinActs';
import { pullableOf } from './pullable';
import { actUsesOf, type Resolved } from './resolve';

type Pieces = Pick<Resolved, 'uses' | 'pieces'>;

/** The techniques of the piece that a use is of, in the order of the work; none when it makes no piece. */
export function usesOfPiece({ uses, pieces }: Pieces, id: string): readonly ActUse[] {
  const piece = pieces.find((each) => each.uses.includes(id));
  return piece ? actUsesOf(uses).filter((each) => piece.uses.includes(each.id)) : [];
}

/** Parameters of a use that can be changed by hand, by its id; none of one that is not there, or that is alike to another: it is changed there. */
export function pullableIn({ uses }: Pick<Resolved, 'uses'>, id: string): readonly string[] {
  const found = uses.find(({ use }) => use.id === id);
  return found && found.use.mirrors === undefined && isActed(found.technique)
    ? pullableOf(found.use, found.technique)
    : [];
}

/** A use of a pattern, to be shaped by hand among those of its piece; undefined when it is of none. */
export function toShape(resolved: Pieces, id: string): ToShape | undefined {
  const uses = usesOfPiece(resolved, id);
  return uses.length > 0 ? { uses, id, keys: pullableIn(resolved, id) } : undefined;
}
