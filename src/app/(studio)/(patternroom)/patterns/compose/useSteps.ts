import { useCallback } from 'react';
import { withStepAt } from '@/core/pattern/changes';
import { withOwnStep } from '@/core/pattern/changeOwnSteps';
import type { Composition } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import { resolve } from '@/core/pattern/resolve';

/** All steps of a composition, as they stand. */
const orderOf = (composition: Composition, { specs, techniques }: AtHand): readonly string[] =>
  resolve(composition, specs, techniques).steps.map(({ id }) => id);

type Compose = (change: (before: Composition) => Composition) => void;

/** Moves a step of the work to before the one that stands at a place. */
export const useMoveStep = (atHand: AtHand, compose: Compose): ((step: string, to: number) => void) =>
  useCallback(
    (step, to) => compose((before) => withStepAt(before, orderOf(before, atHand), step, to)),
    [atHand, compose],
  );

/** Adds a step of the maker’s own behind all others. */
export const useAddOwnStep = (atHand: AtHand, compose: Compose): ((name: string) => void) =>
  useCallback(
    (name) => compose((before) => withOwnStep(before, orderOf(before, atHand), name)),
    [atHand, compose],
  );
