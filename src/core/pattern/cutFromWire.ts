import type { WireSpec } from '../wire/spec';
import type { Composition, Specs } from './composition';
import { SAME_SIZE, swapThroughout } from './swapWires';

/** Whether a wire can be taken where another is meant: of one profile, and as thick to within {@link SAME_SIZE}. */
const isLike = (wire: WireSpec, meant: WireSpec | undefined): boolean =>
  meant !== undefined &&
  meant.profile === wire.profile &&
  Math.abs(meant.width - wire.width) / wire.width <= SAME_SIZE;

/**
 * A composition cut from a wire that is at hand: what is as thick as that is of it, the others are of its metal where the studio has such.
 * @param wireId of the wire
 * @returns undefined when nothing in it is of a wire like that
 */
export function cutFromWire(composition: Composition, wireId: string, specs: Specs): Composition | undefined {
  const wire = specs[wireId];
  if (!wire) return undefined;
  let isOfIt = false;
  const meant = composition.uses.map(({ wires }) =>
    Object.fromEntries(Object.entries(wires).map(([key, specId]) => [key, isLike(wire, specs[specId])])),
  );
  const { composition: inMetal } = swapThroughout(composition, { metal: wire.metal }, specs);
  const uses = inMetal.uses.map((use, index) => ({
    ...use,
    wires: Object.fromEntries(
      Object.entries(use.wires).map(([key, specId]) => {
        if (!meant[index]?.[key]) return [key, specId];
        isOfIt = true;
        return [key, wireId];
      }),
    ),
  }));
  return isOfIt ? { ...inMetal, uses } : undefined;
}
