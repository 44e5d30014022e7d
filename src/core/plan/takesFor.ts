import { groupBy } from '../groupBy';
import { isActed, type Takes } from '../technique/act';
import type { Offer } from '../technique/joinActs';
import type { ChosenPorts } from '../technique/refs';
import { offerOf, type AnyTechnique, type OfferedTechnique } from '../technique/technique';

/** A port as one looks for what goes on from something. */
export interface PortOffered {
  readonly key: string;
  /** What something that it takes does next. */
  readonly does: string;
  readonly takes: readonly Takes[];
  readonly from: number;
  readonly to: number;
}

/** A technique as it is offered to go on with. */
export interface GoingOn extends OfferedTechnique {
  /** None for one that goes on from nothing. */
  readonly ports: readonly PortOffered[];
}

export const goingOnOf = (technique: AnyTechnique): GoingOn => ({
  ...offerOf(technique),
  ports: isActed(technique)
    ? Object.entries(technique.ports).map(([key, { does, takes, from, to }]) => ({
        key,
        does,
        takes,
        from,
        to,
      }))
    : [],
});

/**
 * How a technique takes up everything that was chosen: all of one kind by one port, the first that takes so many of it.
 * @param chosen ends, whole wires and stretches, in the order that they were chosen
 * @returns undefined when it does not, or nothing was chosen
 */
export function takesFor(
  { ports }: Pick<GoingOn, 'ports'>,
  chosen: readonly Pick<Offer, 'ref' | 'takes'>[],
): ChosenPorts | undefined {
  if (chosen.length === 0) return undefined;
  const taken: Record<string, readonly string[]> = {};
  for (const [kind, group] of groupBy(chosen, ({ takes }) => takes)) {
    const port = ports.find(
      ({ key, takes, from, to }) =>
        !(key in taken) && takes.includes(kind) && group.length >= from && group.length <= to,
    );
    if (!port) return undefined;
    taken[port.key] = group.map(({ ref }) => ref);
  }
  return taken;
}
