import type { RunPiece } from '../piece/run';
import { refuse, type Result } from '../result';
import type { FreeEnd } from '../technique/act';
import type { ActUse, Offer } from '../technique/joinActs';
import { planActs } from '../technique/planActs';
import { reachedBy, type Asked, type Reached } from './reach';

/** The ends that a use of a piece goes on from, as they were chosen. */
export const endsTaken = ({ takes }: Pick<ActUse, 'takes'>, offered: readonly Offer[]): readonly Offer[] =>
  Object.values(takes)
    .flat()
    .flatMap((ref) => offered.find((offer) => offer.ref === ref && offer.takes === 'end') ?? []);

/** How much of a hand stays in pieces, and its tail besides, mm; undefined when none of them has it. */
function handOf(pieces: readonly { readonly run: RunPiece }[], { wire: id, side }: FreeEnd) {
  const found = pieces.flatMap(({ run }) => run.wires).find(({ wire }) => wire.id === id);
  return (
    found && {
      net: found[side].reduce((sum, { length }) => sum + length, 0),
      tail: found.wire.tails[side],
    }
  );
}

/**
 * How much of a measure of one use an end of a wire is enough for: what it has left where that use takes it up, for all that it does from there
 * on and its tail.
 * @param uses of the piece, in the order of the work
 * @param id of the use that takes up the end
 * @param length that is left of the end there, mm
 * @returns a sentence when it is enough for nothing of it, or when the end does not depend on it
 */
export function endReached(
  uses: readonly ActUse[],
  id: string,
  end: FreeEnd,
  { key, parameter }: Asked,
  length: number,
): Result<Reached> {
  const at = uses.findIndex((use) => use.id === id);
  const values = uses[at]?.values;
  if (!values) return refuse('Something in it cannot be read.');
  const begun = handOf(planActs(uses.slice(0, at)).pieces, end)?.net ?? 0;
  const needOf = (value: number): number => {
    const planned = planActs(
      uses.map((use) => (use.id === id ? { ...use, values: { ...values, [key]: value } } : use)),
    );
    const isMade = planned.uses.find((use) => use.id === id)?.plan.ok;
    const hand = isMade ? handOf(planned.pieces, end) : undefined;
    return hand ? hand.net - begun + hand.tail : Infinity;
  };
  return reachedBy(parameter, values[key] as number, needOf, length);
}
