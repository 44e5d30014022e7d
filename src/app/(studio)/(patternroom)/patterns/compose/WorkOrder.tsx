'use client';

import { useCallback } from 'react';
import { withOwnStepAs, withoutOwnStep } from '@/core/pattern/changeOwnSteps';
import type { Composition } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import type { OwnStep } from '@/core/pattern/ownSteps';
import type { Resolved } from '@/core/pattern/resolve';
import { useSame } from '@/ui/useSame';
import { AddOwnStep } from './AddOwnStep';
import { StepOrder } from './StepOrder';
import { useAddOwnStep, useMoveStep } from './useSteps';

/** The order of the work: steps are moved, faults of it overridden, and steps of the maker’s own added and changed. */
export function WorkOrder({
  resolved,
  own,
  atHand,
  compose,
}: {
  readonly resolved: Resolved;
  /** Steps of the maker’s own, as they are typed. */
  readonly own: readonly OwnStep[];
  readonly atHand: AtHand;
  readonly compose: (change: (before: Composition) => Composition, label?: string) => void;
}) {
  const steps = useSame(resolved.steps);
  const faults = useSame(resolved.faults);
  const move = useMoveStep(atHand, compose);
  const override = useCallback(
    (fault: string) => compose((before) => ({ ...before, overridden: [...before.overridden, fault] })),
    [compose],
  );
  const addOwn = useAddOwnStep(atHand, compose);
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
