import type { Act } from '../judgement/finishes';
import type { Composition } from './composition';
import { LONGEST_NAME, OWN, type OwnStep } from './ownSteps';

/** An id that no step has yet. */
const freeStepId = (steps: readonly OwnStep[]): string => {
  const taken = new Set(steps.map(({ id }) => id));
  for (let number = 1; ; number += 1) if (!taken.has(OWN + number)) return OWN + number;
};

/** Adds a step of the maker’s own, last of all. @param order all steps as they stand */
export function withOwnStep(composition: Composition, order: readonly string[], name: string): Composition {
  const { steps = [] } = composition;
  const step: OwnStep = {
    id: freeStepId(steps),
    name: name.slice(0, LONGEST_NAME),
    minutes: '5',
    once: false,
    kind: 'work',
    does: actIn(name),
  };
  return { ...composition, steps: [...steps, step], order: [...order, step.id] };
}

/** What a step does by its name, as makers call it. */
const CALLED: readonly (readonly [RegExp, Act])[] = [
  [/\b(antiqu|patin|oxidi[sz]|liver of sulph)/i, 'antiquing'],
  [/\b(hammer|mallet|planish|flatten)/i, 'hammering'],
  [/\b(file|filing)\b/i, 'filing'],
];

const actIn = (name: string): OwnStep['does'] => CALLED.find(([called]) => called.test(name))?.[1] ?? '';

/** Changes a step of the maker’s own. */
export const withOwnStepAs = (
  composition: Composition,
  id: string,
  change: Partial<Omit<OwnStep, 'id'>>,
): Composition => ({
  ...composition,
  steps: (composition.steps ?? []).map((step) => (step.id === id ? { ...step, ...change } : step)),
});

/** Takes a step of the maker’s own out. */
export const withoutOwnStep = (composition: Composition, id: string): Composition => ({
  ...composition,
  steps: (composition.steps ?? []).filter((step) => step.id !== id),
  order: composition.order.filter((each) => each !== id),
});
