import type { Composition, TechniqueUse } from './composition';

/** Takes a technique out, with its steps; what went on from it goes on from nothing. */
export function withoutUse(composition: Composition, id: string): Composition {
  const others = (key: string) => !key.startsWith(`${id}.`);
  return {
    ...composition,
    uses: composition.uses.filter((use) => use.id !== id).map((use) => withoutTaken(use, others)),
    order: composition.order.filter(others),
    overridden: composition.overridden.filter(others),
  };
}

function withoutTaken(use: TechniqueUse, isLeft: (ref: string) => boolean): TechniqueUse {
  const takes = Object.entries(use.takes).map(([port, refs]) => [port, refs.filter(isLeft)] as const);
  return { ...use, takes: Object.fromEntries(takes.filter(([, refs]) => refs.length > 0)) };
}

/** Moves a technique to before the one that stands at a place, in the order of the work. */
export function withUseAt(composition: Composition, id: string, to: number): Composition {
  const moved = composition.uses.find((use) => use.id === id);
  if (!moved) return composition;
  const uses = composition.uses.filter((use) => use !== moved);
  uses.splice(Math.max(0, Math.min(uses.length, to)), 0, moved);
  return { ...composition, uses };
}

export const withUse = (
  composition: Composition,
  id: string,
  change: Partial<TechniqueUse>,
): Composition => ({
  ...composition,
  uses: composition.uses.map((use) => (use.id === id ? { ...use, ...change } : use)),
});

/** Moves a step to before the one that stands at a place. @param steps all step keys as they stand */
export function withStepAt(
  composition: Composition,
  steps: readonly string[],
  key: string,
  to: number,
): Composition {
  const order = steps.filter((each) => each !== key);
  order.splice(Math.max(0, Math.min(order.length, to)), 0, key);
  return { ...composition, order };
}
