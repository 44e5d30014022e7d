import { useCallback } from 'react';
import { withStepAt } from '@/core/pattern/changes';
import type { Composition } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import { resolve } from '@/core/pattern/resolve';

/** All steps of a composition, as they stand. */
export const orderOf = (composition: Composition, { specs, techniques }: AtHand): readonly string[] =>
  resolve(composition, specs, techniques).steps.map(({ id }) => id);

/** Moves a step of the work to before the one that stands at a place. */
export const useMoveStep = (
  atHand: AtHand,
  compose: (change: (before: Composition) => Composition) => void,
): ((step: string, to: number) => void) =>
  useCallback(
    (step, to) => compose((before) => withStepAt(before, orderOf(before, atHand), step, to)),
    [atHand, compose],
  );
