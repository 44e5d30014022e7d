'use client';

import { useCallback } from 'react';
import { withOwnStep, withOwnStepAs, withoutOwnStep } from '@/core/pattern/changeOwnSteps';
import { withStepAt } from '@/core/pattern/changes';
import type { Composition, Specs } from '@/core/pattern/composition';
import type { OwnStep } from '@/core/pattern/ownSteps';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import type { Techniques } from '@/core/technique/technique';
import { useSame } from '@/ui/useSame';
import { AddOwnStep } from './AddOwnStep';
import { StepOrder } from './StepOrder';

/** The order of the work: steps are moved, faults of it overridden, and steps of the maker’s own added and changed. */
export function WorkOrder({
  resolved,
  own,
  byId,
  techniques,
  compose,
}: {
  readonly resolved: Resolved;
  /** Steps of the maker’s own, as they are typed. */
  readonly own: readonly OwnStep[];
  readonly byId: Specs;
  readonly techniques: Techniques;
  readonly compose: (change: (before: Composition) => Composition, label?: string) => void;
}) {
  const steps = useSame(resolved.steps);
  const faults = useSame(resolved.faults);
  /** All steps of a composition, as they stand. */
  const orderOf = useCallback(
    (composition: Composition) => resolve(composition, byId, techniques).steps.map(({ id }) => id),
    [byId, techniques],
  );
  const move = useCallback(
    (step: string, to: number) => compose((before) => withStepAt(before, orderOf(before), step, to)),
    [compose, orderOf],
  );
  const override = useCallback(
    (fault: string) => compose((before) => ({ ...before, overridden: [...before.overridden, fault] })),
    [compose],
  );
  const addOwn = useCallback(
    (name: string) => compose((before) => withOwnStep(before, orderOf(before), name)),
    [compose, orderOf],
  );
  const changeOwn = useCallback(
    (id: string, next: Partial<Omit<OwnStep, 'id'>>, label: string) =>
      compose((before) => withOwnStepAs(before, id, next), label),
    [compose],
  );
  const removeOwn = useCallback((id: string) => compose((before) => withoutOwnStep(before, id)), [compose]);
  return (
    <>
      <StepOrder
        steps={steps}
        faults={faults}
        severalTechniques={resolved.uses.length > 1}
        onMove={move}
        onOverride={override}
        own={own}
        onChangeOwn={changeOwn}
        onRemoveOwn={removeOwn}
      />
      <AddOwnStep onAdd={addOwn} />
    </>
  );
}
