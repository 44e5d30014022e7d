import { ok, refuse, type Result } from '../result';
import { isActed } from '../technique/act';
import type { Offer } from '../technique/joinActs';
import { refOfUse, takesInstead, leaverOf, type ChosenPorts } from '../technique/refs';
import type { Techniques } from '../technique/technique';
import { freeId } from './addTechnique';
import type { Composition, Specs, TechniqueUse } from './composition';
import { followed } from './followed';
import { resolve, type Resolved } from './resolve';

/** Whether an offer is the other end of the wire that another is an end of, as the same technique leaves it. */
const isOpposite = (a: Offer, b: Offer): boolean =>
  a.takes === 'end' && b.takes === 'end' && a.use === b.use && a.wire === b.wire && a.side !== b.side;

/** What lies on the other side: what the mirror of the use that leaves it leaves, else the other end of its wire. */
function opposite(
  ref: string,
  offered: readonly Offer[],
  left: readonly Offer[],
  uses: readonly TechniqueUse[],
): Offer | undefined {
  const use = leaverOf(ref);
  const twin =
    uses.find(({ mirrors }) => mirrors === use) ??
    uses.find(({ id }) => id === uses.find((each) => each.id === use)?.mirrors);
  if (twin) return left.find((offer) => offer.ref === refOfUse(ref, twin.id));
  const offer = offered.find((each) => each.ref === ref);
  return offer && left.find((each) => isOpposite(each, offer));
}

/** What a use takes up, on the other side; undefined when something of it is not free there. */
function takesOpposite(
  { use: { takes }, offered }: Pick<Resolved['uses'][number], 'use' | 'offered'>,
  left: readonly Offer[],
  uses: readonly TechniqueUse[],
): ChosenPorts | undefined {
  return takesInstead(takes, (ref) => opposite(ref, offered, left, uses)?.ref);
}

/** Whether what a use does can be done on the other side too, and is not yet: it takes up ends whose opposites are free. */
export const canMirror = (id: string, { uses, left }: Pick<Resolved, 'uses' | 'left'>): boolean => {
  const resolved = uses.find(({ use }) => use.id === id);
  if (!resolved || !isActed(resolved.technique) || resolved.use.mirrors !== undefined) return false;
  const all = uses.map(({ use }) => use);
  // What is alike there already is not done once more.
  if (all.some(({ mirrors }) => mirrors === id)) return false;
  return takesOpposite(resolved, left, all) !== undefined;
};

/**
 * Does what a use does on the other side as well, mirrored; the two stay alike until they are cut loose from one another.
 * @param resolved what the composition comes to
 * @returns a sentence when the other side is not free for it
 */
export function withMirrored(
  composition: Composition,
  id: string,
  { uses, left }: Pick<Resolved, 'uses' | 'left'>,
): Result<Composition> {
  const resolved = uses.find(({ use }) => use.id === id);
  const takes = resolved && takesOpposite(resolved, left, composition.uses);
  if (!resolved || !takes)
    return refuse(
      `${resolved?.use.name ?? id}: what it takes up has nothing free opposite; it takes ends whose other ends nothing takes up.`,
    );
  const { name, technique, texts, wires, own } = resolved.use;
  const twin = { id: freeId(composition), technique, name, texts, wires, own, takes, mirrors: id };
  return ok({ ...composition, uses: [...composition.uses, twin] });
}

/**
 * Does all that is done on one side alone on the other as well, in the order of the work, each linked to what it follows. What the other side has
 * no room for is left out.
 */
export function withSideMirrored(
  composition: Composition,
  { specs, techniques }: { readonly specs: Specs; readonly techniques: Techniques },
): Composition {
  return composition.uses.reduce((before, { id }) => {
    const resolved = resolve(before, specs, techniques);
    const both = canMirror(id, resolved) ? withMirrored(before, id, resolved) : undefined;
    if (!both?.ok) return before;
    const refusal = resolve(both.value, specs, techniques).uses.at(-1)?.refusal;
    return refusal === '' || refusal === undefined ? both.value : before;
  }, composition);
}

const loose = ({ mirrors: _, ...use }: TechniqueUse): TechniqueUse => use;

/** Cuts what follows a use loose from it, or a use from what it follows: it keeps its measures as they are now. */
export function cutLoose(composition: Composition, id: string, techniques: Techniques): Composition {
  const now = followed(composition.uses, techniques);
  return {
    ...composition,
    uses: composition.uses.map((use, index) => {
      if (use.mirrors === undefined || (use.id !== id && use.mirrors !== id)) return use;
      return loose(now[index] as TechniqueUse);
    }),
  };
}
